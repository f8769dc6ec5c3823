/** A machine folded by itself, as screens and papers fold it, against the whole logbook. */
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { bearingByMachine } from '../core/logbook/order';
import { dayOf } from '../core/quantity/day';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { logbookStandings, standingDocument } from '../core/rules/standingDocument';
import { sceneOf, storyOf, topOff } from '../core/testkit/facts';
import { logbookOf, readableOf, scene } from '../core/testkit/randomLogbooks';
import { standingWith } from './foldedMachine';

test('a machine folded from what bears on it stands as it stands in the whole logbook', () => {
  const T = dayOf('2027-03-15');
  fc.assert(
    fc.property(scene, (s) => {
      const { site, appliance, entries: rows } = logbookOf(s);
      // Every third entry is another machine's: corrections reach over, voids belong to none.
      const two = rows.map((row, index) =>
        index % 3 === 0 && row.kind !== 'void' ? { ...row, applianceId: 'b' } : row,
      );
      const one = readableOf({ site, appliance, entries: [] });
      const [machine] = one.appliances;
      if (!machine) throw new Error('no machine');
      const logbook = {
        ...one,
        appliances: [machine, { ...machine, id: 'b', name: 'b' }],
        entries: two as unknown as Entry[],
      };
      const bearing = bearingByMachine(logbook.entries);
      const [place] = logbook.sites;
      if (!place) throw new Error('no site');
      expect(
        logbook.appliances.map((each) =>
          standingDocument(
            standingWith(
              { appliance: each, site: place, entries: bearing.get(each.id) ?? [] },
              SHIPPED_PACKS,
              T,
            ),
          ),
        ),
      ).toEqual(logbookStandings(logbook, T, SHIPPED_PACKS).appliances);
    }),
    { numRuns: 150, seed: 20261127 },
  );
});

test('the same machine of the same day is folded once; another day, a draft or another entry folds anew', () => {
  const { site, appliance } = sceneOf({});
  const machine = { site, appliance, entries: storyOf([topOff('2026-05-01', 3)]) };
  const [today, tomorrow] = [dayOf('2026-06-01'), dayOf('2026-06-02')];
  const standing = standingWith(machine, SHIPPED_PACKS, today);
  expect(standingWith({ ...machine }, SHIPPED_PACKS, today)).toBe(standing);
  expect(standingWith(machine, SHIPPED_PACKS, tomorrow).history.asOf).toBe(tomorrow);
  const draft = storyOf([topOff('2026-05-20', 2)]).map((entry) => ({ ...entry, id: 'draft' }));
  expect(standingWith(machine, SHIPPED_PACKS, today, draft).additions).toHaveLength(2);
  expect(standingWith(machine, SHIPPED_PACKS, today).additions).toHaveLength(1);
  const grown = { ...machine, entries: [...machine.entries, ...draft] };
  expect(standingWith(grown, SHIPPED_PACKS, today).additions).toHaveLength(2);
  expect(standingWith({ ...machine, site: { ...site, packs: [] } }, SHIPPED_PACKS, today)).not.toBe(standing);
});
