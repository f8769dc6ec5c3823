/** Ties links onto the end of the chain, and says what stores them. */
import type { Entry } from '../../core/logbook/entry';
import type { Statement } from './database';
import { type Value, insertions } from './insertions';
import * as t from './schema';
import { type Sealable, sealedText } from './seal';

/** The last link, to which the next one is tied. */
export interface ChainEnd {
  sequence: number;
  previous: string;
}

/** Ties links onto a chain's end, one after the other. */
export class Chain {
  private sequence: number;
  private previous: string;

  constructor(end: ChainEnd) {
    this.sequence = end.sequence;
    this.previous = end.previous;
  }

  /** What stores these links behind the chain's end; `tell` hears of each with its seal. */
  seal(links: readonly Sealable[], tell?: (sealed: Sealable) => void): Statement[] {
    const statements: Statement[] = [];
    const revisions: Value[][] = [];
    let run = new Run();
    const endRun = () => {
      if (run.documents.length > 0) statements.push(run.stored(this.sequence));
      run = new Run();
    };
    for (const link of links) {
      const { previous } = this;
      const { hash, document } = sealedText(link, previous);
      if (!('kind' in link)) {
        endRun();
        revisions.push([this.sequence + 1, document, link.table, link.id]);
      } else run.add(link, document);
      this.sequence += 1;
      this.previous = hash;
      tell?.({ ...link, seal: { hash, previous } });
      if (run.documents.length === ENTRIES_OF_A_STATEMENT) endRun();
    }
    endRun();
    return [...insertions(t.revisions, REVISION_COLUMNS, revisions), ...statements];
  }
}

const ENTRIES_OF_A_STATEMENT = 1000;

/** What SQLite reads off the text of an entry, and only where some entry of the run has it. */
const SELDOM = {
  supersedes: 'supersedes',
  visitId: 'visit_id',
  cylinderId: 'cylinder_id',
} as const;

/** Entries that stand behind each other in the chain, stored by one statement: binding their columns one by one costs twice as much. */
class Run {
  readonly documents: string[] = [];
  private readonly found = new Set<keyof typeof SELDOM>();

  add(entry: Entry, document: string): void {
    this.documents.push(document);
    for (const field of Object.keys(SELDOM) as (keyof typeof SELDOM)[])
      if ((entry as Partial<Record<string, unknown>>)[field] != null) this.found.add(field);
  }

  stored(last: number): Statement {
    const fields = [...this.found];
    const columns = fields.map((field) => `, ${SELDOM[field]}`).join('');
    const texts = fields.map((field) => `, value ->> '$.${field}'`).join('');
    return {
      sql: `INSERT INTO entries (sequence, id, appliance_id, document${columns})
        SELECT ? + key, value ->> '$.id', value ->> '$.applianceId', value${texts} FROM json_each(?)`,
      args: [last - this.documents.length + 1, `[${this.documents.join(',')}]`],
    };
  }
}

const REVISION_COLUMNS = [
  t.revisions.sequence,
  t.revisions.document,
  t.revisions.tableName,
  t.revisions.rowId,
] as const;
