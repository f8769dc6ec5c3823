/** A new machine: one refrigerant circuit, the cooled spaces it serves, the assembly it belongs to, its charge. */
import { choices } from '../../words/choice';
import { useEffect, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { FULL_CHARGE_METHODS } from '../../core/logbook/entry';
import { CATEGORIES, DETECTIONS } from '../../core/logbook/fields';
import { bareUnit, massSystemOf } from '../../core/rules/massSystem';
import { APPLIANCE_KINDS } from '../../core/logbook/tables';
import { dayText } from '../../core/quantity/day';
import { REFRIGERANT_NAMES } from '../../core/refrigerant/refrigerant';
import { useWriter } from '../data/writer';
import { useAddMachine, useSite, useSites, useToday } from '../data/queries';
import { massOf } from '../../record/gasDraft';
import { WriterField } from './WriterField';
import { Button } from '../parts/Button';
import { CheckField, SelectField, TextField } from '../parts/Field';
import { SaveBar } from './SaveBar';
import { Sheet } from '../parts/Sheet';
import { SiteChoice } from './SiteChoice';
import { CATEGORY_WORDS, DETECTION_WORDS, FULL_CHARGE_WORDS, KIND_WORDS } from '../../words/codes';
import { type MachineForm, NOT_KNOWN, freshMachine, makeIds, newMachineOf } from './addMachineForm';

export function AddMachine({
  onClose,
  initialSite,
  onAddSite,
}: {
  onClose: () => void;
  initialSite: string;
  onAddSite: () => void;
}) {
  const sites = useSites().data?.rows ?? [];
  const { person } = useWriter();
  const add = useAddMachine();
  const navigate = useNavigate();
  // Made once: a second try after a lost answer adds nothing twice.
  const [ids] = useState(makeIds);
  const id = ids.of('machine');
  const { register, handleSubmit, formState, control, setError, setValue } = useForm<MachineForm>({
    // Of several sites only a person knows which.
    defaultValues: freshMachine(initialSite || (sites.length === 1 ? (sites[0]?.id ?? '') : '')),
  });
  const { errors } = formState;
  const siteId = useWatch({ control, name: 'siteId' });
  const category = useWatch({ control, name: 'category' });
  const isRange = useWatch({ control, name: 'chargeMethod' }) === 'range';
  const site = useSite(siteId === '' ? null : siteId).data;
  const today = useToday(site?.timezone);
  const unit = bareUnit(site ? massSystemOf(site) : 'pounds');

  useEffect(() => {
    register('siteId', { validate: (value) => value !== '' || 'Choose where it stands.' });
  }, [register]);

  const notLater = (value: string): true | string =>
    value === '' || today === null || value <= dayText(today) || 'That day has not come yet.';

  const save = handleSubmit((form) => {
    if (!person) {
      setError('root', { message: 'Choose who is writing.' });
      return;
    }
    // The button waits for it; Enter in a field does not.
    if (today === null) {
      setError('root.site', { message: 'The site is still being read. Save once more.' });
      return;
    }
    const { kind, category: chosen } = form;
    if (kind === '' || chosen === '') return;
    const said = { ...form, kind, category: chosen };
    const made = newMachineOf(said, { ids, by: person.id, today: dayText(today), unit });
    // The page beneath may change as soon as there is a machine, and this sheet go with it: go there all the same.
    add.mutateAsync(made).then(
      () => void navigate(`/machines/${id}`),
      () => undefined, // its error stands in the sheet
    );
  });

  if (sites.length === 0) {
    return (
      <Sheet title="Add a machine" onClose={onClose}>
        <p className="mb-4">A machine stands at a site. Add the site first.</p>
        <Button weight="main" onClick={onAddSite}>
          Add a site
        </Button>
      </Sheet>
    );
  }
  return (
    <Sheet
      title="Add a machine"
      subtitle="One refrigerant circuit"
      onClose={onClose}
      footer={
        <SaveBar
          words={siteId !== '' && today === null ? 'Reading the site…' : 'Save the machine'}
          saving={{ error: add.error, isPending: add.isPending }}
          waits={siteId !== '' && today === null}
          onSave={() => void save()}
        >
          {errors.root?.['site'] && (
            <p role="alert" className="mb-2 font-semibold text-brick">
              {errors.root['site'].message}
            </p>
          )}
        </SaveBar>
      }
    >
      <form onSubmit={(event) => void save(event)}>
        <TextField
          label="Name"
          autoFocus
          hint="As on its tag, so that the roof and the door agree."
          {...register('name', { validate: (value) => value.trim() !== '' || 'Give the machine a name.' })}
          error={errors.name?.message ?? null}
        />
        <SiteChoice
          labelled
          label="Site"
          value={siteId}
          onChange={(value) => setValue('siteId', value, { shouldDirty: true, shouldValidate: true })}
          error={errors.siteId?.message ?? null}
        />
        <div className="grid gap-x-4 sm:grid-cols-2">
          <SelectField
            label="Kind"
            choices={[{ value: '', words: 'Choose' }, ...choices(APPLIANCE_KINDS, KIND_WORDS)]}
            {...register('kind', { validate: (value) => value !== '' || 'Choose what it is.' })}
            error={errors.kind?.message ?? null}
          />
          <SelectField
            label="Category"
            hint="Decides the limit of the leak rate."
            choices={[{ value: '', words: 'Choose' }, ...choices(CATEGORIES, CATEGORY_WORDS)]}
            {...register('category', {
              validate: (value) => value !== '' || 'Choose what it cools for: the limit hangs on it.',
            })}
            error={errors.category?.message ?? null}
          />
          {category === 'comfortCooling' && (
            <CheckField
              label="Residential or light commercial air conditioning"
              hint="Some rules leave such machines out."
              {...register('lightCommercialAirConditioning')}
            />
          )}
          <SelectField
            label="Refrigerant"
            choices={[
              { value: '', words: 'Choose' },
              { value: NOT_KNOWN, words: 'Not known yet' },
              ...REFRIGERANT_NAMES.map((value) => ({ value, words: value })),
            ]}
            {...register('refrigerant', {
              validate: (value) => value !== '' || 'Choose what is in it now, or “Not known yet”.',
            })}
            error={errors.refrigerant?.message ?? null}
          />
          <TextField
            label="Installed on"
            optional
            type="date"
            {...register('installedOn', { validate: notLater })}
            error={errors.installedOn?.message ?? null}
          />
          <TextField
            label={isRange ? 'Full charge, from' : 'Full charge'}
            optional
            placeholder={unit === 'kg' ? '31 kg' : '19 lb'}
            hint={`A bare number is in ${unit}. Leave it empty if nobody knows: then the machine cannot be judged until it is set.`}
            {...register('charge', {
              validate: (value) => {
                if (value.trim() === '') return true;
                const read = massOf(value, unit);
                return 'error' in read
                  ? read.error
                  : read.mass.value > 0 || 'A full charge is more than nothing.';
              },
            })}
            error={errors.charge?.message ?? null}
          />
          <SelectField
            label="How it is known"
            choices={choices(FULL_CHARGE_METHODS, FULL_CHARGE_WORDS)}
            {...register('chargeMethod')}
          />
          {isRange && (
            <TextField
              label="To"
              hint="An estimate has two ends; its midpoint counts, and it is told as an estimate."
              {...register('chargeTo', {
                validate: (value, form) => {
                  if (form.charge.trim() === '') return true;
                  const read = massOf(value, unit);
                  return 'error' in read ? read.error : true;
                },
              })}
              error={errors.chargeTo?.message ?? null}
            />
          )}
          <TextField
            label="Record begins"
            optional
            type="date"
            hint="Today, unless you say another day. Nobody is late here for the time before."
            {...register('recordFrom', { validate: notLater })}
            error={errors.recordFrom?.message ?? null}
          />
          <TextField
            label="Last inspected on"
            optional
            type="date"
            hint="If anybody knows: all visible and accessible parts."
            {...register('inspectedOn', { validate: notLater })}
            error={errors.inspectedOn?.message ?? null}
          />
        </div>
        <TextField
          label="Cooled spaces it serves"
          optional
          hint="Names with commas between, such as: rose room, bulb room."
          {...register('spaces')}
        />
        <TextField
          label="Belongs to"
          optional
          hint="The machine whose circuits these are; each circuit is one machine in law."
          {...register('assembly')}
        />
        <SelectField
          label="Automatic leak detection"
          choices={choices(DETECTIONS, DETECTION_WORDS)}
          {...register('automaticDetection')}
        />
        <CheckField label="Hermetically sealed and labelled" {...register('hermetic')} />
        <WriterField error={errors.root?.message} />
        <button type="submit" hidden aria-hidden="true" tabIndex={-1} />
      </form>
    </Sheet>
  );
}
