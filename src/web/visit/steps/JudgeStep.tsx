/** Step 3: what the readings say: the leading causes beside the drawing, what speaks for each, and what to read next. */
import { useState } from 'react';
import type { CauseName } from '../../../core/diagnosis/causes';
import { type Diagnosis, diagnose } from '../../../core/diagnosis/rank';
import type { Reading } from '../../../core/diagnosis/readings';
import type { Figures } from '../../../core/visit/readings/figures';
import { machineKindOf } from '../../../core/diagnosis/machineKindOf';
import { type PlaceName, partOfPlace } from '../../../core/visit/readings/places';
import { carrying } from '../../../core/visit/notes/notes';
import { CAUSE_WORDS } from '../../../words/diagnosis';
import { lackingWords, placeWords } from '../../../words/readings';
import { noteForm } from '../../../record/forms';
import { Causes, HowSure } from '../../calculators/parts/Causes';
import { useTable } from '../../data/api/useTable';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Fold } from '../../parts/Fold';
import { Loaded } from '../../parts/Page';
import { type Round, VisitDrawing, useReadingRound } from '../drawing/VisitDrawing';
import { NoteCard } from '../panels/NoteCard';
import { SayRefrigerant } from '../../panels/SayRefrigerant';
import { useReadings } from '../readings/useReadings';
import { MainAction } from '../StepBar';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

const LEADING = 3;

/** Where a reading of the judge is taken: superheat at the suction line, subcooling at the liquid line. */
const placeOf = (reading: Reading): PlaceName | null =>
  reading === 'superheat'
    ? 'suctionLine'
    : reading === 'subcooling'
      ? 'liquidLine'
      : reading === 'recovered'
        ? null
        : reading;

export function JudgeStep() {
  const { view } = useVisit();
  const gas = view.standing.present.refrigerant;
  const table = useTable(gas?.name ?? null);
  const { now, figuresFor } = useReadings();
  const figures = figuresFor(now);
  if (gas === null)
    return <SayRefrigerant machineId={view.machine.appliance.id} forWhat="to judge its readings" />;
  return <Loaded query={table}>{() => figures && <Judged figures={figures} />}</Loaded>;
}

function Judged({ figures }: { figures: Figures }) {
  const { map } = useVisit();
  const round = useReadingRound();
  const [looked, setLooked] = useState<CauseName | null>(null);
  const judgement = diagnose(figures.observed, machineKindOf(map));
  const next = judgement.next && placeOf(judgement.next.reading);
  const cause = judgement.ranked.find((each) => each.cause === looked) ?? null;
  const partsOf = (readings: readonly { reading: Reading }[]) =>
    new Set(
      readings.flatMap(({ reading }) => {
        const place = placeOf(reading);
        return (place && partOfPlace(map, place)?.id) ?? [];
      }),
    );
  const speaking = { for: partsOf(cause?.reasonsFor ?? []), against: partsOf(cause?.reasonsAgainst ?? []) };
  const nothing = Object.keys(figures.observed).length === 0;
  return (
    <>
      <Leading judgement={judgement} looked={looked} onLook={setLooked} nothing={nothing} />
      <Lacking figures={figures} round={round} />
      <VisitDrawing
        label="The machine, with what speaks for a cause and against it"
        asked={next ? [next] : []}
        round={round}
        shown={(part) => ({
          lit: speaking.for.has(part.id) ? 'for' : speaking.against.has(part.id) ? 'against' : null,
        })}
      />
      {next && (
        <MainAction>
          <Button weight="main" onClick={() => round.read(next)}>
            Read next: {placeWords(next).toLowerCase()}
          </Button>
        </MainAction>
      )}
      <Fold title="All causes, with their reasons" about="what speaks for each and against it">
        <Causes judgement={judgement} />
      </Fold>
      <Fold title="In your own words" about="the diagnosis as the paper will say it">
        <NoteCard
          name="verdict"
          spec={noteForm('judgement')}
          save="Save the diagnosis"
          alter={(entry) => [carrying(entry, { causes: sharesOf(judgement) })]}
        />
      </Fold>
      <p className="text-soft">A help to think, no diagnosis of its own. Confirm before you open or add.</p>
    </>
  );
}

const sharesOf = ({ ranked }: Diagnosis): Record<string, number> =>
  Object.fromEntries(ranked.map((each) => [each.cause, each.share]));

/** The first few, as large as the rest is small: touching one lights up its places. */
function Leading({
  judgement,
  looked,
  onLook,
  nothing,
}: {
  judgement: Diagnosis;
  looked: CauseName | null;
  onLook: (cause: CauseName | null) => void;
  nothing: boolean;
}) {
  const { newEntry } = useVisit();
  const deed = useVisitWrite('take the diagnosis');
  const take = (cause: CauseName) =>
    void deed.save(
      [newEntry('readings', { tool: 'judgement', verdict: CAUSE_WORDS[cause], causes: sharesOf(judgement) })],
      `Diagnosis: ${CAUSE_WORDS[cause].toLowerCase()}.`,
    );
  return (
    <section aria-label="Leading causes" className="mb-2">
      {nothing && (
        <p className="mb-1 text-soft">
          Nothing that speaks was read yet: the causes stand as often as they are met.
        </p>
      )}
      <HowSure judgement={judgement} />
      <ol>
        {judgement.ranked.slice(0, LEADING).map(({ cause, share }, index) => (
          <li key={cause}>
            <button
              type="button"
              aria-pressed={looked === cause}
              className={`flex min-h-11 w-full cursor-pointer items-center gap-2 text-left ${index === 0 ? 'text-lg font-bold' : ''} ${looked === cause ? 'text-green' : ''}`}
              onClick={() => onLook(looked === cause ? null : cause)}
            >
              <span className="w-14 shrink-0 text-right tabular-nums">{Math.round(share * 100)} %</span>
              <span className="min-w-0">{CAUSE_WORDS[cause]}</span>
            </button>
            {looked === cause && (
              <div className="mb-1 pl-16">
                <p className="text-soft">Ringed: what speaks for it. Dashed: what speaks against it.</p>
                <ApiError error={deed.error} />
                <Button disabled={deed.writing} onClick={() => take(cause)}>
                  This is my diagnosis
                </Button>
              </div>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** A reading that cannot speak, and the one that it needs: never dropped unsaid. */
function Lacking({ figures, round }: { figures: Figures; round: Round }) {
  if (figures.lacking.length === 0) return null;
  return (
    <ul className="mb-2" aria-label="Readings that cannot speak yet">
      {figures.lacking.map((each) => (
        <li key={each.reading} className="flex flex-wrap items-center gap-x-3 border-l-4 border-ochre pl-3">
          <span>◐ {lackingWords(each)}</span>
          <Button weight="quiet" className="-ml-4" onClick={() => round.read(each.needs)}>
            Read it
          </Button>
        </li>
      ))}
    </ul>
  );
}
