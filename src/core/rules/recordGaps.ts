/**
 * What an inspector would miss in a machine's record: each gap with the day it concerns. Codes; the words live
 * in the interface. Nothing here moves a deadline.
 */
import type { Person } from '../logbook/tables';
import { type Day, dayOf } from '../quantity/day';
import { type ObligationKind, stateOf } from './obligation';
import type { Standing } from './standing';

export type RecordGap =
  | { code: 'noFullCharge'; day: null }
  | { code: 'notWeighed'; day: Day; why: string }
  | { code: 'noCertificate'; day: Day; person: string }
  | { code: 'certificateExpired'; day: Day; person: string; expired: Day }
  | { code: 'testWithoutConditions'; day: Day; missing: ('section' | 'testGas' | 'atJoint' | 'method')[] }
  | { code: 'leakWithoutPlace'; day: Day; leakId: string }
  | { code: 'inspectionWithoutMethod'; day: Day }
  | { code: 'overdue'; day: Day; kind: ObligationKind };

/** Work that only a certified person may do. */
const CERTIFIED_WORK = ['refrigerantAdded', 'refrigerantRecovered', 'leakRepaired'];

function certificateGap(person: Person | undefined, by: string, day: Day): RecordGap | null {
  const certificates = person?.certificates ?? [];
  if (certificates.length === 0) return { code: 'noCertificate', day, person: person?.name ?? by };
  const ends = certificates.map((each) => (each.expires == null ? (Infinity as Day) : dayOf(each.expires)));
  const last = Math.max(...ends) as Day;
  return last < day ? { code: 'certificateExpired', day, person: person?.name ?? by, expired: last } : null;
}

/** Gaps by day, those without a day first. */
export function recordGaps(standing: Standing, people: readonly Person[]): RecordGap[] {
  const gaps: RecordGap[] = [];
  const byId = new Map(people.map((person) => [person.id, person]));
  if (standing.present.fullCharge === null) gaps.push({ code: 'noFullCharge', day: null });
  for (const { day, entry } of standing.history.entries) {
    if (CERTIFIED_WORK.includes(entry.kind)) {
      const gap = certificateGap(byId.get(entry.by), entry.by, day);
      if (gap) gaps.push(gap);
    }
    switch (entry.kind) {
      case 'refrigerantAdded':
      case 'refrigerantRecovered':
        if (entry.mass === null) gaps.push({ code: 'notWeighed', day, why: entry.massUnknown ?? '' });
        break;
      case 'verificationTest': {
        // A second test is made with the machine's own gas while it runs; only the first has test conditions.
        const wanted =
          entry.stage === 'initial'
            ? (['section', 'testGas', 'atJoint', 'method'] as const)
            : (['method'] as const);
        const missing = wanted.filter((key) => entry[key] == null || entry[key] === '');
        if (missing.length > 0) gaps.push({ code: 'testWithoutConditions', day, missing: [...missing] });
        break;
      }
      case 'leakFound':
        if (!entry.component && !entry.location)
          gaps.push({ code: 'leakWithoutPlace', day, leakId: entry.leakId });
        break;
      case 'leakInspection':
        if ((entry.methods ?? []).length === 0) gaps.push({ code: 'inspectionWithoutMethod', day });
        break;
      default:
    }
  }
  for (const obligation of standing.obligations) {
    if (stateOf(obligation, standing.history.asOf) === 'overdue')
      gaps.push({ code: 'overdue', day: obligation.due, kind: obligation.kind });
  }
  return gaps.sort((a, b) => (a.day ?? -Infinity) - (b.day ?? -Infinity));
}
