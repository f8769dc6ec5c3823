/** Which refrigerant, with its table: only the one that is shown is loaded. */
import { Caution } from '../../parts/Caution';
import type { ReactNode } from 'react';
import { REFRIGERANT_NAMES, isFlammable, refrigerant } from '../../../core/refrigerant/refrigerant';
import { type SaturationTable, hasGlide } from '../../../core/refrigerant/saturation';
import { useTable } from '../../data/api/useTable';
import { Loaded } from '../../parts/Page';
import { SelectField } from '../../parts/Field';
import { useBench } from '../setting';

const BY_NUMBER = [...REFRIGERANT_NAMES].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));

export function RefrigerantPick({ label = 'Refrigerant' }: { label?: string }) {
  const { refrigerant: name, change } = useBench();
  return (
    <SelectField
      label={label}
      value={name ?? ''}
      onChange={(event) => change({ refrigerant: event.target.value || null })}
      hint={name === null ? 'Nobody knows yet what this machine is charged with.' : aboutWords(name)}
      choices={[
        ...(name === null ? [{ value: '', words: 'choose' }] : []),
        ...BY_NUMBER.map((value) => ({ value, words: value })),
      ]}
    />
  );
}

function aboutWords(name: string): string {
  const { safetyClass, gwp } = refrigerant(name);
  return `Class ${safetyClass}, GWP ${String(Math.round(gwp))} (100 years, fourth report)${isFlammable(name) ? '. It burns.' : ''}`;
}

/** The chosen refrigerant's table, once it is there. */
export function WithTable({ children }: { children: (table: SaturationTable) => ReactNode }) {
  const { refrigerant: name } = useBench();
  const table = useTable(name);
  if (name === null) return <ChooseFirst />;
  return <Loaded query={table}>{children}</Loaded>;
}

export const ChooseFirst = () => (
  <p className="my-4 font-semibold text-ochre">Choose the refrigerant first.</p>
);

/** Which line of the table was used, where that matters. */
export const lineWords = (table: SaturationTable, line: 'dew' | 'bubble'): string =>
  hasGlide(table) ? `${line} line of ${table.name}, which has glide` : `${table.name} has no glide`;

export function FlammableCaution() {
  const { refrigerant: name } = useBench();
  if (name === null || !isFlammable(name)) return null;
  return (
    <Caution>
      {name} burns ({refrigerant(name).safetyClass}): no flame or spark near, air the room, tools rated for
      it; purge the circuit and test the air before any hot work. A certified person does this; local code
      decides.
    </Caution>
  );
}

/** Where a verdict rests on less than the refrigerant's table is sure of. */
export function TableDoubt({ name, doubtful }: { name: string; doubtful: boolean }) {
  if (!doubtful) return null;
  return (
    <Caution>
      {name}: its table is not sure to a kelvin, and this verdict rests on less. Take it as a hint.
    </Caution>
  );
}
