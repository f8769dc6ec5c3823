/** A pressure test as it runs: section, gas and limit, the series with its times, and how it ended. */
import { useState } from 'react';
import { TEST_GASES } from '../../../core/logbook/entry';
import { takenOf } from '../../../core/visit/tests/pressureTests';
import { TEST_METHODS } from '../../../core/visit/notes/notes';
import type { PressureTestJudged } from '../../../core/calculators/pressureTest';
import { measureText } from '../../../core/quantity/measure';
import { unitFact } from '../../../core/quantity/units';
import { choices } from '../../../words/choice';
import { clockWords } from '../../../words/dates';
import { durationWords } from '../../../words/measures';
import { PRESSURE_TEST_SAID, LOSS_IN_DOUBT, WEAK_WORDS } from '../../../words/calculators';
import { TEST_GAS_WORDS, TEST_METHOD_WORDS } from '../../../words/leaks';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { TextField } from '../../parts/Field';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';
import type { PressureTestOfVisit } from './usePressureTest';

export function PressureTestPanel({ hold }: { hold: PressureTestOfVisit }) {
  const { draft, set, running, section } = hold;
  return (
    <section aria-label="Standing pressure test" className="mb-3">
      {running ? (
        <Running hold={hold} />
      ) : (
        <>
          <TextField
            label="Section under test"
            hint="Touch where the gauge sits on the drawing, or name it."
            value={draft.section || section}
            onChange={(event) => set({ ...draft, section: event.target.value })}
          />
          <p className="mb-1 font-semibold">Test gas</p>
          <Choices
            label="Test gas"
            value={draft.testGas}
            onChange={(testGas) => set({ ...draft, testGas })}
            choices={choices(TEST_GASES, TEST_GAS_WORDS)}
          />
          <TextField
            label="Least marked design pressure"
            optional
            inputMode="decimal"
            hint={`A bare number is in ${draft.unit}. Never above it.`}
            value={draft.design}
            onChange={(event) => set({ ...draft, design: event.target.value })}
          />
        </>
      )}
    </section>
  );
}

function Running({ hold }: { hold: PressureTestOfVisit }) {
  const { view } = useVisit();
  const { running, judged } = hold;
  if (!running) return null;
  return (
    <>
      <p>
        <span className="font-semibold">{running.section}</span>
        {typeof running.testGas === 'string' && `, ${TEST_GAS_WORDS[running.testGas]}`}
      </p>
      <ol aria-label="Readings of this test" className="my-1">
        {running.readings.map((each) => (
          <li key={each.entryId} className="rule-b flex gap-4 py-1 tabular-nums">
            <span className="w-16 text-soft">
              {each.at === null ? 'no time' : clockWords(each.at, view.machine.site.timezone)}
            </span>
            <span className="font-semibold">{each.pressure.typed}</span>
            <span className="text-soft">
              {each.temperature !== null &&
                measureText('temperature', each.temperature, hold.draft.temperatureUnit)}
            </span>
          </li>
        ))}
      </ol>
      {judged ? (
        <Said judged={judged} unit={running.readings[0]?.pressure.unit ?? 'psig'} />
      ) : (
        <p role="status">One reading: read again in ten minutes or more.</p>
      )}
      <EndOfTest hold={hold} />
    </>
  );
}

/** In the unit that was typed, as a difference. */
const lossWords = (pascals: number, unit: string): string => {
  const { factor, decimals } = unitFact('pressure', unit);
  return `${Math.abs(pascals / factor).toFixed(Math.max(1, decimals))} ${unit.replace(/g$/, '')}`;
};

function Said({ judged, unit }: { judged: PressureTestJudged; unit: string }) {
  const { word, firm, tail, neededS, weak } = judged;
  const { title, about } = PRESSURE_TEST_SAID[word];
  const perHour = (rate: number): string => `${lossWords(rate * 3600, unit)} an hour`;
  return (
    <div className="mb-2" role="status">
      <p>
        <span className={`font-semibold ${word === 'losing' ? 'text-brick' : ''}`}>
          {firm || word === 'cannotTell' ? title : `${title}, by what was read so far`}.
        </span>{' '}
        {about} {word === 'losing' && `Between ${perHour(tail.loss.low)} and ${perHour(tail.loss.high)}. `}
        {tail.fell && `${lossWords(tail.fall, unit)} at first. `}
        {word !== 'losing' &&
          word !== 'risen' &&
          tail.settling !== 'still' &&
          `Up to ${perHour(Math.max(0, tail.loss.high))} could still hide. `}
      </p>
      <p className="text-soft">
        {!firm && word === 'losing' && `${LOSS_IN_DOUBT} `}
        {!firm &&
          word !== 'losing' &&
          (neededS === null
            ? 'The full charge is not known, so nobody can say how small a leak matters. '
            : `${durationWords(neededS)} more until a leak of a tenth of the charge a year would be found, or excluded, in 95 of 100. `)}
        {weak.map((each) => WEAK_WORDS[each]).join(' ')}
      </p>
    </div>
  );
}

/** The result is the person’s: nothing is chosen before. With a repaired leak it can be the first test that the law asks. */
function EndOfTest({ hold }: { hold: PressureTestOfVisit }) {
  const { view, newEntry } = useVisit();
  const deed = useVisitWrite('end of hold');
  const [result, setResult] = useState('');
  const [besides, setBesides] = useState<readonly string[]>([]);
  const { running } = hold;
  const repaired = [...view.standing.leaks.byId.values()].filter((leak) => leak.state === 'repaired');
  const last = running?.readings.at(-1)?.pressure;
  if (!running || !last) return null;
  const timed = takenOf(running);
  const minutes = Math.round((timed.at(-1)?.at ?? 0) / 60);
  const stood = { typed: `${String(minutes)} min`, si: minutes * 60, unit: 'min' };
  const names = view.names.leaks;
  const write = async (asLegal: boolean) => {
    const entry = asLegal
      ? newEntry('verificationTest', {
          stage: 'initial',
          result,
          leakIds: repaired.map((leak) => leak.id),
          section: running.section,
          testGas: typeof running.testGas === 'string' ? running.testGas : null,
          atJoint: { value: Number(/-?[\d.]+/.exec(last.typed)?.[0] ?? NaN), unit: last.unit },
          method: ['gauge', ...besides].map((each) => TEST_METHOD_WORDS[each as 'gauge']).join(', '),
          'x-conditions': { minutes: stood },
        })
      : newEntry('pressureHold', {
          tool: 'jointTest',
          result,
          conditions: {
            section: running.section,
            testGas: running.testGas ?? null,
            atJoint: last,
            minutes: stood,
            method: 'gauge',
            otherMethods: besides.length > 0 ? besides : null,
          },
        });
    if (
      await deed.save(
        [entry],
        asLegal ? 'First test: in the logbook.' : 'Test of the section: in the logbook.',
      )
    ) {
      setResult('');
      setBesides([]);
    }
  };
  return (
    <div className="rule-t pt-2">
      <p className="mb-1 font-semibold">End of the test</p>
      <Choices
        label="Result"
        value={result}
        onChange={setResult}
        choices={[
          { value: 'pass', words: 'passed' },
          { value: 'fail', words: 'failed' },
        ]}
      />
      {result !== '' && (
        <>
          <div className="mb-2 flex flex-wrap gap-2" role="group" aria-label="Besides the gauge">
            {TEST_METHODS.filter((each) => each !== 'gauge' && each !== 'vacuum').map((each) => (
              <Button
                key={each}
                className="px-3"
                aria-pressed={besides.includes(each)}
                onClick={() =>
                  setBesides(
                    besides.includes(each) ? besides.filter((other) => other !== each) : [...besides, each],
                  )
                }
              >
                {besides.includes(each) ? '✓ ' : ''}
                {TEST_METHOD_WORDS[each]}
              </Button>
            ))}
          </div>
          <ApiError error={deed.error} />
          <div className="flex flex-wrap gap-2">
            {repaired.length > 0 && (
              <Button weight="main" disabled={deed.writing} onClick={() => void write(true)}>
                First test after repair of {repaired.map((leak) => names.get(leak.id) ?? leak.id).join(', ')}
              </Button>
            )}
            <Button disabled={deed.writing} onClick={() => void write(false)}>
              Test of this section
            </Button>
          </div>
        </>
      )}
    </div>
  );
}
