import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { type Logbook, readLogbook } from './logbook';
import { jsonPath, problemText } from './problems';

const SAMPLE = 'src/core/rules/samples/seasonal.logbook.json';
const sample = () => JSON.parse(readFileSync(SAMPLE, 'utf8')) as Record<string, unknown> & Logbook;

/** The problems after a change to a logbook that was right. */
function problemsAfter(change: (logbook: ReturnType<typeof sample>) => void): string[] {
  const logbook = sample();
  change(logbook);
  const read = readLogbook(logbook);
  return read.ok ? [] : read.refusal.map((problem) => jsonPath(problem.path));
}
const set = (target: unknown, values: object) => Object.assign(target as object, values);

describe('reading a logbook', () => {
  it('takes a logbook that is right, and gives it back as it was', () => {
    const read = readLogbook(sample());
    expect(read.ok && read.value).toEqual(sample());
  });

  it.each<[string, (l: ReturnType<typeof sample>) => void, string]>([
    ['a missing table', (l) => delete (l as Record<string, unknown>)['people'], '$.people'],
    ['an unknown field', (l) => set(l.sites[0], { colour: 'red' }), '$.sites[0].colour'],
    [
      'an unknown field deep inside',
      (l) => set(l.entries[1], { mass: { value: 1, unit: 'lb', gross: 3 } }),
      '$.entries[1].mass.gross',
    ],
    ['another format', (l) => set(l, { format: 'other' }), '$.format'],
    ['another version', (l) => set(l, { version: 2 }), '$.version'],
    ['an unknown kind', (l) => set(l.entries[1], { kind: 'gasAdded' }), '$.entries[1].kind'],
    [
      'an unknown unit',
      (l) => set(l.entries[1], { mass: { value: 1, unit: 'stone' } }),
      '$.entries[1].mass.unit',
    ],
    ['an unknown pack', (l) => set(l.sites[0], { packs: ['us-xx'] }), '$.sites[0].packs[0]'],
    [
      'an unknown refrigerant',
      (l) => set(l.appliances[0], { refrigerant: 'R-999' }),
      '$.appliances[0].refrigerant',
    ],
    ['an unknown site', (l) => set(l.appliances[0], { siteId: 'nowhere' }), '$.appliances[0].siteId'],
    ['an unknown space', (l) => set(l.appliances[0], { serves: ['attic'] }), '$.appliances[0].serves[0]'],
    ['an unknown machine', (l) => set(l.entries[0], { applianceId: 'nobody' }), '$.entries[0].applianceId'],
    ['a date that does not exist', (l) => set(l.entries[0], { on: '2026-02-29' }), '$.entries[0].on'],
    [
      'an instant without an offset',
      (l) => set(l.entries[0], { at: '2026-02-28T10:00:00' }),
      '$.entries[0].at',
    ],
    ['an id that stands twice', (l) => set(l.entries[1], { id: 'y01' }), '$.entries[1].id'],
    [
      'superseding nobody',
      (l) => set(l.entries[1], { supersedes: 'nobody', correctionReason: 'x' }),
      '$.entries[1].supersedes',
    ],
    [
      'superseding itself',
      (l) => set(l.entries[1], { supersedes: 'y02', correctionReason: 'x' }),
      '$.entries[1].supersedes',
    ],
    [
      'a correction without a reason',
      (l) => set(l.entries[1], { supersedes: 'y01' }),
      '$.entries[1].correctionReason',
    ],
    [
      'a negative mass',
      (l) => set(l.entries[1], { mass: { value: -1, unit: 'lb' } }),
      '$.entries[1].mass.value',
    ],
    [
      'a full charge of nothing',
      (l) => set(l.entries[14], { mass: { value: 0, unit: 'lb' } }),
      '$.entries[14].mass.value',
    ],
    ['a range without its high end', (l) => set(l.entries[0], { high: null }), '$.entries[0].high'],
    ['no weight and no reason', (l) => set(l.entries[5], { massUnknown: null }), '$.entries[5].massUnknown'],
    ['a void that names nobody', (l) => set(l.entries[8], { supersedes: null }), '$.entries[8].supersedes'],
  ])('refuses %s with its path', (_, change, path) => {
    expect(problemsAfter(change)).toContain(path);
  });

  it('asks an extension on other grounds for its day, and a changed record for what changed', () => {
    const entry = { id: 'z1', on: '2026-08-01', by: 'ike', applianceId: 'plant' };
    expect(
      problemsAfter((l) => l.entries.push({ ...entry, kind: 'extension', ground: 'otherRule' })),
    ).toEqual(['$.entries[16].until']);
    expect(problemsAfter((l) => l.entries.push({ ...entry, kind: 'applianceChanged' }))).toEqual([
      '$.entries[16].category',
    ]);
  });

  it('gives every problem at once, in sentences that say the remedy', () => {
    const logbook = sample();
    set(logbook.sites[0], { packs: undefined });
    set(logbook.entries[0], { on: 'yesterday' });
    const read = readLogbook(logbook);
    expect(read.ok ? [] : read.refusal.map(problemText)).toEqual([
      '$.sites[0].packs: is missing; give an array',
      '$.entries[0].on: must be a date that exists, written YYYY-MM-DD',
    ]);
  });

  it.each<[string, (l: ReturnType<typeof sample>) => void]>([
    ['x- fields', (l) => set(l.entries[0], { 'x-scale': { serial: 7 } })],
    [
      'null where a field is optional',
      (l) => set(l.appliances[0], { installedOn: null, serves: null, hermetic: null }),
    ],
    ['a leak that was never found', (l) => set(l.entries[3], { leakId: 'k99' })],
    [
      'a person and a bottle that the file does not hold',
      (l) => set(l.entries[3], { by: 'stranger', cylinderId: 'b9' }),
    ],
    [
      'whatever a tool gives',
      (l) =>
        l.entries.push({
          id: 'z1',
          kind: 'readings',
          on: '2026-08-01',
          by: 'ike',
          applianceId: 'plant',
          suction: [1, 2],
        } as never),
    ],
    [
      'a bottle entry without a machine',
      (l) =>
        l.entries.push({
          id: 'z1',
          kind: 'cylinderWeighed',
          on: '2026-08-01',
          by: 'ike',
          cylinderId: 'b1',
          gross: { value: 30, unit: 'kg' },
        }),
    ],
    ['gas before installation and after retirement', (l) => set(l.entries[13], { on: '2001-01-01' })],
  ])('takes %s', (_, change) => {
    expect(problemsAfter(change)).toEqual([]);
  });
});
