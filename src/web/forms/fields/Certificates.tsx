/** Certificates of a person, one after the other: kind, number, end, and a picture. */
import { useId } from 'react';
import type { Certificate } from '../../../core/logbook/tables';
import { CERTIFICATE_KINDS } from '../../../words/certificates';
import { photoAddress } from '../../data/addresses/photoAddress';
import { Button } from '../../parts/Button';
import { Fault, TextField } from '../../parts/Field';
import { TakePhoto } from '../TakePhoto';
import type { Control } from './control';

export const Certificates: Control<'certificates'> = ({ field, value: given, error, onChange }) => {
  const value = given as readonly Certificate[];
  const kinds = useId();
  const change = (index: number, part: Partial<Certificate>) =>
    onChange(value.map((each, at) => (at === index ? { ...each, ...part } : each)));
  return (
    <fieldset data-field="" className="mb-4">
      <legend className="mb-1 font-semibold">
        {field.label} <span className="font-normal text-soft">(optional)</span>
      </legend>
      <datalist id={kinds}>
        {CERTIFICATE_KINDS.map((each) => (
          <option key={each} value={each} />
        ))}
      </datalist>
      {value.map((each, index) => (
        <div key={index} className="rule-b mb-3">
          <div className="grid gap-x-4 sm:grid-cols-3">
            <TextField
              label="Kind"
              list={kinds}
              placeholder="608 universal"
              value={each.scheme ?? ''}
              onChange={(event) => change(index, { scheme: event.target.value })}
            />
            <TextField
              label="Number"
              value={each.number ?? ''}
              onChange={(event) => change(index, { number: event.target.value })}
            />
            <TextField
              label="Valid until"
              type="date"
              hint="Empty where it has no end."
              value={each.expires ?? ''}
              onChange={(event) => change(index, { expires: event.target.value })}
            />
          </div>
          {each['x-photo'] != null && (
            <img
              src={photoAddress(each['x-photo'])}
              alt={`Picture of ${nameOf(each)}`}
              className="mb-3 block max-w-56 rounded"
            />
          )}
          <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
            <TakePhoto
              words={each['x-photo'] == null ? 'Add a picture' : 'Another picture'}
              onStored={(file) => change(index, { 'x-photo': file })}
            />
            <Button weight="quiet" onClick={() => onChange(value.filter((_, at) => at !== index))}>
              Take this out
            </Button>
          </div>
        </div>
      ))}
      <Button onClick={() => onChange([...value, { scheme: '', number: '', expires: '' }])}>
        Add a certificate
      </Button>
      {error ? <Fault>{error}</Fault> : field.hint && <p className="mt-1 text-soft">{field.hint}</p>}
    </fieldset>
  );
};

const nameOf = ({ scheme, number }: Certificate): string =>
  [scheme, number].filter(Boolean).join(' ') || 'the certificate';
