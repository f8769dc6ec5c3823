/** A machine folded by itself, as screens and papers fold it, against the whole logbook. */
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { bearingByMachine } from '../core/logbook/order';
import { dayOf } from '../core/quantity/day';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { logbookStandings, standingDocument } from '../core/rules/standingDocument';
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
