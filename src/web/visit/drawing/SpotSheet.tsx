/** One part of the circuit under the detector: looked at, a hit, false with its cause, confirmed, or left out and why. */
import { useState } from 'react';
import type { MapPart } from '../../../core/visit/circuit/map';
import { partType } from '../../../core/visit/circuit/parts';
import {
  CONFIRMING,
  FALSE_CAUSES,
  GRADES,
  SPOT_MARKS,
  type Grade,
  type SpotMark,
} from '../../../core/visit/notes';
import { leakDraftOf } from '../../../record/leakDraft';
import { WriterField } from '../../forms/WriterField';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { CheckField, TextArea, TextField } from '../../parts/Field';
import { Sheet } from '../../parts/Sheet';
import { FALSE_WORDS, MARK_WORDS, partName, partWords } from '../../../words/circuit';
import { GRADE_WORDS, methodWords } from '../../../words/leaks';
import { useVisitWrite } from '../useVisitWrite';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useVisit } from '../visitContext';

const METHOD_OF: Record<Grade, string> = {
  corrosion: 'visual',
  oilOrFrost: 'visual',
  detectorHit: 'electronic',
  audible: 'audible',
  bubbles: 'bubbles',
  seen: 'visual',
  bench: 'visual',
};

const FRESH = {
  mark: 'lookedAt' as SpotMark,
  grade: '',
  cause: '',
  method: 'electronic',
  why: '',
  reachable: true,
  place: '',
  size: '',
};

export function SpotSheet({ part, onClose }: { part: MapPart; onClose: () => void }) {
  const { view, visitId, newEntry } = useVisit();
  const deed = useVisitWrite(`spot ${part.id}`);
  const { hidden } = partType(part.type);
  const {
    draft: typed,
    set,
    forget,
  } = useKeptDraft(`${visitId} ${view.machine.appliance.id} spot ${part.id}`, () => ({
    ...FRESH,
    leak: leakDraftOf(null, view.names.leaks),
  }));
  const { mark, grade, cause, method, why, reachable, place, size } = typed;
  const change = (next: Partial<typeof FRESH>) => set({ ...typed, ...next });
  const [problem, setProblem] = useState<string | null>(null);
  const confirming = mark === 'confirmed';
  const grades = confirming ? CONFIRMING : GRADES.filter((each) => !CONFIRMING.includes(each));
  const bubblesHere = hidden && grade === 'bubbles';

  const wrong = (): string | null => {
    if ((mark === 'hit' || confirming) && !grades.some((each) => each === grade))
      return 'Say what showed it.';
    if (bubblesHere)
      return 'This part leaks into its own housing: no bubble can show outside. Mark a hit instead.';
    if (mark === 'false' && cause === '') return 'Say what made the hit false.';
    if (mark === 'leftOut' && why.trim() === '') return 'Say why it was left out.';
    return null;
  };
  const save = async () => {
    const found = wrong();
    setProblem(found);
    if (found !== null) return;
    // The leak was named when the sheet opened: a second try names the same.
    set(typed);
    const { id, label } = typed.leak.fresh;
    const leakId = confirming ? id : null;
    const words = partWords(part);
    const used = grade ? METHOD_OF[grade as Grade] : mark === 'lookedAt' ? method : null;
    const spot = newEntry('search', {
      tool: 'spot',
      part: part.id,
      words,
      mark,
      grade: grade || null,
      method: used,
      cause: mark === 'false' ? cause : null,
      why: why.trim() || null,
      reachable: mark === 'leftOut' ? reachable : null,
      leakId,
    });
    const leak =
      leakId === null
        ? null
        : newEntry('leakFound', {
            leakId,
            label,
            part: part.id,
            component: partName(part),
            location: place.trim() || part.where,
            methods: [used],
            sizeGuess: size.trim() || null,
            note: why.trim() || null,
          });
    if (!(await deed.save(confirming ? [leak, spot] : [spot], `${partName(part)}: ${MARK_WORDS[mark]}.`)))
      return;
    forget();
    onClose();
  };

  return (
    <Sheet
      title={partName(part)}
      subtitle={part.where}
      onClose={onClose}
      footer={
        <>
          {problem && (
            <p role="alert" className="mb-2 font-semibold text-brick">
              {problem}
            </p>
          )}
          <ApiError error={deed.error} />
          <Button weight="main" className="w-full" disabled={deed.writing} onClick={() => void save()}>
            {confirming ? 'Write the leak down' : 'Mark it'}
          </Button>
        </>
      }
    >
      <Choices
        label="What you found"
        value={mark}
        onChange={(value) => change({ mark: value as SpotMark, grade: '' })}
        choices={SPOT_MARKS.map((value) => ({ value, words: MARK_WORDS[value] }))}
      />
      {hidden && (
        <p className="mb-3 border-l-4 border-ochre pl-3">
          It leaks into its own housing: bubbles show nothing outside. A hit here stays suspected until the
          part is proven on the bench.
        </p>
      )}
      {mark === 'lookedAt' && (
        <Choices
          label="Looked at with"
          value={method}
          onChange={(value) => change({ method: value })}
          choices={['electronic', 'bubbles', 'ultrasonic', 'visual'].map((value) => ({
            value,
            words: methodWords(value),
          }))}
        />
      )}
      {(mark === 'hit' || confirming) && (
        <>
          <p className="mb-1 font-semibold">What showed it</p>
          <Choices
            label="What showed it"
            value={grade}
            onChange={(value) => change({ grade: value })}
            choices={grades.map((value) => ({ value, words: GRADE_WORDS[value] }))}
          />
        </>
      )}
      {mark === 'hit' && (
        <p className="mb-3 text-soft">
          Zero the detector in the contaminated air and come again; stop the fans. A hit is not a leak until
          bubbles or an equally sure sign confirm it.
        </p>
      )}
      {mark === 'false' && (
        <>
          <p className="mb-1 font-semibold">What made it false</p>
          <Choices
            label="What made it false"
            value={cause}
            onChange={(value) => change({ cause: value })}
            choices={FALSE_CAUSES.map((value) => ({ value, words: FALSE_WORDS[value] }))}
          />
        </>
      )}
      {confirming && (
        <>
          <TextField
            label="Exact place"
            optional
            hint={`Else it is written as ${part.where}.`}
            value={place}
            onChange={(event) => change({ place: event.target.value })}
          />
          <TextField
            label="Size, as guessed"
            optional
            value={size}
            onChange={(event) => change({ size: event.target.value })}
          />
        </>
      )}
      {mark === 'leftOut' && (
        <CheckField
          label="It cannot be reached without taking the machine apart"
          checked={!reachable}
          onChange={(event) => change({ reachable: !event.target.checked })}
          hint="Only then may the search still count as an inspection."
        />
      )}
      <TextArea
        label={mark === 'leftOut' ? 'Why it was left out' : 'Note'}
        optional={mark !== 'leftOut'}
        value={why}
        onChange={(event) => change({ why: event.target.value })}
      />
      <WriterField />
    </Sheet>
  );
}
