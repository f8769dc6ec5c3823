/** The demo story holds a real example of every state that the handbook's story names. Read as any logbook is read. */
import { beforeAll, describe, expect, test } from 'vitest';
import { leakLabels } from '../core/logbook/leakLabels';
import { readLogbook, type Logbook } from '../core/logbook/logbook';
import { dayOf } from '../core/quantity/day';
import { standingFromEntries } from '../core/rules/standing';
import { summaryOf } from '../core/rules/summary';
import { MACHINE_STATES } from '../core/rules/machineState';
import { unjudged } from '../core/rules/unjudged';
import { leakStories } from '../core/visit/leaks/leakStory';
import { afterSignature } from '../core/visit/signed';
import { demoStory } from './story';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';

const TODAY = dayOf('2026-11-23');
let story: Logbook;
beforeAll(() => {
  const read = readLogbook(JSON.parse(JSON.stringify(demoStory(TODAY))));
  if (!read.ok) throw new Error(JSON.stringify(read.refusal.slice(0, 3)));
  story = read.value;
});

const entriesOf = (id: string) => story.entries.filter((entry) => entry.applianceId === id);
function standing(id: string) {
  const appliance = story.appliances.find((each) => each.id === id);
  const site = story.sites.find((each) => each.id === appliance?.siteId);
  if (!appliance || !site) throw new Error(`No ${id} in the story.`);
  return standingFromEntries(appliance, site, entriesOf(id), TODAY, SHIPPED_PACKS);
}

describe('the story', () => {
  test('is the same for the same day, and about as large as told', () => {
    expect(demoStory(TODAY)).toEqual(demoStory(TODAY));
    expect(story.appliances.length).toBeGreaterThanOrEqual(108);
    expect(story.appliances.length).toBeLessThanOrEqual(116);
    expect(story.cylinders).toHaveLength(26);
    expect(story.entries.length).toBeGreaterThan(2500);
  });

  test('has machines of every state but retired', () => {
    const states = new Set(story.appliances.map(({ id }) => summaryOf(standing(id)).state));
    expect([...states].sort()).toEqual(MACHINE_STATES.filter((state) => state !== 'retired').sort());
  });

  test('says who the work is for: the company, an owner and an address for each site, notes of access', () => {
    expect(story.company).toMatchObject({ name: 'Brindle & Hook Refrigeration' });
    for (const site of story.sites) {
      expect(story.owners?.map((each) => each.id)).toContain(site.ownerId);
      expect(site.address).toBeTruthy();
      expect(site.access).toBeTruthy();
    }
    const schemes = story.people.flatMap((each) => (each.certificates ?? []).map((of) => of.scheme));
    expect(new Set(schemes).size).toBeGreaterThan(1);
  });

  test('has one bottle whose retest is overdue, and none without tare, capacity and retest day', () => {
    const late = story.cylinders.filter((each) => each.retestOn != null && dayOf(each.retestOn) < TODAY);
    expect(late).toHaveLength(1);
    for (const cylinder of story.cylinders)
      expect([cylinder.tare, cylinder.waterCapacityL, cylinder.retestOn]).not.toContain(undefined);
  });

  test('puts only gas into a machine that its bottle holds', () => {
    const cylinders = new Map(story.cylinders.map((each) => [each.id, each.refrigerant]));
    for (const entry of story.entries) {
      if (entry.kind !== 'refrigerantAdded' || entry.cylinderId == null || entry.applianceId == null)
        continue;
      expect(cylinders.get(entry.cylinderId), entry.applianceId).toBe(
        standing(entry.applianceId).present.refrigerant?.name,
      );
    }
  });

  test('renamed one machine and moved another, both with their earlier row', () => {
    const rows = (id: string) =>
      (story.revisions ?? []).filter((each) => each.id === id).map((each) => each.row);
    expect(rows('flower-1').map((row) => row['name'])).toEqual(['Rose cooler', 'Flower room 1']);
    expect(rows('fennel-7').map((row) => row['siteId'])).toEqual(['halls', 'fennel-row']);
  });

  test('found one machine empty whose charge nobody knows: it cannot be judged, and 61 lb were seen in it', () => {
    const found = unjudged(standing('found-empty'));
    expect(found?.code === 'fullCharge' && found.wouldCover.map((pack) => pack.id)).toEqual(['us-hfc']);
  });

  test('withdrew a verdict that the owner was told, and a later leak has another label', () => {
    const { history, leaks } = standing('flower-3');
    const labels = leakLabels(entriesOf('flower-3'));
    expect(leakStories(history.entries, leaks, labels).map((each) => [each.label, each.state])).toEqual([
      ['k1', 'withdrawn'],
    ]);
  });

  test('corrected a signed visit afterwards: 70 g went in, not 80', () => {
    const changes = afterSignature(entriesOf('kiosk-cooler'), 'visit-kiosk');
    expect(changes.map(({ entry, target }) => [entry, target])).toMatchObject([
      [{ mass: { value: 70, unit: 'g' } }, { mass: { value: 80, unit: 'g' } }],
    ]);
    // 70 g in, 21 g repaid, of 70 g: 70 % a year; house rule, evacuated, normal operation that day: 30 days.
    const kiosk = standing('kiosk-cooler');
    expect(kiosk.additions.at(-1)?.millionths).toBe(70_000_000);
    expect(kiosk.obligations.find((each) => each.kind === 'followUpTest')?.due).toBe(dayOf('2026-12-14'));
  });

  test('converted one of the two units on the milk tank, and both hold 9 kg of R-449A today', () => {
    for (const id of ['tank-unit-1', 'tank-unit-2']) {
      const { present } = standing(id);
      expect(present.refrigerant?.name).toBe('R-449A');
      expect(Number(present.fullCharge) / Number(standing('tank-unit-1').present.fullCharge)).toBe(1);
    }
  });

  test('answers for the street since the day it was brought in', () => {
    const street = story.appliances.filter((each) => each.siteId === 'fennel-row');
    expect(street).toHaveLength(40);
    for (const machine of street) expect(machine.recordFrom).toBe('2022-12-14');
  });
});
