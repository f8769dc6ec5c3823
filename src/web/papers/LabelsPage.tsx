/** Labels to print: of a machine, its charge, a part, a bottle, or a warning while a case is open. */
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { LABEL_KINDS, LABEL_SHEETS, type LabelKind, type LabelSheet } from '../../contract/labels';
import { addressOf } from '../../contract/endpoints';
import { parseDay } from '../../core/quantity/day';
import { useCylinderPages, useMachines } from '../data/api/queries';
import { OnlyHere } from '../data/api/OnlyHere';
import { useAddress } from '../data/api/session';
import { MachinePicker } from '../forms/MachinePicker';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/Field';
import { Page, Section } from '../parts/Page';
import { Dialog } from '../parts/Dialog';
import { rowsOf } from '../parts/Pages';
import { PapersLink } from './PapersLink';

const KIND_WORDS: Record<LabelKind, string> = {
  machine: 'machine, with the code that opens it',
  charge: 'refrigerant and charge',
  part: 'part, with the day it was fitted',
  bottle: 'bottle',
  doNotAdd: 'do not add gas: case open',
};

const BEGUN = {
  part: '',
  on: '',
  bottle: '',
  sheet: 'a4x24' as LabelSheet,
  skip: '0',
  copies: '1',
};
type LabelDraft = typeof BEGUN;

interface FieldsProps {
  draft: LabelDraft;
  set: (part: Partial<LabelDraft>) => void;
}

const MOST = 96;
const number = (text: string, least: number): string | null =>
  /^\d+$/.test(text) && Number(text) >= least && Number(text) <= MOST
    ? null
    : `A number from ${String(least)} to ${String(MOST)}.`;

const dayFault = ({ on }: LabelDraft): string | null =>
  on !== '' && parseDay(on) === null ? 'Write the day as 2026-01-01.' : null;

export default function LabelsPage() {
  const [given, setGiven] = useSearchParams();
  const machine = given.get('machine') ?? '';
  const kind = LABEL_KINDS.find((each) => each === given.get('kind')) ?? 'machine';
  const [draft, setDraft] = useState(BEGUN);
  const [picking, setPicking] = useState(false);
  const [row] = useMachines({ ids: machine }, machine !== '').data?.rows ?? [];
  const { base } = useAddress();
  const cylinders = rowsOf(useCylinderPages());
  const set = (part: Partial<LabelDraft>) => setDraft({ ...draft, ...part });
  const lacking = kind === 'bottle' ? draft.bottle === '' : machine === '';
  const bad =
    lacking || dayFault(draft) !== null || number(draft.skip, 0) !== null || number(draft.copies, 1) !== null;
  const address = `/api${addressOf(
    '/labels',
    {},
    {
      kind,
      ...(kind === 'bottle' ? { bottle: draft.bottle } : { machine }),
      ...(kind === 'part' ? { part: draft.part, on: draft.on } : {}),
      sheet: draft.sheet,
      skip: draft.skip,
      copies: draft.copies,
      base,
    },
  )}`;
  return (
    <Page title="Labels" subtitle={<PapersLink />}>
      <Section title="What stands on it">
        <div className="grid max-w-3xl gap-x-4 sm:grid-cols-2">
          <SelectField
            label="Label of"
            value={kind}
            choices={LABEL_KINDS.map((value) => ({ value, words: KIND_WORDS[value] }))}
            onChange={(event) =>
              setGiven({ ...Object.fromEntries(given), kind: event.target.value }, { replace: true })
            }
          />
          {kind === 'bottle' ? (
            <SelectField
              label="Bottle"
              value={draft.bottle}
              choices={[
                { value: '', words: 'choose' },
                ...cylinders.map(({ id, serial, refrigerant }) => ({
                  value: id,
                  words: `${serial}, ${refrigerant}`,
                })),
              ]}
              onChange={(event) => set({ bottle: event.target.value })}
            />
          ) : (
            <div className="mb-4">
              <p className="mb-1 font-semibold">Machine</p>
              <Button className="w-full" onClick={() => setPicking(true)}>
                {row ? `${row.appliance.name}, ${row.siteName}` : 'Choose a machine'}
              </Button>
            </div>
          )}
          {kind === 'part' && <PartFields draft={draft} set={set} />}
        </div>
      </Section>
      <Section title="On which sheet">
        <SheetFields draft={draft} set={set} />
        {bad ? (
          <p className="text-soft">
            {lacking
              ? `Choose the ${kind === 'bottle' ? 'bottle' : 'machine'} first.`
              : 'Put the fields above right first.'}
          </p>
        ) : (
          <a
            className="inline-flex min-h-12 items-center rounded bg-green px-4 font-semibold text-paper"
            href={address}
            target="_blank"
            rel="noreferrer"
          >
            Make the PDF
          </a>
        )}
        <p className="mt-3 max-w-prose text-soft">
          Print it at its own size, not fitted to the page. The code opens the machine at {base}.
        </p>
        <OnlyHere what="The code" />
      </Section>
      {picking && (
        <Dialog title="Machine" onClose={() => setPicking(false)}>
          <MachinePicker
            onPick={(id) => {
              setGiven({ ...Object.fromEntries(given), machine: id }, { replace: true });
              setPicking(false);
            }}
          />
        </Dialog>
      )}
    </Page>
  );
}

const PartFields = ({ draft, set }: FieldsProps) => (
  <>
    <TextField label="Part" value={draft.part} onChange={(event) => set({ part: event.target.value })} />
    <TextField
      label="Fitted on"
      optional
      placeholder="YYYY-MM-DD"
      hint="Left empty, there is a line to write on."
      value={draft.on}
      error={dayFault(draft)}
      onChange={(event) => set({ on: event.target.value.trim() })}
    />
  </>
);

function SheetFields({ draft, set }: FieldsProps) {
  const { columns, rows } = LABEL_SHEETS[draft.sheet];
  return (
    <div className="grid max-w-3xl gap-x-4 sm:grid-cols-[2fr_1fr_1fr]">
      <SelectField
        label="Sheet"
        value={draft.sheet}
        choices={(Object.keys(LABEL_SHEETS) as LabelSheet[]).map((value) => ({
          value,
          words: LABEL_SHEETS[value].words,
        }))}
        onChange={(event) => set({ sheet: event.target.value as LabelSheet })}
      />
      <TextField
        label="How many"
        inputMode="numeric"
        value={draft.copies}
        error={number(draft.copies, 1)}
        onChange={(event) => set({ copies: event.target.value.trim() })}
      />
      {columns * rows > 1 && (
        <TextField
          label="Places used up"
          inputMode="numeric"
          hint="From the top left, row by row."
          value={draft.skip}
          error={number(draft.skip, 0)}
          onChange={(event) => set({ skip: event.target.value.trim() })}
        />
      )}
    </div>
  );
}
