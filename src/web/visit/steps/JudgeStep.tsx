/** Step 3: what the readings say: ranked causes with reasons for and against, and the reading that tells most next. */
import { CONDENSER_SPLIT } from '../../../core/bench/targets';
import { observe } from '../../../core/judge/observe';
import { judge } from '../../../core/judge/rank';
import { type Observed, READING_NAMES } from '../../../core/judge/readings';
import { valueOf } from '../../../core/visit/stated';
import { readNumber, readingsSoFar } from '../../../core/visit/visitRecord';
import { Causes, Next } from '../../calculators/parts/Causes';
import { useTable } from '../../data/useTable';
import { Loaded } from '../../parts/Page';
import { carrying } from '../../../core/visit/notes';
import { noteForm, oneReading } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { usualDifference } from '../../../record/circuitOf';
import { useVisit } from '../visitContext';
import { SoFar } from './Read';

export function JudgeStep() {
  const { view, record, atmosphere } = useVisit();
  const table = useTable(view.standing.present.refrigerant.name);
  const so = readingsSoFar(record.entries);
  const number = (name: string) => readNumber(so, name);
  return (
    <>
      <SoFar />
      <Loaded query={table}>
        {(loaded) => {
          const amps = number('amps');
          const rated = number('rated');
          const read = observe({
            table: loaded,
            atmosphere,
            suction: number('suction'),
            head: number('head'),
            suctionLine: number('suctionLine'),
            liquidLine: number('liquidLine'),
            box: number('box'),
            ambient: number('ambient'),
            standing: number('standing'),
            difference: usualDifference(view),
            split: CONDENSER_SPLIT.standard,
            ampsShare: amps !== null && rated !== null && rated > 0 ? amps / rated : null,
          });
          const signs = Object.fromEntries(
            READING_NAMES.flatMap((name) => {
              const value = valueOf(so.signs[name]);
              return value === null ? [] : [[name, value]];
            }),
          );
          const observed = { ...read.observed, ...signs } as Observed;
          const judgement = judge(observed);
          const shares = Object.fromEntries(judgement.ranked.map((each) => [each.cause, each.share]));
          return (
            <>
              {Object.keys(observed).length === 0 && (
                <p className="mb-3 text-soft">
                  Nothing was read yet: the causes stand as often as they are met. Each reading moves them.
                </p>
              )}
              <Causes judgement={judgement} />
              <Next judgement={judgement} />
              {judgement.next && (
                <NoteCard
                  key={judgement.next.reading}
                  name={`next ${judgement.next.reading}`}
                  spec={oneReading(judgement.next.reading)}
                  save="Read it now"
                  main={false}
                />
              )}
              <NoteCard
                name="verdict"
                spec={noteForm('judgement')}
                save="Save the diagnosis"
                alter={(entry) => [carrying(entry, { causes: shares })]}
              />
              <p className="text-soft">
                A help to think, not a diagnosis of its own. Confirm before you open or add anything.
              </p>
            </>
          );
        }}
      </Loaded>
    </>
  );
}
