/** Step 2: readings, typed in any unit or taken from an instrument, with what they should be beside them. */
import { READING_NAMES, type Reading } from '../../../core/judge/readings';
import type { Measured } from '../../../core/visit/stated';
import { readNumber, readingsSoFar } from '../../../core/visit/visitRecord';
import { CONDENSER_SPLIT, targets } from '../../../core/bench/targets';
import { useTable } from '../../data/useTable';
import { Section } from '../../parts/Page';
import { READING_WORDS, VALUE_WORDS } from '../../../words/judge';
import { shownIn } from '../../../words/measures';
import { measuredWords, statedWords } from '../../../words/stated';
import { InstrumentsPanel } from '../panels/InstrumentsPanel';
import { noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { StepCalculators } from '../panels/StepCalculators';
import { usualDifference } from '../../../record/circuitOf';
import { useVisit } from '../visitContext';

export function Read() {
  return (
    <>
      <SoFar />
      <NoteCard name="reading" spec={noteForm('reading')} save="Save the readings" />
      <InstrumentsPanel />
      <StepCalculators />
    </>
  );
}

const NUMBER_WORDS: Record<string, string> = {
  suction: 'Suction',
  head: 'Head',
  suctionLine: 'Suction line',
  liquidLine: 'Liquid line',
  box: 'Box',
  ambient: 'Air at the condenser',
  amps: 'Amps',
  rated: 'Rated amps',
  standing: 'Standing pressure',
};

/** What was read, with the pressures that this box and this weather ask for. */
export function SoFar() {
  const { record } = useVisit();
  const so = readingsSoFar(record.entries);
  const aim = useTargets();
  const rows = [
    ...Object.entries(so.numbers).map(([name, given]) => ({
      name: NUMBER_WORDS[name] ?? name,
      words: statedWords<Measured>(given, measuredWords) ?? '',
      target: aim[name] ?? null,
    })),
    ...READING_NAMES.filter((reading) => so.signs[reading] !== undefined).map((reading: Reading) => ({
      name: READING_WORDS[reading],
      words:
        statedWords<string>(so.signs[reading], (value) => VALUE_WORDS[`${reading} ${value}`] ?? value) ?? '',
      target: null,
    })),
  ];
  if (rows.length === 0) return null;
  return (
    <Section title="Read so far">
      <dl className="grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-3">
        {rows.map((row) => (
          <div key={row.name} className="min-w-0">
            <dt className="text-soft">{row.name}</dt>
            <dd className="text-lg font-bold break-words">{row.words}</dd>
            {row.target && <dd className="text-soft">should be near {row.target}</dd>}
          </div>
        ))}
      </dl>
      {Object.keys(aim).length > 0 && (
        <p className="mt-2 text-soft">
          Near: for this box and this air with the usual differences to coil and condenser; others under “What
          should it run at today?”.
        </p>
      )}
    </Section>
  );
}

/** Suction and head that the gauges should show, as soon as box and ambient were read. */
function useTargets(): Record<string, string> {
  const { record, view, units, atmosphere } = useVisit();
  const table = useTable(view.standing.present.refrigerant.name).data;
  const so = readingsSoFar(record.entries);
  const box = readNumber(so, 'box');
  const ambient = readNumber(so, 'ambient');
  if (!table || box === null || ambient === null) return {};
  const aim = targets({
    table,
    box,
    difference: usualDifference(view),
    airMeasured: true,
    ambient,
    split: CONDENSER_SPLIT.standard,
  });
  if (!aim.ok) return {};
  const show = shownIn(units, atmosphere);
  return { suction: show('pressure', aim.value.value.suction), head: show('pressure', aim.value.value.head) };
}
