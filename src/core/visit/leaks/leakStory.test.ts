/** Leaks from suspicion to the second test: states, evidence, verdicts withdrawn. Leak states by the rules of handbook 2.5. */
import { describe, expect, test } from 'vitest';
import { type Fact, followUpPass, initialPass, note, repaired, standing } from '../../testkit/facts';
import { type LeakStory, gradeOfMethods, isFound, leakStories } from './leakStory';

const TODAY = '2026-11-23';
const stories = (...facts: Fact[]): LeakStory[] => {
  const { history, leaks } = standing(facts, TODAY);
  return leakStories(history.entries, leaks);
};
const spot = (on: string, rest: object) => note('search', on, { tool: 'spot', ...rest });
const found = (on: string, methods: string[] = ['bubbles']) =>
  note('leakFound', on, { leakId: 'k1', component: 'Flare nut', location: 'roof', methods });

test.each<[string, Fact[], string]>([
  ['found', [found('2026-11-01')], 'confirmed'],
  ['repaired', [found('2026-11-01'), repaired('2026-11-02')], 'repaired'],
  ['first test', [found('2026-11-01'), repaired('2026-11-02'), initialPass('2026-11-03')], 'tested'],
  [
    'second test',
    [found('2026-11-01'), repaired('2026-11-02'), initialPass('2026-11-03'), followUpPass('2026-11-04')],
    'testedAgain',
  ],
])('%s', (_, facts, state) => {
  expect(stories(...facts)).toMatchObject([{ id: 'k1', state, place: 'Flare nut, roof', grade: 'bubbles' }]);
});

describe('suspected', () => {
  const hit = spot('2026-11-01', { part: 'drier', mark: 'hit', grade: 'detectorHit', words: 'Drier, unit' });

  test('a hit alone is never told as found', () => {
    const [story] = stories(hit);
    expect(story).toMatchObject({ state: 'suspected', grade: 'detectorHit', place: 'Drier, unit' });
    expect(story && isFound(story)).toBe(false);
  });

  test('explained by its cause it is dismissed; looked at again without a hit it stays as it was', () => {
    const dismissed = spot('2026-11-02', { part: 'drier', mark: 'false', cause: 'spilledOil' });
    expect(stories(hit, dismissed)).toMatchObject([{ state: 'dismissed', falseCause: 'spilledOil' }]);
    expect(stories(hit, spot('2026-11-02', { part: 'drier', mark: 'lookedAt' }))[0]?.state).toBe('suspected');
  });

  test('renewed and then tested, a part is under no suspicion; neither alone clears it', () => {
    const renewed = note('partFitted', '2026-11-02', { tool: 'drier', part: 'Drier, unit', changed: 'yes' });
    const passed = note('pressureHold', '2026-11-03', {
      tool: 'jointTest',
      conditions: { section: 'low side' },
      result: 'pass',
    });
    expect(stories(hit, renewed, passed)).toEqual([]);
    expect(stories(hit, renewed)[0]?.state).toBe('suspected');
    expect(stories(hit, passed)[0]?.state).toBe('suspected');
    // A new hit after it was renewed is a new suspicion.
    const again = spot('2026-11-04', { part: 'drier', mark: 'hit', grade: 'audible', words: 'Drier, unit' });
    expect(stories(hit, renewed, passed, again)).toMatchObject([{ state: 'suspected', grade: 'audible' }]);
  });

  test('the next leak is none yet: no suspicion, no leak', () => {
    expect(stories(spot('2026-11-01', { part: 'drier', mark: 'nextLeak', why: 'rusted' }))).toEqual([]);
  });

  test('confirmed, it is the leak and no suspicion beside it', () => {
    const confirmed = spot('2026-11-01', {
      part: 'drier',
      mark: 'confirmed',
      grade: 'bubbles',
      leakId: 'k1',
    });
    expect(stories(hit, found('2026-11-01'), confirmed).map((each) => each.state)).toEqual(['confirmed']);
  });

  test('exchanged on suspicion it is repaired in law and not told as found, until the bench proves it', () => {
    const exchange = [
      hit,
      note('leakRepaired', '2026-11-02', {
        leakId: 'k1',
        'x-suspected': true,
        'x-part': 'drier',
        'x-place': 'Drier, unit',
      }),
      spot('2026-11-02', { part: 'drier', mark: 'hit', grade: 'detectorHit', leakId: 'k1' }),
      note('search', '2026-11-02', { tool: 'evidence', leakId: 'k1', grade: 'detectorHit' }),
    ];
    const [before] = stories(...exchange);
    expect(stories(...exchange)).toHaveLength(1);
    expect(before).toMatchObject({ state: 'repaired', onSuspicion: true, place: 'Drier, unit' });
    expect(before && isFound(before)).toBe(false);
    const [after] = stories(
      ...exchange,
      note('search', '2026-11-20', { tool: 'evidence', leakId: 'k1', grade: 'bench' }),
    );
    expect(after).toMatchObject({ onSuspicion: false, grade: 'bench' });
    expect(after && isFound(after)).toBe(true);
  });
});

test('running on with it is a decision with a person, a reason and an end; the repair ends it', () => {
  const decision = note('readings', '2026-11-02', {
    tool: 'decision',
    choice: 'runOn',
    leakId: 'k1',
    why: 'valve on order',
    decidedBy: 'Prue Castellan',
    until: '2026-12-15',
  });
  expect(stories(found('2026-11-01'), decision)).toMatchObject([
    { state: 'deferred', deferred: { decidedBy: 'Prue Castellan', until: '2026-12-15' } },
  ]);
  expect(stories(found('2026-11-01'), decision, repaired('2026-11-10'))[0]?.state).toBe('repaired');
});

test('a withdrawn verdict is no leak in law, and is said on the next paper', () => {
  const facts = [
    { ...found('2026-11-01'), id: 'found' },
    note('search', '2026-11-05', {
      tool: 'withdrawal',
      leakId: 'k1',
      place: 'Flare nut, roof',
      why: 'it was the drain pan below',
      toldOwner: 'yes',
      supersedes: 'found',
      correctionReason: 'it was the drain pan below',
    }),
  ];
  expect(stories(...facts)).toMatchObject([
    { state: 'withdrawn', because: 'it was the drain pan below', toldOwner: true },
  ]);
  expect(standing(facts, TODAY).leaks.hasOpen()).toBe(false);
});

test('evidence has grades, and the best counts', () => {
  expect(gradeOfMethods(['electronic', 'bubbles'])).toBe('bubbles');
  expect(gradeOfMethods(['electronic'])).toBe('detectorHit');
  expect(gradeOfMethods(['somebody said'])).toBeNull();
});
