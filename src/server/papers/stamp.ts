/**
 * The number of a document and what it was made from. The number names what the paper is about, so that it is the same on
 * every device; behind it stands its version: the next one when the record that it tells was corrected or went on.
 */
import { hash } from 'node:crypto';
import { type PaperRequest, factsOfDocument } from '../../contract/papers';
import type { Entry } from '../../core/logbook/entry';
import type { MadeDocument } from '../../papers/made';
import type { Line } from '../../papers/paper';
import { canonical } from '../store/seal';

/** without letters that are taken for figures */
const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const CODE_LENGTH = 6;

const sha256 = (text: string): string => hash('sha256', text, 'hex');

/** The same for every issue of the same paper, whatever the day. */
export function baseNumber({ asOf: _, ...subject }: PaperRequest): string {
  const bytes = Buffer.from(sha256(canonical(subject)), 'hex');
  const code = [...bytes.subarray(0, CODE_LENGTH)].map((byte) => ALPHABET[byte % ALPHABET.length]).join('');
  return `${factsOfDocument(subject.document).prefix}-${code}`;
}

/** When an entry was written down and how it is chained is no part of what it says. */
const plain = (_key: string, value: unknown): unknown => {
  if (value === null || typeof value !== 'object' || !('kind' in value && 'on' in value)) return value;
  const { recordedAt: _at, seal: _seal, ...entry } = value as Entry;
  return entry;
};

/** SHA-256 over all that a document was made from. */
export const fingerprint = (made: Pick<MadeDocument, 'from'>): string =>
  sha256(canonical(JSON.parse(JSON.stringify(made.from, plain)) as object));

/** How a document was issued the last time. */
export interface IssuedBefore {
  version: number;
  fingerprint: string;
  recordedAt: string;
}

export interface Stamp {
  number: string;
  version: number;
  fingerprint: string;
  size: 'A4' | 'LETTER';
  /** how it differs from the version that was issued before */
  changed: readonly string[];
  lines: readonly Line[];
}

/**
 * Of the same record the version stays; when it is issued again after a correction, or after whatever else changed, it is the
 * next one. `registered`: it stands among the documents of a logbook; made from a file alone it does not, and says so.
 */
export function stampOf(
  request: PaperRequest,
  made: MadeDocument,
  before: IssuedBefore | null,
  registered = true,
): Stamp {
  const base = baseNumber(request);
  const print = fingerprint(made);
  const same = before?.fingerprint === print;
  // Versions count what was issued: whoever asks for the first and the second finds both.
  const version = same ? before.version : (before?.version ?? 0) + 1;
  const changed = before && !same ? made.changedSince(before.recordedAt) : [];
  return {
    number: `${base}-${String(version)}`,
    version,
    fingerprint: print,
    size: made.pounds ? 'LETTER' : 'A4',
    changed,
    lines: [
      { label: 'Number:', words: `${base}, version ${String(version)}` },
      ...(before && !same
        ? [
            {
              label: `Changed since version ${String(before.version)}:`,
              words: changed.length > 0 ? changed.join('; ') : 'the rows it was made from, or its day',
            },
          ]
        : []),
      ...(registered
        ? []
        : [
            {
              words: 'Made from a logbook file and not registered: no logbook knows it under this number.',
              weight: 'strong' as const,
            },
          ]),
      { label: 'Made from the record with the fingerprint (SHA-256):', words: print },
      {
        words:
          'Made with Green Abacus from the entries of the logbook. The rules are read for planning; the current text of the authority, local code and the licence decide.',
      },
    ],
  };
}
