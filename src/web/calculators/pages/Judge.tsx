/** What is wrong with it? Readings by touch or by number, ranked causes with their reasons, and what to read next. */
import { CONDENSER_SPLIT, EVAPORATOR_TD } from '../../../core/calculators/targets';
import { type SignsRead, observe } from '../../../core/diagnosis/observe';
import { type MachineKind, anyMachine, canRead } from '../../../core/diagnosis/machineKind';
import { type RankedCause, diagnose } from '../../../core/diagnosis/rank';
import { type Observed, READINGS, READING_NAMES, type Reading } from '../../../core/diagnosis/readings';
import type { SaturationTable } from '../../../core/refrigerant/saturation';
import { calculatorRefusalWords } from '../../../words/calculators';
import { CAUSE_WORDS, READING_WORDS } from '../../../words/diagnosis';
import { lackingWords } from '../../../words/readings';
import { type BenchForm, choice, figure, only, useBenchForm } from '../form';
import { Refused } from '../parts/Answer';
import { AnswerStrip } from '../parts/AnswerStrip';
import { BenchPage } from '../parts/BenchPage';
import { Causes, HowSure, Next, percent, valueWords } from '../parts/Causes';
import { Fields, More } from '../parts/Fields';
import { KeepThis } from '../parts/KeepThis';
import { RefrigerantPick, WithTable } from '../parts/RefrigerantPick';
import { useTable } from '../../data/api/useTable';
import { ReadingChoice } from '../parts/ReadingChoice';
import { useBench } from '../setting';
import { countWords } from '../../../words/counts';

const NUMBERS = {
  suction: figure('Suction pressure', 'pressure', { optional: true, example: 96_000 }),
  head: figure('Head pressure', 'pressure', { optional: true, example: 1_310_000 }),
  suctionLine: figure('Suction line', 'temperature', { optional: true, example: 288 }),
  liquidLine: figure('Liquid line', 'temperature', { optional: true, example: 303 }),
  box: figure('Box temperature', 'temperature', { optional: true, example: 280 }),
  ambient: figure('Ambient temperature', 'temperature', { optional: true, example: 302 }),
  standing: figure('Standing pressure', 'pressure', { optional: true, hint: 'after a rest' }),
  difference: figure('Box to coil', 'temperatureDifference', { start: EVAPORATOR_TD.walkIn }),
  split: figure('Split of the condenser', 'temperatureDifference', { start: CONDENSER_SPLIT.standard }),
  amps: figure('Amps', 'current', { optional: true }),
  rated: figure('Rated amps', 'current', { optional: true }),
  headHeld: figure('Head control holds the condensing at', 'temperature', {
    optional: true,
    hint: 'in the cold a held head is high as it should be',
  }),
};

const FIGURES = Object.keys(NUMBERS) as (keyof typeof NUMBERS)[];
/** Gauges and thermometers have fields of their own beside what is seen. */
const seenKey = (reading: Reading) => `seen ${reading}` as const;
/** What is seen and felt, by touch. */
const TOUCHED = Object.fromEntries(
  READING_NAMES.map((reading) => [
    seenKey(reading),
    choice(READING_WORDS[reading], {
      '': 'not read',
      ...Object.fromEntries(
        Object.keys(READINGS[reading].usual).map((each) => [each, valueWords(reading, each)]),
      ),
    }),
  ]),
) as Record<`seen ${Reading}`, ReturnType<typeof choice>>;
const FIELDS = {
  ...NUMBERS,
  ...TOUCHED,
  metering: choice('What meters the liquid', {
    '': 'not said',
    valve: 'an expansion valve',
    capillary: 'a capillary',
  }),
};
type Form = BenchForm<typeof FIELDS>;

/** A cabinet with a capillary has neither valve nor solenoid nor glass. */
const CABINET: MachineKind = { metering: 'capillary', solenoid: false, sightGlass: false, drier: true };

export default function Judge() {
  const form = useBenchForm('judge', FIELDS);
  const { refrigerant, atmosphere } = useBench();
  const table = useTable(refrigerant).data;
  const read = table ? readingsOf(table, form, atmosphere) : null;
  const kind = kindOf(form);
  return (
    <BenchPage
      name="judge"
      form={form}
      inputs={
        <>
          <p className="mb-3 text-soft">
            Before any nitrogen or top-off: they spoil amps, frost and standing pressure. Leave out what you
            did not read.
          </p>
          <RefrigerantPick />
          <More words="Gauges and thermometers: let the numbers say it">
            <Fields form={form} only={FIGURES} />
          </More>
          <Fields form={form} only={['metering']} />
          {READING_NAMES.filter((reading) => canRead(kind, reading)).map((reading) => (
            <ReadingChoice
              key={reading}
              input={form.inputs[seenKey(reading)]}
              fromNumbers={read?.observed[reading] ? valueWords(reading, read.observed[reading]) : null}
            />
          ))}
        </>
      }
    >
      <WithTable>{(table) => <Judged read={readingsOf(table, form, atmosphere)} form={form} />}</WithTable>
    </BenchPage>
  );
}

const kindOf = ({ choice }: Form): MachineKind =>
  choice.metering === 'capillary'
    ? CABINET
    : { ...anyMachine, metering: choice.metering === 'valve' ? 'valve' : null };

function readingsOf(table: SaturationTable, { si, choice }: Form, atmosphere: number): SignsRead {
  const { difference, split, headHeld, ...rest } = si;
  return observe({
    ...rest,
    table,
    atmosphere,
    difference: difference ?? EVAPORATOR_TD.walkIn,
    split: split ?? CONDENSER_SPLIT.standard,
    atRest: choice['seen running'] === 'no',
    headHeldAt: headHeld,
    recovered: null,
  });
}

function Judged({ read, form }: { read: SignsRead; form: Form }) {
  const { show } = useBench();
  const chosen = Object.fromEntries(
    READING_NAMES.map((reading) => [reading, form.choice[seenKey(reading)]]).filter(([, value]) => value),
  );
  // What was said by touch stands against what a number would say.
  const observed = { ...read.observed, ...chosen } as Observed;
  const count = Object.keys(observed).length;
  const judgement = diagnose(observed, kindOf(form));
  const [first] = judgement.ranked;
  return (
    <>
      {read.refusals.map((refusal, index) => (
        <Refused key={index}>{calculatorRefusalWords(refusal, show)}</Refused>
      ))}
      {read.lacking.length > 0 && (
        <ul className="mb-2" aria-label="Readings that cannot speak yet">
          {read.lacking.map((each) => (
            <li key={each.reading} className="border-l-4 border-ochre pl-3">
              ◐ {lackingWords(each)}
            </li>
          ))}
        </ul>
      )}
      {count === 0 ? (
        <p className="py-4 text-soft">
          Nothing is read yet. The causes below stand as often as they are met; each reading moves them.
        </p>
      ) : (
        <p className="mb-3 text-soft">
          Read so far:{' '}
          {(Object.entries(observed) as [Reading, string][])
            .map(
              ([reading, value]) => `${READING_WORDS[reading].toLowerCase()} ${valueWords(reading, value)}`,
            )
            .join(', ')}
          .
        </p>
      )}
      {count > 0 && first && <AnswerStrip words={summaryOf(first, count)} />}
      <HowSure judgement={judgement} />
      <Causes judgement={judgement} />
      <Next judgement={judgement} />
      {count > 0 && first && (
        <KeepThis
          keepable={{
            tool: 'judge',
            kind: 'readings',
            summary: summaryOf(first, count),
            inputs: only(form.inputs, [...FIGURES, 'metering']),
            choices: observed as Record<string, string>,
            result: Object.fromEntries(judgement.ranked.map((each) => [each.cause, each.share])),
          }}
        />
      )}
      <p className="text-soft">
        A help to think, not a verdict: shares come from the signs of each cause and how often it is met.
        Confirm before you open or add anything.
      </p>
    </>
  );
}

const summaryOf = ({ cause, share }: RankedCause, count: number): string =>
  `Looks like ${CAUSE_WORDS[cause].toLowerCase()} (${percent(share)}), from ${countWords(count, 'reading')}`;
