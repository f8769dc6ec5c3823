/**
 * Prints, as JSON, rows and entries with markup wherever somebody can type words: run by the browser test with the loader that
 * our own modules need.
 */
import fc from 'fast-check';
import { WITH_FORM, written } from '../src/record/randomEntries.testkit';
import { ROW_FORMS } from '../src/record/rows/rowForms';

const [script = '', siteId = '', machineId = '', visitId = ''] = process.argv.slice(2);
const TYPED = ['text', 'long', 'numbers', 'stain'];
/** Words that stand within a field. */
const WITHIN = ['note', 'caseNote', 'notDone', 'part', 'reason', 'massUnknown', 'text'];
const SAMPLES = 1;

/** Markup in each text field of a row; what is asked otherwise is given besides. */
const marked = (table: keyof typeof ROW_FORMS, more: { id: string } & Record<string, unknown>) => ({
  table,
  row: {
    ...Object.fromEntries(
      ROW_FORMS[table].fields.filter(({ type }) => TYPED.includes(type)).map(({ key }) => [key, script]),
    ),
    ...more,
  },
});

function withScript(value: unknown, words: ReadonlySet<string>): unknown {
  if (Array.isArray(value)) return value.map((each) => withScript(each, words));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [
      key,
      typeof inner === 'string' && words.has(key) ? script : withScript(inner, words),
    ]),
  );
}

const rows = [
  marked('owners', { id: 'script-owner' }),
  marked('people', { id: 'script-person', certificates: [{ scheme: script, number: script }] }),
  marked('sites', {
    id: siteId,
    packs: ['us-hfc'],
    timezone: 'America/New_York',
    ownerId: 'script-owner',
    country: 'US',
  }),
  marked('spaces', { id: 'script-space', siteId }),
  marked('cylinders', { id: 'script-bottle', refrigerant: 'R-448A', ownerId: 'script-owner' }),
  marked('instruments', { id: 'script-gauge', dimension: 'pressure', offset: 0 }),
];
const { row: appliance } = marked('appliances', {
  id: machineId,
  siteId,
  kind: 'walkIn',
  category: 'commercialRefrigeration',
  refrigerant: 'R-448A',
  serves: ['script-space'],
});
const entries = WITH_FORM.flatMap(([name, kind, form]) => {
  const words = new Set([
    ...form.fields.filter(({ type }) => TYPED.includes(type)).map(({ key }) => key.split('.').at(-1) ?? key),
    ...WITHIN,
  ]);
  return fc.sample(written(kind, form), { numRuns: SAMPLES, seed: 7 }).map((sample, number) => ({
    ...(withScript(sample, words) as object),
    id: `script-${name}-${String(number)}`,
    kind,
    on: '2026-11-20',
    by: 'odalys',
    applianceId: machineId,
    visitId,
    // Set by the server, or named by what this walk does not make.
    seal: undefined,
    recordedAt: undefined,
    attachments: undefined,
    label: undefined,
    at: undefined,
  }));
});
process.stdout.write(JSON.stringify({ rows, appliance, entries, forms: WITH_FORM.length }));
