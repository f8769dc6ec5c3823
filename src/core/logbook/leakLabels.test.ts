/** Labels of leaks: never made twice on a machine, whatever is withdrawn, and told apart when two devices agree on one. */
import { expect, test } from 'vitest';
import fc from 'fast-check';
import type { Entry } from './entry';
import { labelOf, leakLabels, nextLeakLabel } from './leakLabels';

const uuid = (number: number) => `0193aaaa-0000-7000-8000-${String(number).padStart(12, '0')}`;
const found = (id: string, leakId: string, label?: string, rest: object = {}): Entry =>
  ({ id, kind: 'leakFound', on: '2026-06-01', by: 'p', applianceId: 'a', leakId, label, ...rest }) as Entry;
const voided = (id: string, supersedes: string): Entry =>
  ({ id, kind: 'void', on: '2026-06-02', by: 'p', supersedes, correctionReason: 'none' }) as Entry;

test('older files use the label as the id', () => {
  const labels = leakLabels([found('e1', 'k1'), found('e2', 'north coil')]);
  expect([...labels]).toEqual([
    ['k1', 'k1'],
    ['north coil', 'north coil'],
  ]);
  expect(nextLeakLabel(labels)).toBe('k2');
});

test('a withdrawn leak keeps its label, and the next leak takes another', () => {
  const entries = [found('e1', uuid(1), 'k1'), voided('e2', 'e1')];
  expect(nextLeakLabel(leakLabels(entries))).toBe('k2');
  expect(labelOf(leakLabels(entries), uuid(1))).toBe('k1');
});

test('two devices that both made a k3 made two leaks: the later is k3b', () => {
  const entries = [
    found('e2', uuid(2), 'k3', { at: '2026-06-01T11:00:00Z' }),
    found('e1', uuid(1), 'k3', { at: '2026-06-01T12:00:00Z' }),
  ];
  const labels = leakLabels(entries);
  expect([labelOf(labels, uuid(2)), labelOf(labels, uuid(1))]).toEqual(['k3', 'k3b']);
});

test('a leak that nobody labelled gets the first free number; one that no entry named stands for itself', () => {
  const labels = leakLabels([found('e1', uuid(7)), found('e2', 'k1')]);
  expect([labelOf(labels, uuid(7)), labelOf(labels, 'stranger')]).toEqual(['k2', 'stranger']);
});

test('no two leaks ever share a label, in whatever order entries arrive', () => {
  const leak = fc.record({
    number: fc.integer({ min: 1, max: 6 }),
    label: fc.constantFrom('k1', 'k2', 'k3'),
  });
  fc.assert(
    fc.property(fc.array(leak, { maxLength: 12 }), (leaks) => {
      const entries = leaks.map((each, index) => found(`e${String(index)}`, uuid(each.number), each.label));
      const forwards = leakLabels(entries);
      expect(new Set(forwards.values()).size).toBe(forwards.size);
      expect(new Map(leakLabels(entries.toReversed()))).toEqual(new Map(forwards));
      expect([...forwards.values()]).not.toContain(nextLeakLabel(forwards));
    }),
  );
});
