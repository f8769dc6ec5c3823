/** What an entry would mean, before it is saved: sense, rates, headroom, and what would fall due. */
import type { Entry } from '../../core/logbook/entry';
import { deadIds } from '../../core/logbook/order';
import { type Sense, senseOf } from '../../core/logbook/sense';
import type { Cylinder } from '../../core/logbook/tables';
import { type Day, dayOf } from '../../core/quantity/day';
import type { AdditionRate } from '../../core/rules/leakRate';
import type { Packs } from '../../core/rules/packs/shipped';
import { machineFacts } from '../../core/rules/machineFacts';
import type { Standing } from '../../core/rules/standing';
import { type Machine, standingWith } from './standing';

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

export function previewOf(
  entry: Entry,
  machine: Machine,
  cylinders: readonly Cylinder[],
  packs: Packs,
  today: Day,
): GasPreview {
  const day = dayOf(entry.on);
  const asOf = (day < today ? day : today) as Day;
  const target = entry.supersedes ?? null;
  const cylinderId = 'cylinderId' in entry ? entry.cylinderId : null;
  const cylinder = cylinders.find((each) => each.id === cylinderId) ?? null;
  const targetIsDead = target !== null && deadIds(machine.entries).has(target);
  const after = standingWith(machine, packs, asOf, [entry]);
  return {
    sense: senseOf(entry, {
      today,
      cylinder,
      targetIsDead,
      machine: machineFacts(entry, standingWith(machine, packs, today, [], target)),
    }),
    before: standingWith(machine, packs, asOf, [], target),
    after,
    today: standingWith(machine, packs, today, [entry]),
    rate: after.additions.find((each) => each.gasDay.day === day) ?? null,
  };
}
