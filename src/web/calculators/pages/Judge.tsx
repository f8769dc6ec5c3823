/** What is wrong with it? Readings by touch or by number, ranked causes with their reasons, and what to read next. */
import { CONDENSER_SPLIT, EVAPORATOR_TD } from '../../../core/calculators/targets';
import { type SignsRead, observe } from '../../../core/diagnosis/observe';
import { type MachineKind, anyMachine, canRead } from '../../../core/diagnosis/machineKind';
import { type RankedCause, diagnose } from '../../../core/diagnosis/rank';
import { type Observed, READING_NAMES, type Reading } from '../../../core/diagnosis/readings';
import type { SaturationTable } from '../../../core/refrigerant/saturation';
import { calculatorRefusalWords } from '../../../words/calculators';
import { CAUSE_WORDS, READING_WORDS } from '../../../words/diagnosis';
import { lackingWords } from '../../../words/readings';
import { Choices } from '../../parts/Choices';
import { useBenchForm } from '../form';
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

const SPECS = {
  suction: { label: 'Suction pressure', dimension: 'pressure', optional: true, example: 96_000 },
  head: { label: 'Head pressure', dimension: 'pressure', optional: true, example: 1_310_000 },
  suctionLine: { label: 'Suction line', dimension: 'temperature', optional: true, example: 288 },
  liquidLine: { label: 'Liquid line', dimension: 'temperature', optional: true, example: 303 },
  box: { label: 'Box temperature', dimension: 'temperature', optional: true, example: 280 },
  ambient: { label: 'Ambient temperature', dimension: 'temperature', optional: true, example: 302 },
  standing: { label: 'Standing pressure', dimension: 'pressure', optional: true, hint: 'after a rest' },
  difference: { label: 'Box to coil', dimension: 'temperatureDifference', start: EVAPORATOR_TD.walkIn },
  split: {
    label: 'Split of the condenser',
    dimension: 'temperatureDifference',
    start: CONDENSER_SPLIT.standard,
  },
  amps: { label: 'Amps', dimension: 'current', optional: true },
  rated: { label: 'Rated amps', dimension: 'current', optional: true },
  headHeld: {
    label: 'Head control holds the condensing at',
    dimension: 'temperature',
    optional: true,
    hint: 'in the cold a held head is high as it should be',
  },
} as const;

const NO_CHOICE = {
  ...(Object.fromEntries(READING_NAMES.map((name) => [name, ''])) as Record<Reading, string>),
  metering: '',
};
type Form = ReturnType<typeof useBenchForm<keyof typeof SPECS, keyof typeof NO_CHOICE>>;

/** A cabinet with a capillary has neither valve nor solenoid nor glass. */
const CABINET: MachineKind = { metering: 'capillary', solenoid: false, sightGlass: false, drier: true };

export default function Judge() {
  const form = useBenchForm('judge', SPECS, NO_CHOICE);
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
            <Fields form={form} />
          </More>
          <p className="mb-1 font-semibold">What meters the liquid</p>
          <Choices
            label="What meters the liquid"
            value={form.choice.metering}
            onChange={(value) => form.choose('metering', value)}
            choices={[
              { value: '', words: 'not said' },
              { value: 'valve', words: 'an expansion valve' },
              { value: 'capillary', words: 'a capillary' },
            ]}
          />
          {READING_NAMES.filter((reading) => canRead(kind, reading)).map((reading) => (
            <ReadingChoice
              key={reading}
              reading={reading}
              value={form.choice[reading]}
              fromNumbers={read?.observed[reading]}
              onChange={(value) => form.choose(reading, value)}
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
    atRest: choice.running === 'no',
    headHeldAt: headHeld,
    recovered: null,
  });
}

function Judged({ read, form }: { read: SignsRead; form: Form }) {
  const { show } = useBench();
  const chosen = Object.fromEntries(
    Object.entries(form.choice).filter(([name, value]) => value !== '' && name !== 'metering'),
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
            fields: form.fields,
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
