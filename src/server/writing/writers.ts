/** Who is named as writer exists and may write; accounts, which prove it, come later. */
import type { EndpointName } from '../../contract/endpoints';
import { invalid } from '../problem';
import type { Store } from '../store/store';

/** An auditor reads. */
const READS_ONLY = /^auditor\b/i;

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

/** People that a request of rows brings itself: the first of an empty list writes themselves down. */
const newPeopleIn = (body: unknown): string[] =>
  ((body as { changes?: { table: string; id: string }[] } | null)?.changes ?? []).flatMap(({ table, id }) =>
    table === 'people' ? id : [],
  );

/** Refuses a request that names a writer who is nobody here, or who may only read. */
export async function checkWriters(store: Store, name: EndpointName, body: unknown): Promise<void> {
  const named = writersIn(name, body);
  if (named.length === 0) return;
  const people = new Map(
    (await store.peopleById([...new Set(named.map(({ by }) => String(by)))])).map((person) => [
      person.id,
      person,
    ]),
  );
  const coming = new Set(name === 'changeRows' ? newPeopleIn(body) : []);
  const problems = named.flatMap(({ path, by }) => {
    const person = people.get(String(by));
    if (!person && !coming.has(String(by)))
      return [{ path, message: 'names nobody of this logbook; choose who is writing' }];
    return person && READS_ONLY.test(person.role ?? '')
      ? [{ path, message: `names ${person.name}, who reads only; somebody else must write` }]
      : [];
  });
  if (problems.length > 0) throw invalid(problems);
}
