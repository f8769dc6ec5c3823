/** What an entry would mean, before it is saved: sense, rates, headroom, and what would fall due. */
import type { Entry } from '../../../core/logbook/entry';
import { supersededIds } from '../../../core/logbook/order';
import { type Sense, senseOf } from '../../../core/logbook/sense';
import type { Cylinder } from '../../../core/logbook/tables';
import { type Day, dayOf } from '../../../core/quantity/day';
import type { AdditionRate } from '../../../core/rules/leakRate';
import type { Packs } from '../../../core/rules/packs/shipped';
import { machineFacts } from '../../../core/rules/machineFacts';
import type { Standing } from '../../../core/rules/standing';
import { type Machine } from './standing';
import { standingWith } from '../../../record/foldedMachine';

/** The machine without the entry that is typed, folded once: it stays the same while an amount is typed. */
export interface Beforehand {
  machine: Machine;
  packs: Packs;
  today: Day;
  /** the day of the entry, or today where that has not come */
  asOf: Day;
  /** id of what the entry corrects */
  target: string | null;
  before: Standing;
  present: Standing;
}

export function beforehand(
  machine: Machine,
  packs: Packs,
  today: Day,
  on: string,
  target: string | null,
): Beforehand {
  const day = on === '' ? today : dayOf(on);
  const asOf = (day < today ? day : today) as Day;
  const present = standingWith(machine, packs, today, [], target);
  const before = asOf === today ? present : standingWith(machine, packs, asOf, [], target);
  return { machine, packs, today, asOf, target, before, present };
}

export interface GasPreview {
  sense: Sense;
  /** as of the entry's day, without it */
  before: Standing;
  /** as of the entry's day, with it */
  after: Standing;
  /** as of today, with it */
  today: Standing;
  /** the rates of the entry's day, if something counts */
  rate: AdditionRate | null;
}

/** One fold for what is written today; paper of an earlier day takes another, for what follows from it by now. */
export function previewOf(
  entry: Entry,
  { machine, packs, today, asOf, target, before, present }: Beforehand,
  cylinders: readonly Cylinder[],
): GasPreview {
  const cylinderId = 'cylinderId' in entry ? entry.cylinderId : null;
  const after = standingWith(machine, packs, asOf, [entry]);
  return {
    sense: senseOf(entry, {
      today,
      cylinder: cylinders.find((each) => each.id === cylinderId) ?? null,
      targetIsSuperseded: target !== null && supersededIds(machine.entries).has(target),
      machine: machineFacts(entry, present),
    }),
    before,
    after,
    today: asOf === today ? after : standingWith(machine, packs, today, [entry]),
    rate: after.additions.find((each) => each.gasDay.day === dayOf(entry.on)) ?? null,
  };
}
