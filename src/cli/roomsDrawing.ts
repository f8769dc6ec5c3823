/** The house as a drawing in text, from the same table that the dependency check reads. */
import { createRequire } from 'node:module';

type Rooms = Readonly<Record<string, readonly string[]>>;

const { core, house, server, web } = createRequire(import.meta.url)('../../rooms.cjs') as {
  core: Rooms;
  house: Rooms;
  server: Rooms;
  web: Rooms;
};

/** How far above the ground a room stands: one more than the highest that it may import. */
function levelOf(rooms: Rooms, room: string): number {
  const below = (rooms[room] ?? []).filter((each) => each !== room);
  return below.length === 0 ? 0 : 1 + Math.max(...below.map((each) => levelOf(rooms, each)));
}

function floors(rooms: Rooms): string[] {
  const byLevel = new Map<number, string[]>();
  for (const room of Object.keys(rooms)) {
    const level = levelOf(rooms, room);
    byLevel.set(level, [...(byLevel.get(level) ?? []), room]);
  }
  return [...byLevel]
    .sort(([a], [b]) => b - a)
    .map(([, names], index) => `${index === 0 ? ' ' : '↓'} ${names.join('   ')}`);
}

/** Top floors first; a room imports itself and floors below it. */
export const roomsDrawing = (): string =>
  [
    ['src', house],
    ['src/core', core],
    ['src/server', server],
    ['src/web', web],
  ]
    .map(([place, rooms]) =>
      [`${place as string}/`, ...floors(rooms as Rooms).map((line) => `  ${line}`)].join('\n'),
    )
    .join('\n\n');

export const BEGIN = '<!-- rooms: made by npm run docs -->';
export const END = '<!-- /rooms -->';

/** A page with the drawing put between its marks. */
export function withDrawing(page: string): string {
  const [before = '', rest = ''] = page.split(BEGIN);
  const [, after = ''] = rest.split(END);
  return `${before}${BEGIN}\n\n\`\`\`text\n${roomsDrawing()}\n\`\`\`\n\n${END}${after}`;
}
