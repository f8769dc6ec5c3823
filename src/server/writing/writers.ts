/** Who is named as writer exists, and is whoever is signed in; a manager may write for somebody, which is kept with it. */
import type { Entry } from '../../core/logbook/entry';
import type { EndpointName } from '../../contract/endpoints';
import { ALARM_KINDS } from '../../contract/programs';
import type { Problem } from '../../core/logbook/problems';
import type { Caller } from '../caller';
import { invalid } from '../problem';
import type { Store } from '../store/store';

interface Named {
  path: (string | number)[];
  by: unknown;
}

/** Everybody whom the body of a request names as writer, with where. */
function writersIn(name: EndpointName, body: unknown): Named[] {
  const of = (value: unknown, ...path: (string | number)[]): Named[] => {
    const by = (value as { by?: unknown } | null | undefined)?.by;
    return by === undefined || by === null ? [] : [{ path: [...path, 'by'], by }];
  };
  const entries = (list: unknown, ...path: (string | number)[]): Named[] =>
    Array.isArray(list) ? list.flatMap((each, index) => of(each, ...path, index)) : of(list, ...path);
  if (name === 'append') return entries(body);
  const own = of(body);
  return name === 'addMachine'
    ? [...own, ...entries((body as { entries?: unknown }).entries, 'entries')]
    : own;
}

/** Refuses a request that names a writer who is nobody here, or somebody else than who sends it. */
export async function checkWriters(
  store: Store,
  name: EndpointName,
  body: unknown,
  caller: Caller | null,
): Promise<void> {
  if (caller?.program !== undefined && name === 'append') await checkProgram(store, body, caller);
  const named = writersIn(name, body);
  if (named.length === 0) return;
  const people = new Map(
    (await store.peopleById([...new Set(named.map(({ by }) => String(by)))])).map((person) => [
      person.id,
      person,
    ]),
  );
  const problems = named.flatMap(({ path, by }) => {
    const person = people.get(String(by));
    if (!person) return [{ path, message: 'names nobody of this logbook; choose who is writing' }];
    return caller && caller.role !== 'manager' && person.id !== caller.personId
      ? [
          {
            path,
            message: `names ${person.name}, but ${caller.name} is signed in; write under your own name`,
          },
        ]
      : [];
  });
  if (problems.length > 0) throw invalid(problems);
}

/** A program writes down what it saw at the machines of its site, and corrects nothing. */
async function checkProgram(store: Store, body: unknown, { sites }: Caller): Promise<void> {
  const problems: Problem[] = [];
  for (const [index, entry] of (body as Entry[]).entries()) {
    const at = (field: string, message: string) => problems.push({ path: [index, field], message });
    if (!ALARM_KINDS.some((kind) => kind === entry.kind))
      at('kind', `is none that this token may write: ${ALARM_KINDS.join(', ')}`);
    if (entry.supersedes != null) at('supersedes', 'corrects an entry, which a program may not');
    const placed = entry.applianceId == null ? null : await store.placed(entry.applianceId);
    if (!placed || (sites !== null && !sites.includes(placed.site.id)))
      at('applianceId', 'names no machine that this token is for');
  }
  if (problems.length > 0) throw invalid(problems);
}

/** Entries with who wrote them for somebody else; what a client says of that itself counts for nothing. */
export const signedBy = <Each extends Entry>(entries: readonly Each[], { personId }: Caller): Each[] =>
  entries.map((entry) => {
    const { 'x-writtenBy': _, ...own } = entry as Each & { 'x-writtenBy'?: unknown };
    return (own.by === personId ? own : { ...own, 'x-writtenBy': personId }) as Each;
  });
