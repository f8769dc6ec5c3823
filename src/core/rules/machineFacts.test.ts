/** A record that grows by what is checked gives the facts of one that is folded anew for each entry. */
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Entry } from '../logbook/entry';
import { supersededIds } from '../logbook/order';
import { readsRecord } from '../logbook/sense';
import { dayOf } from '../quantity/day';
import { logbookOf, readableOf, scene } from '../testkit/randomLogbooks';
import { GrowingRecord, machineFacts } from './machineFacts';
import { SHIPPED_PACKS } from './packs/shipped';
import { standingFromEntries } from './standing';

const TODAY = dayOf('2026-11-23');

test('the same, entry by entry, corrections among them', () => {
  let asked = 0;
  let corrected = 0;
  fc.assert(
    fc.property(scene, fc.nat(10), (s, written) => {
      const { sites, appliances, entries } = readableOf(logbookOf(s));
      const [site, appliance] = [sites[0], appliances[0]];
      if (!site || !appliance) throw new Error('no machine');
      const sent = entries.slice(written);
      const record = new GrowingRecord({ appliance, site }, entries.slice(0, written), TODAY, SHIPPED_PACKS);
      sent.forEach((entry, index) => {
        const before: Entry[] = [...entries.slice(0, written), ...sent.slice(0, index)];
        if (readsRecord(entry)) {
          asked += 1;
          if (entry.supersedes != null) corrected += 1;
          const anew = machineFacts(
            entry,
            standingFromEntries(
              appliance,
              site,
              before.filter(({ id, applianceId }) => applianceId === 'a' && id !== entry.supersedes),
              TODAY,
              SHIPPED_PACKS,
              supersededIds(before),
            ),
          );
          const facts = record.factsFor(entry);
          expect([facts.refrigerant, facts.fullCharge, facts.repairBalance()]).toEqual([
            anew.refrigerant,
            anew.fullCharge,
            anew.repairBalance(),
          ]);
          expect(facts.history.gas).toEqual(anew.history.gas);
          expect(facts.history.retiredOn).toBe(anew.history.retiredOn);
        }
        if (entry.supersedes != null)
          expect(record.isSuperseded(entry.supersedes)).toBe(supersededIds(before).has(entry.supersedes));
        record.take(entry);
      });
    }),
    { numRuns: 250, seed: 5 },
  );
  expect(asked).toBeGreaterThan(500);
  expect(corrected).toBeGreaterThan(20);
});
