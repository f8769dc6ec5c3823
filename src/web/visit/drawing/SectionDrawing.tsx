/** The drawing of what is shut and what stands together: valves by touch, and the section in which the gauge sits. */
import { useState } from 'react';
import type { CircuitMap, MapPart } from '../../../core/circuit/map';
import { type Passing, isWhole, passing, placesIn, sectionOf } from '../../../core/circuit/sections';
import { valvesOf } from '../../../core/visit/valves';
import { passingWords } from '../../../words/circuit';
import { capped } from '../../../words/list';
import { useVisit } from '../visitContext';
import { ValveTray } from './ValveTray';
import { VisitDrawing, useReadingRound } from './VisitDrawing';

/** Where the gauge sits, and so what is tested: the section around it, in the words of where people stand. */
export function useSection() {
  const { map, view } = useVisit();
  const [gauge, setGauge] = useState<string | null>(null);
  const valves = valvesOf(view.standing.history.entries, map);
  const section = gauge === null ? null : sectionOf(map, valves.shut, gauge);
  const open = gauge === null ? null : passing(map, valves, gauge);
  return {
    gauge,
    setGauge,
    ids: new Set(section?.map((part) => part.id)),
    // Goes onto paper with the test: a pass behind a valve that leaks by says so there too.
    words: section === null ? '' : wordsOf(map, section, open),
    /** where gas comes in or goes although every valve of the section is shut */
    open: open && passingWords(open),
  };
}

function wordsOf(map: CircuitMap, section: readonly MapPart[], open: Passing | null): string {
  const where = isWhole(map, section) ? 'whole circuit' : placesIn(section).join(', ');
  return open ? `${where} (${passingWords(open)})` : where;
}

export type Section = ReturnType<typeof useSection>;

export function SectionDrawing({ section }: { section?: Section }) {
  const round = useReadingRound();
  const [touched, setTouched] = useState<MapPart | null>(null);
  return (
    <>
      <VisitDrawing
        label="The machine: touch a valve to shut or open it"
        round={round}
        values={false}
        onPart={setTouched}
        shown={(part) => ({
          inSection: section?.ids.has(part.id) ?? false,
          ...(part.id === section?.gauge ? { says: 'the gauge sits here', open: true } : {}),
        })}
      />
      {section?.open && (
        <p className="mb-2 border-l-4 border-ochre pl-3 font-semibold text-ochre">
          <span aria-hidden="true">◐ </span>
          {capped(section.open)}. A vacuum or a pass in here proves little.
        </p>
      )}
      {touched && (
        <ValveTray
          key={touched.id}
          part={touched}
          onClose={() => setTouched(null)}
          {...(section ? { onGauge: () => section.setGauge(touched.id) } : {})}
        />
      )}
    </>
  );
}
