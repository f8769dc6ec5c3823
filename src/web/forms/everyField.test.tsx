/** Every field that a record or a row names is shown by the one control, with its label: no field is asked nowhere. */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { found, note, repaired, standing } from '../../core/testkit/facts';
import { refrigerant } from '../../core/refrigerant/refrigerant';
import { leakLabels } from '../../core/logbook/leakLabels';
import type { AskedField } from '../../record/field';
import { beginField } from '../../record/fieldKinds';
import { placeOf } from '../../record/place';
import { askedFields } from '../../record/record';
import { KINDS, NOTE_RECORDS } from '../../record/records';
import { ROW_FORMS } from '../../record/rows/rowForms';
import { FieldControl } from './FieldControl';

const TODAY = '2026-11-23';
const worked = standing(
  [
    found('2026-05-01', 'k1'),
    found('2026-05-02', 'k2'),
    repaired('2026-05-03', 'k2'),
    note('search', '2026-05-01', { tool: 'stain', place: 'king valve', cause: 'weeping cap' }),
    note('partFitted', '2026-05-01', { part: 'Clamp-on valve', temporary: true }),
  ],
  TODAY,
);
// A hydrocarbon has a way out beside a bottle.
const present = { ...worked.present, refrigerant: refrigerant('R-290') };
const labels = leakLabels(worked.history.entries.map(({ entry }) => entry));
const place = placeOf('lb', { packs: ['us-hfc'] }, labels);

function shown(field: AskedField, machine: boolean): string {
  const context = { values: { dimension: 'pressure' }, standing: worked, labels };
  return renderToStaticMarkup(
    <QueryClientProvider client={new QueryClient()}>
      <FieldControl
        field={field}
        value={beginField(field, undefined, context)}
        error={undefined}
        place={place}
        values={context.values}
        machine={machine ? { standing: { ...worked, present }, packs: ['us-hfc'] } : null}
        onChange={() => undefined}
      />
    </QueryClientProvider>,
  );
}

const OF_RECORDS = [...Object.values(KINDS), ...Object.values(NOTE_RECORDS)].flatMap((record) =>
  askedFields(record).map((field) => [`${record.kind} ${record.note ?? ''} ${field.key}`, field] as const),
);
const OF_ROWS = Object.entries(ROW_FORMS).flatMap(([table, { fields }]) =>
  fields
    // Spaces to choose from are read from the server; without any there is nothing to ask.
    .filter(({ type }) => type !== 'serves')
    .map((field) => [`${table} ${field.key}`, field] as const),
);

const labelIn = (markup: string, { label }: AskedField): boolean =>
  markup.replaceAll('&#x27;', "'").replaceAll('&amp;', '&').includes(label);

describe('a field is shown', () => {
  test('there are fields to show', () => {
    expect(OF_RECORDS.length).toBeGreaterThan(100);
    expect(OF_ROWS.length).toBeGreaterThan(40);
  });
  test.each(OF_RECORDS)('of the record %s', (_name, field) => {
    expect(labelIn(shown(field, true), field)).toBe(true);
  });
  test.each(OF_ROWS)('of the row %s', (_name, field) => {
    expect(labelIn(shown(field, false), field)).toBe(true);
  });
});
