/** Step 11: gas by weight, corrected for what stays in the hoses, with the rod moving as it counts. */
import { useState } from 'react';
import { hoseContent } from '../../../core/bench/charge/hoses';
import { weighedIn } from '../../../core/bench/charge/weighed';
import { fromSi, parseMeasure } from '../../../core/quantity/measure';
import { MASS_UNITS, type MassUnit, grams, massText } from '../../../core/quantity/mass';
import { liquidDensity, saturationTemperature, vapourDensity } from '../../../core/refrigerant/saturation';
import type { Measured } from '../../../core/visit/stated';
import { readNumber, readingsSoFar } from '../../../core/visit/visitRecord';
import { useTable } from '../../data/useTable';
import { useBottlesOf } from '../../data/queries';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { SelectField, TextField } from '../../parts/Field';
import { Section } from '../../parts/Page';
import { Fold } from '../../parts/Fold';
import { benchRefusalWords } from '../../../words/bench';
import { readIn, shownIn } from '../../../words/measures';
import { kindForm } from '../../../record/forms';
import { GasCard, useVisitGas } from '../GasCard';
import { NoteCard } from '../NoteCard';
import { StepCalculators } from '../StepCalculators';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useVisit } from '../visitContext';
import { SoFar } from './Read';

interface Weighing {
  bottle: string;
  before: string;
  after: string;
  hoses: 'none' | 'empty' | 'full';
  length: string;
  bore: string;
  liquid: string;
}
const FRESH: Weighing = {
  bottle: '',
  before: '',
  after: '',
  hoses: 'none',
  length: '5 ft',
  bore: '0.19 in',
  liquid: '75 °F',
};

export function ChargeStep() {
  const { newEntry } = useVisit();
  const weighing = useWeighing();
  const gas = useVisitGas(
    'refrigerantAdded',
    () => {
      const entry = weighing.note && newEntry('chargeRun', { tool: 'weighed', ...weighing.note });
      return entry ? [entry] : [];
    },
    weighing.forget,
  );
  return (
    <>
      <FullChargeLine />
      <Weigh weighing={weighing} onTake={(amount) => gas.set({ amount, notWeighed: false })} />
      <Section title="Gas added">
        <GasCard form={gas} words="Write the gas down as added" />
      </Section>
      <SoFar />
      <StepCalculators />
      <Fold title="Set the full charge" about="a good weigh-in is worth keeping for ever">
        <NoteCard name="fullCharge" spec={kindForm('fullChargeSet')} save="Set it" main={false} />
      </Fold>
    </>
  );
}

function FullChargeLine() {
  const { view } = useVisit();
  const { present } = view.standing;
  return (
    <p className="mb-4">
      Full charge:{' '}
      <span className="text-xl font-bold">
        {present.fullCharge === null ? 'not known' : massText(grams(present.fullCharge), view.system)}
      </span>
      {present.fullCharge === null && (
        <span className="text-soft"> · weigh all that goes in, and set it below</span>
      )}
    </p>
  );
}

/** What the scale said, what stays in the hoses, and so what is inside; null while something is missing. */
function useWeighing() {
  const { visitId, view, units, atmosphere, record, place } = useVisit();
  const name = view.standing.present.refrigerant.name;
  const table = useTable(name).data;
  const { draft, set, forget } = useKeptDraft<Weighing>(
    `${visitId} ${view.machine.appliance.id} weighing`,
    () => FRESH,
  );
  const bottles = useBottlesOf(name) ?? [];
  const read = (dimension: 'mass' | 'length' | 'temperature', text: string) =>
    parseMeasure(
      dimension,
      text,
      (dimension === 'mass' ? place.mass : readIn(dimension, units)) as never,
      atmosphere,
    );
  const before = read('mass', draft.before);
  const after = read('mass', draft.after);
  const length = read('length', draft.length);
  const bore = read('length', draft.bore);
  const liquid = read('temperature', draft.liquid);
  const bottle = bottles.find((each) => each.id === draft.bottle)?.serial ?? 'bottle';
  const suction = readNumber(readingsSoFar(record.entries), 'suction');
  const typed = (text: string, unit: string) =>
    /[a-z]/i.test(text) ? text.trim() : `${text.trim()} ${unit}`;
  const measured = (text: string, value: { si: number; unit: string }): Measured => ({
    typed: typed(text, value.unit),
    si: value.si,
    unit: value.unit,
  });

  let kept: number | null = draft.hoses === 'none' ? 0 : null;
  let problem: string | null = null;
  const show = shownIn(units, atmosphere);
  if (draft.hoses !== 'none' && table && length.ok && bore.ok) {
    const density =
      draft.hoses === 'full'
        ? liquid.ok
          ? liquidDensity(table, liquid.value.si)
          : null
        : vapourAt(table, suction ?? atmosphere);
    const held =
      density?.ok === true
        ? hoseContent({ bore: bore.value.si, length: length.value.si, count: 1, density: density.value })
        : null;
    if (held?.ok) kept = held.value.value.mass;
    else if (held) problem = benchRefusalWords(held.refusal, show);
    else if (density && !density.ok) problem = benchRefusalWords(density.refusal, show);
  }
  const out =
    before.ok && after.ok ? weighedIn([{ bottle, before: before.value.si, after: after.value.si }]) : null;
  if (out && !out.ok) problem = benchRefusalWords(out.refusal, show);
  const scale = MASS_UNITS.find((unit) => before.ok && before.value.unit === unit) ?? place.mass;
  const inside = out?.ok && kept !== null ? Math.max(0, out.value.value - kept) : null;
  const note =
    inside !== null && before.ok && after.ok
      ? {
          bottles: [
            {
              bottle,
              before: measured(draft.before, before.value),
              after: measured(draft.after, after.value),
            },
          ],
          keptInHoses: { typed: takenText(kept ?? 0, scale), si: kept ?? 0, unit: scale },
        }
      : null;
  return { draft, set, forget, bottles, kept, inside, problem, note, scale, hosesHoldMore: holdsMore() };

  /** A critical charge can be less than one hose holds. */
  function holdsMore(): boolean {
    const full = view.standing.present.fullCharge;
    return draft.hoses === 'full' && kept !== null && full !== null && kept * 1000 > grams(full);
  }
}

/** Vapour that a hose keeps when it was pulled down to the suction pressure. */
function vapourAt(table: Parameters<typeof vapourDensity>[0], pressure: number) {
  const at = saturationTemperature(table, 'dew', pressure);
  return at.ok ? vapourDensity(table, at.value) : at;
}

/** No scale of the trade reads finer. */
const LEAST_SHOWN_KG = 5e-4;

const DECIMALS: Partial<Record<string, number>> = { g: 1, oz: 2 };

/** The weight as a person would type it, in the unit in which the scale was read: 53 g stay 53 g. */
function takenText(kilograms: number, unit: MassUnit): string {
  return `${String(Number(fromSi('mass', kilograms, unit).toFixed(DECIMALS[unit] ?? 3)))} ${unit}`;
}

function Weigh({
  weighing,
  onTake,
}: {
  weighing: ReturnType<typeof useWeighing>;
  onTake: (amount: string) => void;
}) {
  const { draft, set, bottles, kept, inside, problem, scale, hosesHoldMore } = weighing;
  const { place } = useVisit();
  const [open, setOpen] = useState(draft !== FRESH && draft.before !== '');
  const change = (part: Partial<Weighing>) => set({ ...draft, ...part });
  return (
    <details className="rule-b mb-4" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-2">
        <span className="font-semibold text-green underline underline-offset-4">Bottle on the scale</span>
        <span className="text-soft">before and after, less what stays in the hoses</span>
      </summary>
      <div className="grid gap-x-6 sm:grid-cols-3">
        <SelectField
          label="Bottle weighed"
          value={draft.bottle}
          onChange={(event) => change({ bottle: event.target.value })}
          choices={[
            { value: '', words: 'not on the list' },
            ...bottles.map((each) => ({ value: each.id, words: each.serial })),
          ]}
        />
        <TextField
          label="Before"
          className="text-xl font-semibold"
          hint={`A bare number is in ${place.mass}.`}
          value={draft.before}
          onChange={(event) => change({ before: event.target.value })}
        />
        <TextField
          label="After"
          className="text-xl font-semibold"
          value={draft.after}
          onChange={(event) => change({ after: event.target.value })}
        />
      </div>
      <p className="mb-1 font-semibold">Hoses</p>
      <Choices
        label="Hoses"
        value={draft.hoses}
        onChange={(value) => change({ hoses: value as Weighing['hoses'] })}
        choices={[
          { value: 'none', words: 'nothing stays in them' },
          { value: 'empty', words: 'pulled empty into the low side' },
          { value: 'full', words: 'taken off full of liquid' },
        ]}
      />
      {draft.hoses !== 'none' && (
        <div className="grid gap-x-6 sm:grid-cols-3">
          <TextField
            label="Length in all"
            value={draft.length}
            onChange={(event) => change({ length: event.target.value })}
          />
          <TextField
            label="Bore"
            value={draft.bore}
            onChange={(event) => change({ bore: event.target.value })}
          />
          {draft.hoses === 'full' && (
            <TextField
              label="Temperature of the liquid"
              value={draft.liquid}
              onChange={(event) => change({ liquid: event.target.value })}
            />
          )}
        </div>
      )}
      {problem && (
        <p role="alert" className="mb-3 font-semibold text-brick">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2 pb-4" aria-live="polite">
        <div>
          <p className="text-soft">Inside the machine</p>
          <p className="text-4xl font-bold">{inside === null ? '–' : takenText(inside, scale)}</p>
        </div>
        <div>
          <p className="text-soft">stays in the hoses</p>
          <p className="text-2xl font-bold">
            {kept === null ? '–' : kept > 0 && kept < LEAST_SHOWN_KG ? 'under 0.5 g' : takenText(kept, scale)}
          </p>
        </div>
        <Button
          disabled={inside === null}
          onClick={() => inside !== null && onTake(takenText(inside, scale))}
        >
          Take this weight
        </Button>
      </div>
      {hosesHoldMore && (
        <p className="mb-3 border-l-4 border-ochre pl-3 font-semibold text-ochre">
          ◐ The hose holds more than this machine does. Pull it empty, or use a shorter one.
        </p>
      )}
    </details>
  );
}
