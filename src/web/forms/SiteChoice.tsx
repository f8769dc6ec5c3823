/** Choosing a site: from a list where there are few, by its name where there are many. */
import { useDeferredValue, useId, useState } from 'react';
import { ChevronDown } from 'lucide-react';
import { useSite, useSites } from '../data/api/queries';
import { Fault, inputShape } from '../parts/Field';
import { SearchInput } from '../parts/SearchInput';
import { Loaded } from '../parts/Page';
import { Dialog } from '../parts/Dialog';

export function SiteChoice({
  label,
  labelled = false,
  none,
  value,
  onChange,
  error = null,
}: {
  label: string;
  error?: string | null;
  /** the label is seen, not only heard */
  labelled?: boolean;
  /** what no site is called; left out: one must be chosen */
  none?: string;
  value: string;
  onChange: (id: string) => void;
}) {
  const first = useSites().data;
  const chosen = useSite(value === '' ? null : value).data;
  const [picking, setPicking] = useState(false);
  const id = useId();
  const many = first?.next != null;
  return (
    <div data-field="" className={labelled ? 'mb-4' : ''}>
      {labelled && (
        <label htmlFor={id} className="mb-1 block font-semibold">
          {label}
        </label>
      )}
      {many ? (
        <button
          id={id}
          type="button"
          aria-label={labelled ? undefined : label}
          className={`${inputShape} flex cursor-pointer items-center gap-2 text-left`}
          onClick={() => setPicking(true)}
        >
          <span className="min-w-0 flex-1 truncate">{chosen?.name ?? none ?? 'Choose'}</span>
          <ChevronDown aria-hidden="true" size={18} />
        </button>
      ) : (
        <select
          id={id}
          aria-label={labelled ? undefined : label}
          className={inputShape}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        >
          {(none !== undefined || value === '') && <option value="">{none ?? 'Choose'}</option>}
          {(first?.rows ?? []).map((site) => (
            <option key={site.id} value={site.id}>
              {site.name}
            </option>
          ))}
        </select>
      )}
      {error && <Fault>{error}</Fault>}
      {picking && (
        <SiteDialog
          title={label}
          none={none}
          onClose={() => setPicking(false)}
          onPick={(site) => {
            onChange(site);
            setPicking(false);
          }}
        />
      )}
    </div>
  );
}

function SiteDialog({
  title,
  none,
  onPick,
  onClose,
}: {
  title: string;
  none: string | undefined;
  onPick: (id: string) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  const sites = useSites(useDeferredValue(text));
  const row = 'min-h-14 w-full cursor-pointer py-2 text-left font-semibold';
  return (
    <Dialog title={title} onClose={onClose}>
      <SearchInput
        autoFocus
        label="Find a site by its name"
        placeholder="Name of the site"
        value={text}
        onChange={setText}
      />
      <Loaded query={sites}>
        {({ rows, next }) => (
          <ul className="mt-3">
            {none !== undefined && (
              <li className="rule-b">
                <button type="button" className={row} onClick={() => onPick('')}>
                  {none}
                </button>
              </li>
            )}
            {rows.map((site) => (
              <li key={site.id} className="rule-b">
                <button type="button" className={row} onClick={() => onPick(site.id)}>
                  {site.name}
                </button>
              </li>
            ))}
            {rows.length === 0 && <li className="py-6 text-soft">No site has that in its name.</li>}
            {next !== null && <li className="py-3 text-soft">There are more; type a little of the name.</li>}
          </ul>
        )}
      </Loaded>
    </Dialog>
  );
}
