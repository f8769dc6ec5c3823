/** A new site: name, where its calendar stands, which rule sets hold, and its leak-rate method. */
import { useForm } from 'react-hook-form';
import { v7 as uuidv7 } from 'uuid';
import { PACK_IDS, type PackId } from '../../core/logbook/fields';
import { isTimezone } from '../../core/quantity/zone';
import { useAddSite } from '../data/queries';
import { SelectField, TextField } from '../parts/Field';
import { SaveBar } from '../parts/SaveBar';
import { Sheet } from '../parts/Sheet';
import { PACK_WORDS } from '../words/codes';

interface SiteForm {
  name: string;
  timezone: string;
  packs: PackId[];
  method: 'annualizing' | 'rolling';
  altitude: string;
}

export function AddSite({ onClose }: { onClose: () => void }) {
  const add = useAddSite();
  const { register, handleSubmit, formState } = useForm<SiteForm>({
    defaultValues: {
      name: '',
      timezone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      packs: ['us-ods', 'us-hfc', 'house'],
      method: 'annualizing',
      altitude: '',
    },
  });
  const { errors } = formState;
  const save = handleSubmit((form) => {
    add.mutate(
      {
        id: uuidv7(),
        name: form.name.trim(),
        timezone: form.timezone.trim(),
        packs: PACK_IDS.filter((pack) => form.packs.includes(pack)),
        altitudeM: form.altitude.trim() === '' ? null : Number(form.altitude),
        leakRateMethod: [{ from: '1990-01-01', method: form.method }],
      },
      { onSuccess: onClose },
    );
  });
  return (
    <Sheet
      title="Add a site"
      onClose={onClose}
      footer={<SaveBar words="Save the site" saving={add} onSave={() => void save()} />}
    >
      <form onSubmit={(event) => void save(event)}>
        <TextField
          label="Name"
          autoFocus
          {...register('name', { validate: (value) => value.trim() !== '' || 'Give the site a name.' })}
          error={errors.name?.message ?? null}
        />
        <TextField
          label="Time zone"
          hint="A deadline runs through the end of its day here."
          {...register('timezone', {
            validate: (value) =>
              isTimezone(value.trim()) || 'No such time zone. Write it like America/Chicago.',
          })}
          error={errors.timezone?.message ?? null}
        />
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
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
