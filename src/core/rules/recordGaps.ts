/**
 * What an inspector would miss in a machine's record: each gap with the day it concerns. Codes; the words live
 * in the interface. Nothing here moves a deadline.
 */
import type { Person } from '../logbook/tables';
import type { Day } from '../quantity/day';
import { certifiedOn, isCertifiedWork } from './certified';
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

function certificateGap(person: Person | undefined, by: string, day: Day): RecordGap | null {
  const certified = certifiedOn(person, day);
  const name = person?.name ?? by;
  if (certified.is === 'lacks') return { code: 'noCertificate', day, person: name };
  return certified.is === 'ended'
    ? { code: 'certificateExpired', day, person: name, expired: certified.on }
    : null;
}

/** Gaps by day, those without a day first. */
export function recordGaps(standing: Standing, people: readonly Person[]): RecordGap[] {
  const gaps: RecordGap[] = [];
  const byId = new Map(people.map((person) => [person.id, person]));
  if (standing.present.fullCharge === null) gaps.push({ code: 'noFullCharge', day: null });
  for (const { day, entry } of standing.history.entries) {
    if (isCertifiedWork(entry.kind)) {
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
