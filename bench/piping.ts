/** A rack of 40 circuits: from its drawing to sections and to what is drawn, beside parsing the document. */
import { drawingOf, mapOfDrawing } from '../src/core/circuit/drawing';
import { sectionsOf } from '../src/core/circuit/sections';
import { dayOf } from '../src/core/quantity/day';
import { pathOf } from '../src/record/drawing/pipes';
import { drawn, pagesOf } from '../src/record/drawing/placing';
import { type Comparison, compare } from './measure';

const CIRCUITS = 40;
const DAY = dayOf('2026-11-23');

export async function benchPiping(): Promise<Comparison[]> {
  const rooms = Array.from({ length: CIRCUITS }, (_, index) => `circuit ${String(index + 1)}`);
  const drawing = drawingOf({ layout: 'rack', rooms, compressors: 4 });
  const text = JSON.stringify(drawing);
  const baseline = (): void => void JSON.parse(text);
  const map = mapOfDrawing(drawing, DAY);
  const shut = new Set(map.parts.filter(({ type }) => type === 'ballValve').map(({ id }) => id));
  const sections = await compare('map and sections of a rack of 40 circuits', 'parsing its document', {
    subject: () => void sectionsOf(mapOfDrawing(drawing, DAY), shut),
    baseline,
    perRun: 1,
    unit: 'racks a second',
  });
  const layout = await compare('every page of its drawing, with its lines', 'parsing its document', {
    subject: () => {
      for (let page = 0; page < pagesOf(map); page += 1) {
        const { parts, pipes } = drawn(map, page);
        const byId = new Map(parts.map((part) => [part.id, part]));
        for (const pipe of pipes) pathOf(pipe, byId);
      }
    },
    baseline,
    perRun: pagesOf(map),
    unit: 'pages a second',
  });
  return [sections, layout];
}
