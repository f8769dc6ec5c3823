/** Adding a site or a machine: the site that was just added is where the next machine stands, most likely. */
import { useState } from 'react';
import { AddMachine } from './AddMachine';
import { AddSite } from './AddSite';

export type Added = 'site' | 'machine' | null;

export function Adding({
  what,
  site = '',
  onChange,
}: {
  what: Added;
  /** where a machine is to stand; empty: at the site that was added, or as somebody chooses */
  site?: string;
  onChange: (what: Added) => void;
}) {
  const [added, setAdded] = useState('');
  if (what === 'site')
    return (
      <AddSite
        onClose={(made) => {
          if (made !== undefined) setAdded(made);
          onChange(null);
        }}
      />
    );
  return (
    what === 'machine' && (
      <AddMachine
        initialSite={site || added}
        onClose={() => onChange(null)}
        onAddSite={() => onChange('site')}
      />
    )
  );
}
