/** Papers for tests: made of facts of one machine, and read as an inspector reads them. */
import { expect } from 'vitest';
import type { Content, Paper } from '../contract/paper';
import type { PaperRequest } from '../contract/papers';
import type { Entry } from '../core/logbook/entry';
import type { Logbook } from '../core/logbook/logbook';
import type { Row } from '../core/testkit/naive';
import { type Fact, type Scene, sceneOf, storyOf } from '../core/testkit/facts';
import { dayOf } from '../core/quantity/day';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import type { Records } from './made';
import { machinesOfVisitIn, makePapers } from './make';

/** Everything that stands on a paper, one piece a line. */
export function read(paper: Paper): string {
  return [
    paper.title,
    paper.subject,
    ...paper.facts.map(([label, words]) => `${label}: ${words}`),
    ...paper.blocks.flatMap(({ title, contents }) => [
      `# ${title}`,
      ...contents.flatMap((content) => {
        switch (content.type) {
          case 'lines':
            return content.lines.map(({ label, words, but }) =>
              [label, words, but].filter(Boolean).join(' '),
            );
          case 'table':
            return [content.head.join(' | '), ...content.rows.map((row) => row.join(' | '))];
          case 'drawing':
            return [content.said];
          case 'photos':
            return content.groups.flat().map(({ words }) => words);
          case 'signature':
            return [`signed ${content.name}`];
        }
      }),
    ]),
  ].join('\n');
}

export function records(facts: readonly Fact[], rest: Partial<Logbook> = {}, scene: Scene = {}): Records {
  const { site, appliance } = sceneOf(scene);
  const entries = storyOf(facts, scene);
  const own = rest.sites?.[0] ?? site;
  const rows = { appliance, site: own, spaces: [], entries };
  return {
    packs: SHIPPED_PACKS,
    company: () => Promise.resolve(rest.company ?? null),
    owner: (id) => Promise.resolve((rest.owners ?? []).find((each) => each.id === id) ?? null),
    people: () => Promise.resolve(rest.people ?? []),
    machine: (id) => Promise.resolve(id === 'a' ? rows : null),
    machineOfEntry: (id) => Promise.resolve(entries.find((each) => each.id === id)?.applianceId ?? null),
    machinesOfVisit: (visit) => Promise.resolve(machinesOfVisitIn(entries, visit)),
    machines: async function* () {
      yield await Promise.resolve(rows);
    },
    cylinders: () => Promise.resolve([]),
    today: () => dayOf('2026-11-23'),
  };
}

export async function paper(request: PaperRequest, from: Records, answers = {}): Promise<Paper> {
  const made = await makePapers(request, from, answers);
  if (!made.ok) throw new Error(made.refusal);
  const [first] = made.value.papers;
  if (!first) throw new Error('no paper');
  return first;
}

function pieces(content: Content): string[] {
  switch (content.type) {
    case 'lines':
      return content.lines.flatMap(({ label, words, but }) => [
        words,
        ...(label === undefined ? [] : [label]),
        ...(but === undefined ? [] : [but]),
      ]);
    case 'table':
      return [content.caption, ...content.head, ...content.rows.flat()];
    case 'drawing':
      return [content.said];
    case 'photos':
      return content.groups.flat().map(({ words }) => words);
    case 'signature':
      return [content.name];
  }
}

/** Every piece of text on a paper by itself. */
export const allOf = ({ title, subject, facts, blocks }: Paper): string[] => [
  title,
  subject,
  ...facts.flat(),
  ...blocks.flatMap((block) => [block.title, ...block.contents.flatMap(pieces)]),
];

/** What a machine would print, and nobody would say; entries are `e0001`, corrections `x0`, leaks have ids as made once. */
export const NO_WORD =
  /undefined|NaN|\bnull\b|\[object|\be\d{4}\b|\bx\d\b|Infinity|\d\.\d{4}|[0-9a-f]{8}-[0-9a-f]{4}-/;

/** Nothing on it that is no word, nothing empty, tables as wide as their heads. */
export function expectWords(paper: Paper): void {
  for (const piece of allOf(paper)) {
    expect(piece.trim(), `an empty piece of ${paper.title}`).not.toBe('');
    expect(piece, paper.title).not.toMatch(NO_WORD);
  }
  for (const content of paper.blocks.flatMap(({ contents }) => contents))
    if (content.type === 'table')
      for (const row of content.rows) expect(row.length).toBe(content.head.length);
}

/** The papers of one entry, by its kind. */
export const PAPER_OF_ENTRY = {
  leakInspection: 'inspection',
  planFiled: 'plan',
  extension: 'extension',
} as const;

/** An entry as it is sent: without what the server adds. */
export function sent({ seal: _s, recordedAt: _r, ...entry }: Entry): Row {
  return entry as unknown as Row;
}
