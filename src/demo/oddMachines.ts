/** Machines that show what a record can be unsure of: no charge known, a verdict withdrawn, gas moved between two units. */
import { MachineStory } from './machine';
import type { StoryWriter } from './writer';

export function writeOddMachines(story: StoryWriter): void {
  foundEmpty(story);
  withdrawnVerdict(story);
  milkTank(story);
}

/** It came into the record empty; nobody knows what it holds, and what was weighed in leaked out again. */
function foundEmpty(story: StoryWriter): void {
  const empty = new MachineStory(
    story,
    {
      id: 'found-empty',
      siteId: 'halls',
      name: 'Hall 9 walk-in freezer 27',
      kind: 'walkIn',
      category: 'commercialRefrigeration',
      refrigerant: 'R-404A',
      recordFrom: story.date(-80),
      location: 'behind the fish counter',
      access: 'Key at the gate; the nameplate is painted over.',
    },
    'lb',
  );
  empty.added(-80, 'tobiah', 61, 'topOff', {
    note: 'found empty, no nameplate; weighed in until the glass was clear',
  });
  const leak = empty.found(-80, 'tobiah', 'drier joint', 'roof');
  empty.repaired(-80, 'tobiah', leak, 'brazed under nitrogen', true);
  empty.passed(-80, 'tobiah', 'initial', [leak]);
  empty.added(-6, 'ike', 17, 'topOff', { note: 'glass bubbles again, no hit yet' });
}

/** Soap left by somebody was taken for a leak, and the owner was told; the repair stays as work. */
function withdrawnVerdict(story: StoryWriter): void {
  const machine = 'flower-3';
  const found = story.log('leakFound', machine, -120, 'tobiah', {
    leakId: 'k1',
    component: 'sight glass',
    location: 'unit on the roof',
    methods: ['bubbles'],
    part: 'sightGlass',
  });
  const why = 'the foam was cleaner left on the glass; dry and silent for two days';
  story.log('search', machine, -118, 'marit', {
    tool: 'withdrawal',
    leakId: 'k1',
    place: 'sight glass, unit on the roof',
    why,
    toldOwner: 'yes',
    supersedes: found,
    correctionReason: why,
  });
}

/** Two units cool one tank; one was converted, and its gas was moved from one to the other once. */
function milkTank(story: StoryWriter): void {
  story.spaces.push({ id: 'tank-1', siteId: 'dairy', name: 'milk tank 1' });
  const unit = (number: number, refrigerant: string) =>
    new MachineStory(
      story,
      {
        id: `tank-unit-${String(number)}`,
        siteId: 'dairy',
        name: `Tank 1 unit ${String(number)}`,
        kind: 'milkTank',
        category: 'commercialRefrigeration',
        refrigerant,
        installedOn: story.date(-2600),
        recordFrom: story.date(-1440),
        serves: ['tank-1'],
        assembly: 'Milk tank 1',
      },
      'kg',
    );
  const left = unit(1, 'R-449A');
  left.fullCharge(-1440, 'marit', 9).inspected(-300, 'ike').inspected(-20, 'ike');
  const right = unit(2, 'R-404A');
  right.fullCharge(-1440, 'marit', 9.5).inspected(-620, 'ike');
  right.recovered(-600, 'marit', 9.3, 'retrofit');
  right.log('retrofitted', -600, 'marit', { toRefrigerant: 'R-449A' });
  right.added(-600, 'marit', 9, 'retrofit');
  right.fullCharge(-600, 'marit', 9, 'weighed', 'weighed in after the conversion');
  right.inspected(-300, 'ike').inspected(-20, 'ike');
  // The left one was opened for a valve; its gas waited in the right one's bottle and went back.
  left.recovered(-45, 'marit', 8.6, 'repair', {
    cylinderId: 'bottle-19',
    into: 'cylinder',
    note: 'a valve exchanged',
  });
  left.added(-45, 'marit', 8.6, 'recharge', { cylinderId: 'bottle-19' });
}
