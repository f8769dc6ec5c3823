/** What became of a record after it was signed: in the order in which entries were accepted. */
import { describe, expect, test } from 'vitest';
import type { Entry } from '../logbook/entry';
import { afterSignature } from './signed';

const entry = (id: string, rest: object): Entry =>
  ({ id, kind: 'readings', on: '2026-11-20', by: 'ike', applianceId: 'a', visitId: 'v', ...rest }) as Entry;
const gas = entry('gas', { kind: 'refrigerantAdded', mass: { value: 80, unit: 'g' }, reason: 'recharge' });
const signed = entry('signed', { kind: 'handover', tool: 'signed', name: 'Runa Holt', path: 'M0 0' });
const corrected = entry('right', {
  kind: 'refrigerantAdded',
  mass: { value: 70, unit: 'g' },
  reason: 'recharge',
  supersedes: 'gas',
  correctionReason: 'slip',
});
const ids = (entries: Entry[], visit = 'v') => afterSignature(entries, visit).map((each) => each.entry.id);

describe('after the signature', () => {
  test('a correction of what was signed stands out, with what it was', () => {
    expect(afterSignature([gas, signed, corrected], 'v')).toEqual([{ entry: corrected, target: gas }]);
  });
  test('so does what was written into the visit later', () => {
    expect(ids([gas, signed, entry('late', { tool: 'arrival' })])).toEqual(['late']);
  });
  test('nothing before it, nothing of another visit, nothing while unsigned', () => {
    expect(ids([gas, corrected, signed])).toEqual([]);
    expect(ids([gas, signed, entry('other', { visitId: 'w' })])).toEqual([]);
    expect(ids([gas, corrected])).toEqual([]);
    expect(ids([gas, signed, corrected], 'w')).toEqual([]);
  });
  test('signed again, only what came after the second counts; a voided signature is none', () => {
    const again = { ...signed, id: 'again' };
    expect(ids([gas, signed, corrected, again])).toEqual([]);
    const voided = entry('void', { kind: 'void', supersedes: 'signed', correctionReason: 'wrong person' });
    expect(ids([gas, signed, voided, corrected])).toEqual([]);
  });
});
