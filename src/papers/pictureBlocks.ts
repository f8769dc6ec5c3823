/** What stands on a paper as a picture: the circuit with its leaks, photos, the signature. */
import { type LeakStory, isFound } from '../core/visit/leaks/leakStory';
import { type VisitRecord, notesOf } from '../core/visit/visitRecord';
import { mapOfMachine } from '../record/circuitOf';
import type { FoldedMachine } from '../record/foldedMachine';
import { pairsOf, photosOf } from '../record/photos';
import { dayWords } from '../words/dates';
import { partWordsOf } from '../words/names';
import { type Block, type Content, linesOf } from './paper';
import { timesWords } from '../words/counts';

/** The machine with every leak so far, where one was found. */
export function drawnLeaks(view: FoldedMachine, leaks: readonly LeakStory[]): Block | null {
  const content = drawingOf(view, leaks.filter(isFound));
  return content && { title: 'Where it leaked', wide: true, contents: [content] };
}

export function drawingOf(view: FoldedMachine, leaks: readonly LeakStory[]): Content | null {
  const at = new Map<string, number>();
  for (const { part } of leaks) if (part !== null) at.set(part, (at.get(part) ?? 0) + 1);
  if (at.size === 0) return null;
  const said = [...at].map(([part, times]) => `${partWordsOf(view.names, part)}, ${timesWords(times)}`);
  return {
    type: 'drawing',
    map: mapOfMachine(view),
    leaks: Object.fromEntries(at),
    said: `Circuit of ${view.machine.appliance.name}. Leaked so far: ${said.join('; ')}.`,
  };
}

export function photosBlock(record: VisitRecord): Block | null {
  const groups = pairsOf(photosOf(record.entries)).map((group) =>
    group.map(({ note }) => ({
      file: note.file,
      marks: note.marks ?? [],
      words: [note.pair, note.caption].filter(Boolean).join(' · ') || 'photo',
    })),
  );
  return groups.length === 0 ? null : { title: 'Photos', wide: true, contents: [{ type: 'photos', groups }] };
}

/** Who took the machine over, by hand or with the reason why nobody signed. */
export function signatureBlock(record: VisitRecord): Block {
  const signed = notesOf(record.entries, 'signed').at(-1);
  if (!signed)
    return {
      title: 'Signature',
      wide: true,
      contents: [linesOf([{ words: 'Not handed over yet.', weight: 'warning' }])],
    };
  const { name, role, path, notSigned } = signed.note;
  const to = [name, role].filter(Boolean).join(', ');
  const line = `${notSigned ? `Not signed: ${notSigned}. ` : ''}Handed over${to === '' ? '' : ` to ${to}`}, ${dayWords(signed.day)}`;
  return {
    title: 'Signature',
    wide: true,
    contents: [
      ...(path ? [{ type: 'signature', path, name: name ?? '' } as const] : []),
      linesOf([{ words: line }]),
    ],
  };
}
