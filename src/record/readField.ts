/** From what a form holds of one field to what the entry says, or what is wrong with it. */
import type { MassUnit } from '../core/quantity/mass';
import { GAUGE_UNITS } from '../core/quantity/units';
import type { AskedField } from './field';
import { massOf } from './gasDraft';
import { leakDraftOf } from './leakDraft';
import { type FormPlace, usualUnit } from './place';
import { type FieldRead, draftOf, readMeasured, readQuantity, readStated } from './statedDraft';

export function readField(field: AskedField, value: unknown, place: FormPlace): FieldRead {
  if (field.type === 'measure') {
    const { unit: usual } = usualUnit(place, field.dimension, field.unit);
    // What must be a figure takes no bound and no word for it.
    const read = field.stated ? readQuantity : readMeasured;
    return readStated(draftOf(value), (draft) =>
      read(field.dimension, draft, usual, place.atmosphere, place.instruments),
    );
  }
  if (field.stated) return readStated(draftOf(value), ({ text }) => readPlain(field, text, place.mass));
  return readPlain(field, value, place.mass);
}

function readPlain(field: AskedField, value: unknown, unit: MassUnit): FieldRead {
  const text = typeof value === 'string' ? value.trim() : '';
  switch (field.type) {
    case 'check':
      return { value };
    case 'many':
    case 'leaks':
      return { value: Array.isArray(value) && value.length > 0 ? value : undefined };
    case 'mass': {
      if (text === '' && field.optional) return { value: undefined };
      const read = massOf(text, unit);
      return 'error' in read ? read : { value: read.mass };
    }
    case 'pressure':
      return text === '' ? { value: undefined } : readPressure(text);
    case 'partsLeftOut':
      return { value: text === '' ? undefined : text.split('\n').map(splitPart) };
    case 'year':
      return { value: text === '' ? undefined : Number(text) };
    case 'leak':
    case 'newLeak':
      return { value: leakDraftOf(value, new Map()) };
    case 'choice':
      if (text === '') return { value: undefined };
      return { value: text === 'true' ? true : text === 'false' ? false : text };
    default:
      return { value: text === '' ? undefined : text };
  }
}

function splitPart(line: string): { part: string; reason: string } {
  const [part = '', ...reason] = line.split(':');
  return { part: part.trim(), reason: reason.join(':').trim() };
}

/** `150 psig`; a bare number is in psig. */
export function readPressure(text: string): FieldRead {
  const match = /^(-?\d+(?:\.\d+)?)\s*([a-z]*)$/i.exec(text);
  const unit =
    GAUGE_UNITS.find((each) => each.toLowerCase() === (match?.[2] ?? '').toLowerCase()) ??
    (match?.[2] === '' ? 'psig' : undefined);
  if (!match || !unit) return { error: 'Type a pressure such as 150 psig, 10 bar or -12 inHg.' };
  return { value: { value: Number(match[1]), unit } };
}
