/** The form of a row, and the fields that many rows share. */
import type { AskedField } from '../field';

/** The form that puts a row right, or adds one. */
export interface RowForm {
  /** what one row is called */
  thing: string;
  fields: readonly AskedField[];
  /** of a new one these stand open, in this order; the rest is folded. Left out: all of them */
  first?: readonly string[];
}

export const named = (label: string, hint?: string): AskedField => ({
  key: 'name',
  label,
  type: 'text',
  ...(hint === undefined ? {} : { hint }),
});
export const optional = (
  key: string,
  label: string,
  type: 'text' | 'long' | 'date',
  hint?: string,
): AskedField => ({
  key,
  label,
  type,
  optional: true,
  ...(hint === undefined ? {} : { hint }),
});
export const address = optional('address', 'Address', 'long', 'As it stands on papers.');
export const contact = optional('contact', 'Contact', 'text', 'Telephone or mail, and who answers.');
