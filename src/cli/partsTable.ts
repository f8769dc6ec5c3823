/** The page of the format that lists the types of part and what lines carry. */
import { PART_TYPES, type PartTypeName, partType } from '../core/circuit/parts';
import { CARRIES } from '../core/logbook/piping';
import { LINE_WORDS, PART_WORDS } from '../words/circuit';

const stands = ({ valve, joins, stub, dry }: ReturnType<typeof partType>): string =>
  [
    dry ? 'off the piping, no refrigerant in it' : stub ? 'hangs on a part' : 'in flow',
    valve && 'can be shut',
    joins && 'lines meet in it',
  ]
    .filter(Boolean)
    .join(', ');

export const partsTable = (): string =>
  [
    '# Piping',
    '',
    'Made from `src/core/circuit/parts.ts` by `npm run docs`; a test fails when it falls behind. Another word as `type` is kept, and drawn as a part of no kind under its own name.',
    '',
    '| `type` | called | side | how it usually stands |',
    '| --- | --- | --- | --- |',
    ...(Object.keys(PART_TYPES) as PartTypeName[]).map(
      (name) => `| \`${name}\` | ${PART_WORDS[name]} | ${partType(name).side} | ${stands(partType(name))} |`,
    ),
    '',
    `Lines carry ${CARRIES.map((each) => `\`${each}\` (${LINE_WORDS[each]})`).join(', ')}.`,
    '',
  ].join('\n');
