/** The leak-rate method of each site, and its dated changes; the past is never rewritten. */
import { useState } from 'react';
import { METHODS } from '../../core/logbook/fields';
import type { Site } from '../../core/logbook/tables';
import { parseDay } from '../../core/quantity/day';
import { useChangeMethod, useSites } from '../data/queries';
import { Button } from '../parts/Button';
import { Choices } from '../parts/Choices';
import { TextField } from '../parts/Field';
import { Loaded, Section } from '../parts/Page';
import { SaveBar } from '../parts/SaveBar';
import { Sheet } from '../parts/Sheet';
import { METHOD_WORDS, PACK_WORDS } from '../words/codes';
import { dateWords } from '../words/dates';

export function Methods() {
  const sites = useSites();
  const [changing, setChanging] = useState<Site | null>(null);
  return (
    <Section title="Leak-rate method by site">
      <Loaded query={sites}>
        {(list) => (
          <ul>
            {list.map((site) => (
              <li key={site.id} className="rule-b flex flex-wrap items-center gap-x-4 py-1.5">
                <div className="min-w-0 flex-1 basis-64">
                  <p className="font-semibold">{site.name}</p>
                  <p className="text-soft">
                    {site.packs.map((pack) => PACK_WORDS[pack]).join(', ') || 'no rule set'}
                  </p>
                </div>
                <p>
                  {(site.leakRateMethod ?? [])
                    .map((each) => `${METHOD_WORDS[each.method]} from ${dateWords(each.from)}`)
                    .join('; ') || 'annualizing'}
                </p>
                <Button weight="quiet" onClick={() => setChanging(site)}>
                  Change
                </Button>
              </li>
            ))}
          </ul>
        )}
      </Loaded>
      {changing && <MethodSheet site={changing} onClose={() => setChanging(null)} />}
    </Section>
  );
}

function MethodSheet({ site, onClose }: { site: Site; onClose: () => void }) {
  const change = useChangeMethod(site.id);
  const last = site.leakRateMethod?.at(-1)?.method ?? 'annualizing';
  const [method, setMethod] = useState<(typeof METHODS)[number]>(
    last === 'annualizing' ? 'rolling' : 'annualizing',
  );
  const [from, setFrom] = useState('');
  const [tried, setTried] = useState(false);
  const save = () => {
    setTried(true);
    if (parseDay(from) !== null) change.mutate({ from, method }, { onSuccess: onClose });
  };
  return (
    <Sheet
      title="Change the method"
      subtitle={site.name}
      onClose={onClose}
      footer={<SaveBar words="Save the change" saving={change} onSave={save} />}
    >
      <p className="mb-4 text-soft">
        One method for all machines of a site. The change holds from its day on; rates of earlier days stay as
        they were judged.
      </p>
      <Choices
        label="Method"
        value={method}
        onChange={(value) => setMethod(METHODS.find((each) => each === value) ?? 'annualizing')}
        choices={METHODS.map((value) => ({ value, words: METHOD_WORDS[value] }))}
      />
      <TextField
        label="From"
        type="date"
        value={from}
        onChange={(event) => setFrom(event.target.value)}
        error={tried && parseDay(from) === null ? 'Give the day from which it holds.' : null}
      />
    </Sheet>
  );
}
