/**
 * Files come in here: stored by their content, planned in a process of their own, written in one deed, and taken back in one.
 * Until somebody says write, nothing is written; what was planned is checked again when it is.
 */
import type { ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import type { AnswerOf, BodyRead, QueryRead } from '../../contract/endpoints';
import type { ImportPreview, ImportState } from '../../contract/imports';
import type { Clock } from '../clock';
import type { StandingKeeper } from '../standings/standings';
import { contentHash, keepFile } from '../files/keptFile';
import { conflict, invalid, notFound } from '../problem';
import { mappingSchema } from '../../sheets/mapping';
import { problemsOf } from '../../core/logbook/problems';
import type { Database } from '../store/database';
import type { ImportStore } from '../store/imports';
import { ImportJobs, type KeptJob } from './jobs';
import { CUT_OFF, CUT_OFF_WRITING, MEANWHILE, TOO_MUCH } from './importWords';
import { type PlannedFile, headingsOf } from './planFile';
import { MOST_FILE_BYTES } from './readWorksheets';
import { readingChild } from './readingChild';
import { chosenRows } from './chosenRows';
import type { FromChild } from './task';
import { WritingStopped } from './carryingOut';
import type { ImportWriting } from './writing';

interface Job extends KeptJob {
  child: ChildProcess | null;
  /** resolves when the plan is made, or was given up */
  made: Promise<void>;
  stopping: boolean;
}

/** What a person saw before saying write. */
const outcome = ({ ready, known, faultyRows, would }: ImportPreview): string =>
  JSON.stringify([ready, known, faultyRows, would]);

interface ImportingNeeds {
  database: Database;
  keeper: StandingKeeper;
  imports: ImportStore;
  writing: ImportWriting;
  clock: Clock;
  folder: string;
}

export class Importing {
  private readonly jobs = new Map<string, Job>();
  private readonly kept: ImportJobs;
  private closing = false;

  constructor(private readonly needs: ImportingNeeds) {
    this.kept = new ImportJobs(needs.folder);
  }

  /** What stood when the process ended: plans are there again, what was cut off says so and can be tried again. */
  async open(): Promise<void> {
    for (const job of await this.kept.read()) {
      const { state } = job;
      if (state.state === 'reading') Object.assign(state, { state: 'refused', refusal: CUT_OFF });
      if (state.state === 'writing') {
        const written = await this.needs.imports.byId(state.id);
        if (written)
          Object.assign(state, {
            state: 'written',
            written: { rows: written.row.rows, entries: written.row.entries },
          });
        else Object.assign(state, { state: 'refused', refusal: CUT_OFF_WRITING });
      }
      this.jobs.set(state.id, { ...job, child: null, made: Promise.resolve(), stopping: false });
    }
    await this.kept.sweep(new Set([...this.jobs.values()].map(({ file }) => file)));
  }

  /** Keeps a file until it is planned, under the hash of its content. */
  async keep(bytes: unknown, name: string): Promise<AnswerOf<'sendImportFile'>> {
    if (!Buffer.isBuffer(bytes) || bytes.length === 0)
      throw invalid([{ path: ['file'], message: 'is empty; choose another one' }]);
    if (bytes.length > MOST_FILE_BYTES)
      throw invalid([{ path: ['file'], message: 'is too large; divide it' }]);
    const file = contentHash(bytes);
    await mkdir(this.kept.folder, { recursive: true, mode: 0o700 });
    await keepFile(this.kept.folder, file, bytes);
    return { file, name, bytes: bytes.length };
  }

  async begin({ id, file, name, mapping }: BodyRead<'beginImport'>): Promise<ImportState> {
    const known = this.jobs.get(id);
    if (known) return known.state;
    const read = mappingSchema.safeParse(mapping, { reportInput: true });
    if (!read.success) throw invalid(problemsOf(read.error, ['mapping']));
    if (!existsSync(this.kept.filePath(file))) throw notFound('file');
    const job: Job = {
      file,
      mapping: read.data,
      child: null,
      chainEnd: null,
      made: Promise.resolve(),
      stopping: false,
      state: { id, name, state: 'reading', done: 0, of: 0, refusal: null, preview: null, written: null },
    };
    this.jobs.set(id, job);
    await this.kept.keep(plain(job));
    await this.forgetOldest();
    await this.start(job);
    return job.state;
  }

  private async forgetOldest(): Promise<void> {
    for (const id of this.kept.surplus()) {
      if (this.jobs.get(id)?.child) continue;
      this.jobs.delete(id);
      await this.kept.forget(id);
    }
  }

  private async start(job: Job): Promise<void> {
    const { id, name } = job.state;
    const packs = await this.needs.keeper.currentPacks();
    const { child, answer } = readingChild((progress) => Object.assign(job.state, progress));
    job.child = child;
    job.made = answer.then((answered) => this.conclude(job, answered));
    child.send({
      url: this.needs.database.url,
      path: this.kept.filePath(job.file),
      planPath: this.kept.planPath(id),
      name,
      mapping: job.mapping,
      packs,
      fixedToday: this.needs.clock.fixedToday,
      nowMs: this.needs.clock.nowMs(),
    });
  }

  /** The process that read the file has ended. */
  private async conclude(job: Job, answered: FromChild | null): Promise<void> {
    job.child = null;
    // When the server itself ends, the next one says that the reading was cut off.
    if (job.state.state !== 'reading' || this.closing) return;
    const planned = answered && 'planned' in answered ? await this.kept.plan(job.state.id) : null;
    if (planned && answered && 'planned' in answered) {
      job.chainEnd = answered.planned.chainEnd;
      Object.assign(job.state, { state: 'ready', preview: planned.preview });
    } else
      Object.assign(job.state, {
        state: 'refused',
        refusal: answered && 'refusal' in answered ? answered.refusal : TOO_MUCH,
      });
    await this.kept.keep(plain(job)).catch(() => undefined);
  }

  private jobOf(id: string): Job {
    const job = this.jobs.get(id);
    if (!job) throw notFound('import');
    return job;
  }

  stateOf = (id: string): ImportState => this.jobOf(id).state;

  /** Stops a plan that is being made, or its writing while nothing of it is kept yet; nothing is written then. */
  async stop(id: string): Promise<ImportState> {
    const job = this.jobOf(id);
    if (job.state.state === 'writing') job.stopping = true;
    if (job.state.state !== 'reading') return job.state;
    job.state.state = 'stopped';
    job.child?.kill('SIGKILL');
    await this.kept.keep(plain(job));
    return job.state;
  }

  async write(id: string, { by, leaveOut, leaveOutFaulty }: BodyRead<'writeImport'>): Promise<ImportState> {
    const job = this.jobOf(id);
    const { state } = job;
    if (state.state === 'written' || state.state === 'writing') return state;
    if (state.state !== 'ready') throw conflict('This file is not ready to be written.');
    const planned = await this.asOfNow(job);
    const rows = chosenRows(planned, new Set(leaveOut), leaveOutFaulty);
    Object.assign(state, { state: 'writing', done: 0, of: 0 });
    job.stopping = false;
    await this.kept.keep(plain(job));
    try {
      state.written = await this.needs.writing.write({
        id,
        by,
        name: state.name,
        rows,
        revisions: planned.revisions,
        path: this.kept.filePath(job.file),
        stopped: () => job.stopping,
        progress: (done, of) => Object.assign(state, { done, of }),
      });
      state.state = 'written';
      await this.remember(planned);
    } catch (error) {
      state.state = 'ready';
      if (!(error instanceof WritingStopped)) throw error;
    } finally {
      await this.kept.keep(plain(job));
    }
    return state;
  }

  /** The plan, made anew where something was written since; what means something else now is looked at once more. */
  private async asOfNow(job: Job): Promise<PlannedFile> {
    const { id } = job.state;
    const before = job.state.preview;
    if (job.chainEnd !== (await this.needs.writing.chainEnd())) {
      Object.assign(job.state, { state: 'reading', done: 0, of: 0 });
      await this.start(job);
      await job.made;
      const { preview } = job.state;
      if (!before || !preview || job.state.state !== 'ready' || outcome(before) !== outcome(preview))
        throw conflict(MEANWHILE, 'Look at it as it is understood now, and write it then.');
    }
    const planned = await this.kept.plan(id);
    if (!planned) throw conflict('This file is not ready to be written.', 'Choose it anew.');
    return planned;
  }

  /** The next list with these headings is understood in the same way. */
  private async remember({ preview }: PlannedFile): Promise<void> {
    if (preview.kind !== 'spreadsheet') return;
    const columns = Object.fromEntries(
      preview.sheets.flatMap((sheet) => sheet.columns.map(({ heading, field }) => [heading, field])),
    );
    // A day and single cells are of this file alone.
    const { recordFrom: _day, cells: _cells, ...kept } = mappingSchema.parse(preview.mapping);
    await this.needs.database.write(() =>
      this.needs.database.batch([
        this.needs.imports.keepMapping(headingsOf(preview.sheets), { ...kept, columns }),
      ]),
    );
  }

  list = ({ after, limit }: QueryRead<'imports'>): Promise<AnswerOf<'imports'>> =>
    this.needs.imports.page(after ?? null, limit);

  /** What an undo would take back, and what stays because others use it or changed it since. */
  async whatUndoTakes(id: string): Promise<AnswerOf<'undoPreview'>> {
    const found = await this.needs.writing.whatUndoTakes(id);
    if (!found) throw notFound('import');
    return found;
  }

  async undo(id: string, by: string): Promise<AnswerOf<'undoImport'>> {
    const undone = await this.needs.writing.undo(id, by);
    if (!undone) throw notFound('import');
    const job = this.jobs.get(id);
    if (job) {
      job.state.state = 'undone';
      await this.kept.keep(plain(job));
    }
    return undone;
  }

  /** Whether a file is just read or written. */
  runs(): boolean {
    return [...this.jobs.values()].some(
      ({ state }) => state.state === 'reading' || state.state === 'writing',
    );
  }

  async close(): Promise<void> {
    this.closing = true;
    const jobs = [...this.jobs.values()];
    for (const { child } of jobs) child?.kill('SIGKILL');
    // One whose process has ended may still be writing down what came of it.
    await Promise.all(jobs.map(({ made }) => made));
  }
}

const plain = ({ state, file, mapping, chainEnd }: Job): KeptJob => ({ state, file, mapping, chainEnd });
