/** The drawing of what is shut and what stands together: valves by touch, and the section in which the gauge sits. */
import { useState } from 'react';
import type { MapPart } from '../../../core/circuit/map';
import { placesIn, sectionOf } from '../../../core/circuit/sections';
import { shutParts } from '../../../core/visit/visitRecord';
import { useVisit } from '../visitContext';
import { ValveTray } from './ValveTray';
import { VisitDrawing, useReadingRound } from './VisitDrawing';

/** Where the gauge sits, and so what is tested: the section around it, in the words of where people stand. */
export function useSection() {
  const { map, view } = useVisit();
  const [gauge, setGauge] = useState<string | null>(null);
  const shut = shutParts(view.standing.history.entries, map);
  const section = gauge === null ? null : sectionOf(map, shut, gauge);
  const whole = section !== null && section.length === map.parts.length;
  return {
    gauge,
    setGauge,
    ids: new Set(section?.map((part) => part.id)),
    words: section === null ? '' : whole ? 'whole circuit' : placesIn(section).join(', '),
  };
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
