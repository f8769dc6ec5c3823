/** What the history says before driving: stains, notes of the last person, places that leaked, parts with a date. */
import type { ReactNode } from 'react';
import { type BeforeDriving } from '../../../core/visit/beforeDriving';
import { oilTracesOf, toLookAgain } from '../../../core/visit/leaks/oilTraces';
import { valueOf } from '../../../core/visit/notes/stated';
import { useWriter } from '../../data/device/writer';
import { Section } from '../../parts/Page';
import { dayWords } from '../../../words/dates';
import { statedWords } from '../../../words/stated';
import { Picture } from '../../paper/Picture';
import { photosOf } from '../../../record/photos';
import { type MachineView } from '../../data/api/machineView';
import { timesWords } from '../../../words/counts';

/** Stains that misled somebody before, or that were cleaned to see whether they come back. */
export function OilTraces({ view }: { view: MachineView }) {
  const oilTraces = oilTracesOf(view.standing.history.entries);
  if (oilTraces.length === 0) return null;
  const photos = photosOf(view.standing.history.entries);
  return (
    <Section title="Oil stains on record">
      <ul>
        {oilTraces.map((oilTrace) => (
          <li key={oilTrace.id} className="rule-b py-1.5">
            <span className="font-semibold">{oilTrace.place}</span>
            <span className="block text-soft">
              {`cause ${statedWords<string>(oilTrace.cause, (cause) => cause) ?? 'not recorded'}`},{' '}
              {oilTrace.cleanedOn === null ? 'not cleaned' : `cleaned ${dayWords(oilTrace.cleanedOn)}`}
              {toLookAgain([oilTrace]).length > 0 && (
                <span className="font-semibold text-ochre"> · look whether it came back</span>
              )}
              {valueOf(oilTrace.result) === 'cameBack' && (
                <span className="font-semibold text-brick"> · came back</span>
              )}
              {valueOf(oilTrace.result) === 'stayedClean' && ' · stayed clean'}
            </span>
            {photos
              .filter(({ note }) => note.stain === oilTrace.id)
              .map(({ entry, note }) => (
                <span key={entry.id} className="block max-w-60">
                  <Picture file={note.file} marks={note.marks ?? []} words={note.caption ?? oilTrace.place} />
                </span>
              ))}
          </li>
        ))}
      </ul>
    </Section>
  );
}

export const Unknown = ({ children }: { children: ReactNode }) => <p className="text-soft">{children}</p>;

export function Notes({ digest: { handover, control } }: { digest: BeforeDriving }) {
  const { people } = useWriter();
  const by = people.find((person) => person.id === handover?.by)?.name ?? handover?.by;
  return (
    <Section title="What the last person left">
      {handover ? (
        <>
          {handover.notes && (
            <p className="whitespace-pre-line border-l-4 border-green pl-3">{handover.notes}</p>
          )}
          {handover.oddSettings && (
            <p className="mt-2 whitespace-pre-line border-l-4 border-ochre pl-3">
              <span className="font-semibold">Leave as it is: </span>
              {handover.oddSettings}
            </p>
          )}
          <p className="mt-1 text-soft">
            {by}, {dayWords(handover.on)}
          </p>
        </>
      ) : (
        <Unknown>Nobody left a note. Yours will stand here.</Unknown>
      )}
      {control && (
        <p className="mt-2">
          {control.words} <span className="text-soft">(kept {dayWords(control.on)})</span>
        </p>
      )}
    </Section>
  );
}

const PLACES_SHOWN = 6;

export function Leaks({ digest: { leakPlaces } }: { digest: BeforeDriving }) {
  return (
    <Section title="Look here first">
      {leakPlaces.length === 0 && <Unknown>No leak with a place is on record.</Unknown>}
      <ol>
        {leakPlaces.slice(0, PLACES_SHOWN).map((each) => (
          <li key={each.place} className="rule-b py-1.5">
            <span className="font-semibold">{each.place}</span>
            <span className="text-soft">
              {' '}
              · {timesWords(each.times)}, last {dayWords(each.lastOn)}
            </span>
          </li>
        ))}
      </ol>
    </Section>
  );
}

export function Parts({ digest: { temporary, again }, view }: { digest: BeforeDriving; view: MachineView }) {
  if (temporary.length === 0 && again.length === 0) return null;
  return (
    <Section title="Parts">
      <ul>
        {temporary.map((each) => {
          const late = each.removeBy !== null && each.removeBy < view.today;
          return (
            <li key={each.entryId} className="rule-b py-1.5">
              <span className="font-semibold">{[each.part, each.place].filter(Boolean).join(', ')}</span>
              <span className={late ? 'block font-semibold text-brick' : 'block text-soft'}>
                {late && '▲ '}Temporary since {dayWords(each.fittedOn)},{' '}
                {each.removeBy === null
                  ? 'no day set by which it goes'
                  : `${late ? 'should have gone by' : 'goes by'} ${dayWords(each.removeBy)}`}
              </span>
            </li>
          );
        })}
        {again.map((each) => (
          <li key={`${each.part}${each.place ?? ''}`} className="rule-b py-1.5">
            <span className="font-semibold">{[each.part, each.place].filter(Boolean).join(', ')}</span>
            <span className="block text-ochre">
              ◐ Fitted {String(each.days.length)} times within a year ({each.days.map(dayWords).join(', ')}):
              find the cause.
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
