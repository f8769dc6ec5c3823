/** A new site: name, where its calendar stands, which rule sets hold, and its leak-rate method. */
import { useEffect, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import { PACK_IDS, type PackId } from '../../core/logbook/packNames';
import { isTimezone } from '../../core/quantity/zone';
import { PACKS_OF_COUNTRY, packsOf } from '../../core/rules/packs/countries';
import { HERE } from '../data/here';
import { useWriter } from '../data/writer';
import { useChangeRows } from '../data/queries';
import { WriterField } from './WriterField';
import { zonesOf } from './timeZones';
import { ChoiceField } from '../parts/ChoiceField';
import { SelectField, TextField } from '../parts/Field';
import type { Choice } from '../../words/choice';
import { SaveBar } from './SaveBar';
import { Sheet } from '../parts/Sheet';
import { PACK_WORDS } from '../../words/codes';

interface SiteForm {
  name: string;
  timezone: string;
  country: string;
  packs: PackId[];
  method: 'annualizing' | 'rolling';
  altitude: string;
}

const ZONE_HINT = 'A deadline runs through the end of its day here.';

const names = new Intl.DisplayNames(['en'], { type: 'region' });
/** A state has rules of its own, and no name that a browser knows. */
const STATES: Readonly<Record<string, string>> = { 'US-CA': 'United States, California' };
const countryWords = (code: string): string => {
  const [region = code, state] = code.split('-');
  return STATES[code] ?? [names.of(region) ?? region, state].filter(Boolean).join(', ');
};
const COUNTRIES: readonly Choice[] = [
  { value: '', words: 'another, or not said' },
  ...Object.keys(PACKS_OF_COUNTRY)
    .map((value) => ({ value, words: countryWords(value) }))
    .sort((a, b) => a.words.localeCompare(b.words)),
];

/** `onClose`: with the site's id, where it was added. */
export function AddSite({ onClose }: { onClose: (added?: string) => void }) {
  const change = useChangeRows();
  const { person } = useWriter();
  const [id] = useState(() => uuidv7());
  const { register, handleSubmit, formState, control, setValue, setError } = useForm<SiteForm>({
    defaultValues: {
      name: '',
      timezone: HERE,
      country: '',
      packs: ['house'],
      method: 'annualizing',
      altitude: '',
    },
  });
  const { errors } = formState;
  const zones = zonesOf(useWatch({ control, name: 'country' }));
  const timezone = useWatch({ control, name: 'timezone' });
  useEffect(() => {
    register('timezone', {
      validate: (value) =>
        value.trim() === ''
          ? 'Choose the zone in which the site lies.'
          : isTimezone(value.trim()) || 'No such time zone. Write it like America/Chicago.',
    });
  }, [register]);
  const save = handleSubmit((form) => {
    if (!person) {
      setError('root', { message: 'Choose who is writing.' });
      return;
    }
    const row = {
      id,
      name: form.name.trim(),
      timezone: form.timezone.trim(),
      country: form.country || null,
      packs: PACK_IDS.filter((pack) => form.packs.includes(pack)),
      altitudeM: form.altitude.trim() === '' ? null : Number(form.altitude),
      leakRateMethod: [{ from: '1990-01-01', method: form.method }],
    };
    change.mutate(
      { changes: [{ table: 'sites', id, row }], by: person.id },
      { onSuccess: () => onClose(id) },
    );
  });
  return (
    <Sheet
      title="Add a site"
      onClose={() => onClose()}
      footer={<SaveBar words="Save the site" saving={change} onSave={() => void save()} />}
    >
      <form onSubmit={(event) => void save(event)}>
        <TextField
          label="Name"
          autoFocus
          {...register('name', { validate: (value) => value.trim() !== '' || 'Give the site a name.' })}
          error={errors.name?.message ?? null}
        />
        <SelectField
          label="Country"
          hint="Its rule sets are ticked below; put them right if others hold."
          choices={COUNTRIES}
          {...register('country', {
            onChange: (event: { target: { value: string } }) => {
              setValue('packs', [...packsOf(event.target.value)], { shouldDirty: true });
              const [only, ...more] = zonesOf(event.target.value);
              if (only === undefined) return;
              const all = [only, ...more];
              // Of several zones of a country only a person knows which.
              const known = more.length === 0 ? only : all.find((zone) => zone === timezone);
              setValue('timezone', known ?? '');
            },
          })}
        />
        {zones.length > 0 ? (
          <ChoiceField
            label="Time zone"
            hint={ZONE_HINT}
            choices={zones.map((zone) => ({ value: zone, words: zone.replaceAll('_', ' ') }))}
            value={timezone}
            onChange={(zone) => setValue('timezone', zone, { shouldValidate: true })}
            error={errors.timezone?.message ?? null}
          />
        ) : (
          <TextField
            label="Time zone"
            hint={ZONE_HINT}
            value={timezone}
            onChange={(event) => setValue('timezone', event.target.value)}
            error={errors.timezone?.message ?? null}
          />
        )}
        <fieldset className="mb-4">
          <legend className="font-semibold">Rule sets that hold here</legend>
          <p className="text-soft">
            Which apply to a machine follows from its charge, refrigerant and category. The house rule steps
            in where no other covers.
          </p>
          {PACK_IDS.map((pack) => (
            <label key={pack} className="flex min-h-11 cursor-pointer items-center gap-3">
              <input type="checkbox" value={pack} className="size-6 accent-green" {...register('packs')} />
              {PACK_WORDS[pack]}
            </label>
          ))}
        </fieldset>
        <SelectField
          label="Leak-rate method"
          hint="One for all machines of the site; it can be changed from a day on, in Rules."
          choices={[
            { value: 'annualizing', words: 'Annualizing' },
            { value: 'rolling', words: 'Rolling average' },
          ]}
          {...register('method')}
        />
        <TextField
          label="Altitude in metres"
          optional
          inputMode="numeric"
          {...register('altitude', {
            validate: (value) =>
              value.trim() === '' || Number.isFinite(Number(value)) || 'Give metres as a plain number.',
          })}
          error={errors.altitude?.message ?? null}
        />
        <WriterField error={errors.root?.message} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
