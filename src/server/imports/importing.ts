/**
 * Files come in here: stored by their content, planned in a process of their own, written in one deed, and taken back in one.
 * Until somebody says write, nothing is written.
 */
import type { ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { AnswerOf, BodyRead, QueryRead } from '../../contract/endpoints';
import type { ImportState } from '../../contract/imports';
import type { Clock } from '../clock';
import { processOf } from '../apart';
import type { Judging } from '../judging';
import { contentHash, keepFile } from '../keptFile';
import { conflict, invalid, notFound } from '../problem';
import { type Mapping, mappingSchema } from '../../sheets/mapping';
import { problemsOf } from '../../core/logbook/problems';
import type { Database } from '../store/database';
import type { ImportStore } from '../store/imports';
import { type PlannedFile, headingsOf } from './planFile';
import { MOST_FILE_BYTES } from './readSheets';
import type { FromChild, ImportTask } from './task';
import type { ImportWriting } from './writing';

const WORK = new URL('./child.ts', import.meta.url);
const MOST_MEMORY_MB = 2048;
/** Plans that nobody wrote are forgotten when so many newer ones stand. */
const PLANS_KEPT = 20;

interface Job {
  state: ImportState;
  file: string;
  mapping: Mapping;
  child: ChildProcess | null;
  planned: PlannedFile | null;
}

export class Importing {
  private readonly jobs = new Map<string, Job>();

  constructor(
    private readonly database: Database,
    private readonly judging: Judging,
    private readonly imports: ImportStore,
    private readonly writing: ImportWriting,
    private readonly clock: Clock,
    private readonly folder: string,
  ) {}

  /** Keeps a file until it is planned, under the hash of its content. */
  async keep(bytes: unknown, name: string): Promise<AnswerOf<'sendImportFile'>> {
    if (!Buffer.isBuffer(bytes) || bytes.length === 0)
      throw invalid([{ path: ['file'], message: 'is empty; choose another one' }]);
    if (bytes.length > MOST_FILE_BYTES)
      throw invalid([{ path: ['file'], message: 'is too large; divide it' }]);
    const file = contentHash(bytes);
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    await keepFile(this.folder, file, bytes);
    return { file, name, bytes: bytes.length };
  }

  async begin({ id, file, name, mapping }: BodyRead<'beginImport'>): Promise<ImportState> {
    const known = this.jobs.get(id);
    if (known) return known.state;
    const read = mappingSchema.safeParse(mapping, { reportInput: true });
    if (!read.success) throw invalid(problemsOf(read.error, ['mapping']));
    const path = join(this.folder, file);
    if (!existsSync(path)) throw notFound('file');
    const task: ImportTask = {
      url: this.database.url,
      path,
      name,
      mapping: read.data,
      packs: await this.judging.currentPacks(),
      fixedToday: this.clock.fixedToday,
      nowMs: this.clock.nowMs(),
    };
    const job: Job = {
      file,
      mapping: read.data,
      child: null,
      planned: null,
      state: { id, name, state: 'reading', done: 0, of: 0, refusal: null, preview: null, written: null },
    };
    this.jobs.set(id, job);
    for (const [oldest, each] of this.jobs) {
      if (this.jobs.size <= PLANS_KEPT) break;
      if (each.child === null) this.jobs.delete(oldest);
    }
    this.start(job, task);
    return job.state;
  }

  private start(job: Job, task: ImportTask): void {
    const child = processOf(WORK, {
      execArgv: [`--max-old-space-size=${String(MOST_MEMORY_MB)}`],
      serialization: 'advanced',
    });
    job.child = child;
    child.on('message', (message: FromChild) => {
      if ('progress' in message) Object.assign(job.state, message.progress);
      else if ('refusal' in message) Object.assign(job.state, { state: 'refused', refusal: message.refusal });
      else {
        job.planned = message.planned;
        Object.assign(job.state, { state: 'ready', preview: message.planned.preview });
      }
    });
    child.on('exit', () => {
      job.child = null;
      if (job.state.state === 'reading')
        Object.assign(job.state, {
          state: 'refused',
          refusal:
            'This file asked for more than the machine has. Divide it, and bring the parts in one after the other.',
        });
    });
    child.send(task);
  }

  private jobOf(id: string): Job {
    const job = this.jobs.get(id);
    if (!job) throw notFound('import');
    return job;
  }

  stateOf = (id: string): ImportState => this.jobOf(id).state;

  /** Stops a plan that is being made; nothing was written. */
  stop(id: string): ImportState {
    const job = this.jobOf(id);
    if (job.state.state !== 'reading') return job.state;
    job.state.state = 'stopped';
    job.child?.kill('SIGKILL');
    return job.state;
  }

  async write(id: string, { by, leaveOut, leaveOutFaulty }: BodyRead<'writeImport'>): Promise<ImportState> {
    const job = this.jobOf(id);
    const { state, planned } = job;
    if (state.state === 'written' || state.state === 'writing') return state;
    if (state.state !== 'ready' || !planned) throw conflict('This file is not ready to be written.');
    const out = new Set(leaveOut);
    const faulty = planned.planned.filter((each) => each.faulty && !out.has(each.key));
    if (!leaveOutFaulty && (faulty.length > 0 || planned.preview.faultyRows > planned.planned.length))
      throw invalid(
        [
          {
            path: ['rows'],
            message: `${String(faulty.length)} rows are faulty; put them right, or leave them out`,
          },
        ],
        'Nothing was written.',
      );
    state.state = 'writing';
    try {
      state.written = await this.writing.write({
        id,
        by,
        name: state.name,
        rows: planned.planned.filter((each) => !each.faulty && !out.has(each.key)),
        revisions: planned.revisions,
        path: join(this.folder, job.file),
        progress: (done, of) => Object.assign(state, { done, of }),
      });
      state.state = 'written';
      await this.remember(job, planned);
    } catch (error) {
      state.state = 'ready';
      throw error;
    }
    job.planned = null;
    return state;
  }

  /** The next list with these headings is understood in the same way. */
  private async remember({ mapping }: Job, { preview }: PlannedFile): Promise<void> {
    if (preview.kind !== 'spreadsheet') return;
    const columns = Object.fromEntries(
      preview.sheets.flatMap((sheet) => sheet.columns.map(({ heading, field }) => [heading, field])),
    );
    const { recordFrom: _, ...kept } = mapping;
    await this.database.write(() =>
      this.database.batch([this.imports.keepMapping(headingsOf(preview.sheets), { ...kept, columns })]),
    );
  }

  list = ({ after, limit }: QueryRead<'imports'>): Promise<AnswerOf<'imports'>> =>
    this.imports.page(after ?? null, limit);

  async undo(id: string, by: string): Promise<AnswerOf<'undoImport'>> {
    const undone = await this.writing.undo(id, by);
    if (!undone) throw notFound('import');
    const job = this.jobs.get(id);
    if (job) job.state.state = 'undone';
    return undone;
  }

  async close(): Promise<void> {
    for (const { child } of this.jobs.values()) child?.kill('SIGKILL');
    await rm(this.folder, { recursive: true, force: true });
  }
}
