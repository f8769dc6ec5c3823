/** What the form of gas begins with in a visit: as the last portion was written, and as what goes back where gas was taken out. */
import type { AddedReason, Entry, EntryOf, RecoveredReason } from '../core/logbook/entry';
import type { Values } from './field';
import type { GasKind } from './forms';

/** As what gas goes back that was taken out for this. */
const GOES_BACK: Partial<Record<RecoveredReason, AddedReason>> = {
  repair: 'recharge',
  seasonal: 'seasonal',
  retrofit: 'retrofit',
};

/** Reason, bottle, leak and why nobody weighs stay; the figure is a new one. */
function asBefore(last: EntryOf<GasKind>): Values {
  const { reason, cylinderId, massUnknown } = last;
  return { reason, cylinderId, massUnknown, ...('leakId' in last ? { leakId: last.leakId } : {}) };
}

/** `before`: entries of the machine in this visit, in their order. */
export function portionAfter(kind: GasKind, before: readonly Entry[]): Values {
  const last = before.findLast((entry): entry is EntryOf<GasKind> => entry.kind === kind);
  if (last) return asBefore(last);
  if (kind === 'refrigerantRecovered') return {};
  const takenOut = before.findLast((entry) => entry.kind === 'refrigerantRecovered');
  const reason = takenOut && GOES_BACK[takenOut.reason];
  return reason ? { reason } : {};
}
