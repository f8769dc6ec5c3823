/**
 * Documents leave the house here: previewed, numbered, drawn, kept under the hash of their content, and sealed into the chain
 * with to whom they went. Of the same record the same file goes out again.
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { z } from 'zod';
import type { AnswerOf, BodyRead, QueryRead } from '../../contract/endpoints';
import type { IssuedRow, PaperRequest, paperPreview } from '../../contract/papers';
import type { Owner } from '../../core/logbook/tables';
import { answerOfOwner, asksOf } from '../../papers/asks';
import type { MadeDocument } from '../../papers/made';
import { makePapers } from '../../papers/make';
import type { Answers } from '../../papers/entryPapers';
import type { Clock } from '../clock';
import type { StandingKeeper } from '../standings/standings';
import { contentHash, keepFile } from '../files/keptFile';
import type { Photos } from '../files/photos';
import { conflict, invalid } from '../problem';
import type { Rows } from '../writing/rows';
import type { Database } from '../store/database';
import type { IssuedStore } from '../store/issued';
import type { Store } from '../store/store';
import { pdfOf } from './pdf';
import { baseNumber, stampOf } from './stamp';
import { storeRecords } from './storeRecords';

export const PAPER_NAME = /^[0-9a-f]{64}\.pdf$/;

interface IssuingNeeds {
  database: Database;
  store: Store;
  issued: IssuedStore;
  keeper: StandingKeeper;
  rows: Rows;
  photos: Photos;
  clock: Clock;
  folder: string;
}

export class Issuing {
  constructor(private readonly needs: IssuingNeeds) {}

  async preview(request: PaperRequest): Promise<z.infer<typeof paperPreview>> {
    const before = await this.needs.issued.ofBase(baseNumber(request));
    const last = before[0] ?? null;
    const made = await this.made(request, last?.answers ?? {});
    const stamp = stampOf(request, made, last);
    return {
      number: stamp.number,
      fingerprint: stamp.fingerprint,
      changed: [...stamp.changed],
      papers: [...made.papers],
      asks: asksOf(request, await this.ownerOf(made), last?.answers),
      before,
    };
  }

  async issue({ id, request, by, to, answers }: BodyRead<'issuePaper'>): Promise<IssuedRow> {
    const known = await this.needs.issued.byId(id);
    if (known) return known;
    const last = (await this.needs.issued.ofBase(baseNumber(request)))[0] ?? null;
    const first = await this.made(request, answers);
    const made = (await this.remember(first, answers, by)) ? await this.made(request, answers) : first;
    const stamp = stampOf(request, made, last);
    const file = last?.fingerprint === stamp.fingerprint ? last.file : await this.drawn(made, stamp);
    const [paper] = made.papers;
    if (!paper) throw new Error('A document has at least one paper.');
    return this.needs.database.write(async () => {
      const [latest] = await this.needs.issued.ofBase(baseNumber(request));
      if (latest?.id !== last?.id)
        throw conflict(
          'This document was issued meanwhile by somebody else.',
          'Look at it again, and issue it then.',
        );
      const row: IssuedRow = {
        id,
        number: stamp.number,
        base: baseNumber(request),
        version: stamp.version,
        request,
        title: paper.title,
        subject: paper.subject,
        applianceId: made.machineId,
        asOf: made.asOf,
        recordedAt: new Date(this.needs.clock.nowMs()).toISOString(),
        by,
        to,
        fingerprint: stamp.fingerprint,
        file,
        changed: [...stamp.changed],
        answers,
      };
      const revision = { table: 'issued', id, row, recordedAt: row.recordedAt, by, why: `issued to ${to}` };
      const sealed = await this.needs.store.sealed([], [revision]);
      await this.needs.database.batch([this.needs.issued.insert(row), ...sealed.statements]);
      return row;
    });
  }

  list({ machine, after, limit }: QueryRead<'papers'>): Promise<AnswerOf<'papers'>> {
    return this.needs.issued.page(machine ?? null, after ?? null, limit);
  }

  byId = (id: string): Promise<IssuedRow | null> => this.needs.issued.byId(id);

  /** The file of an issue with its number; null where there is none. */
  async fileOf(id: string): Promise<{ path: string; name: string } | null> {
    const row = await this.byId(id);
    const path = row && PAPER_NAME.test(row.file) ? join(this.needs.folder, row.file) : null;
    return row && path !== null && existsSync(path) ? { path, name: `${row.number}.pdf` } : null;
  }

  private async made(request: PaperRequest, answers: Answers): Promise<MadeDocument> {
    const records = storeRecords(this.needs.store, await this.needs.keeper.currentPacks(), this.needs.clock);
    const made = await makePapers(request, records, answers);
    if (!made.ok) throw invalid([{ path: ['document'], message: made.refusal }], made.refusal);
    return made.value;
  }

  private async ownerOf({ ownerId }: MadeDocument): Promise<Owner | null> {
    return ownerId === null ? null : ((await this.needs.store.rowOf('owners', ownerId)) as Owner | null);
  }

  /** What was answered for the owner stands in the owner's row from now on; true: the row changed. */
  private async remember(
    made: MadeDocument,
    answers: Readonly<Record<string, string>>,
    by: string,
  ): Promise<boolean> {
    const owner = await this.ownerOf(made);
    if (!owner) return false;
    const fresh = asksOf(made.request, owner)
      .filter(({ scope, key }) => scope === 'owner' && (answers[key] ?? '').trim() !== '')
      .filter(({ key }) => answerOfOwner(owner, key) === '');
    if (fresh.length === 0) return false;
    const row = { ...owner, ...Object.fromEntries(fresh.map(({ key }) => [key, answers[key]?.trim()])) };
    await this.needs.rows.change([{ table: 'owners', id: owner.id, row }], {
      by,
      why: 'asked when a document was issued',
    });
    return true;
  }

  private async drawn(made: MadeDocument, stamp: ReturnType<typeof stampOf>): Promise<string> {
    const bytes = await pdfOf({ papers: made.papers, stamp, photoPath: this.needs.photos.pathOf });
    const file = `${contentHash(bytes)}.pdf`;
    await keepFile(this.needs.folder, file, bytes);
    return file;
  }
}
