/** Imports that are under way, kept beside the database: what was read outlives the process, and what was cut off says so. */
import { deserialize, serialize } from 'node:v8';
import { existsSync } from 'node:fs';
import { mkdir, readFile, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { ImportState } from '../../contract/imports';
import type { Mapping } from '../../sheets/mapping';
import { contentHash, writeAside } from '../files/keptFile';
import type { PlannedFile } from './planFile';

export interface KeptJob {
  state: ImportState;
  file: string;
  mapping: Mapping;
  /** end of the chain when the plan was made: another one means that something was written since */
  chainEnd: string | null;
}

/** Plans that nobody wrote are forgotten when so many newer ones stand. */
const PLANS_KEPT = 20;

/** A name of a file that no id can climb out of. */
const nameOf = (id: string): string => contentHash(Buffer.from(id)).slice(0, 32);

export class ImportJobs {
  private order: string[] = [];

  constructor(readonly folder: string) {}

  filePath = (file: string): string => join(this.folder, file);
  planPath = (id: string): string => join(this.folder, `${nameOf(id)}.plan`);
  private jobPath = (id: string): string => join(this.folder, `${nameOf(id)}.job`);

  /** All that stand, the oldest first. */
  async read(): Promise<KeptJob[]> {
    if (!existsSync(this.folder)) return [];
    const jobs: { job: KeptJob; at: number }[] = [];
    for (const name of await readdir(this.folder)) {
      if (!name.endsWith('.job')) continue;
      try {
        const { at, ...job } = JSON.parse(await readFile(join(this.folder, name), 'utf8')) as KeptJob & {
          at: number;
        };
        jobs.push({ job, at });
      } catch {
        await rm(join(this.folder, name), { force: true });
      }
    }
    jobs.sort((a, b) => a.at - b.at);
    this.order = jobs.map(({ job }) => job.state.id);
    return jobs.map(({ job }) => job);
  }

  async keep(job: KeptJob): Promise<void> {
    const { id } = job.state;
    if (!this.order.includes(id)) this.order.push(id);
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    await writeAside(this.jobPath(id), JSON.stringify({ ...job, at: this.order.indexOf(id) }));
  }

  /** Ids of the oldest that are more than are kept. */
  surplus = (): string[] => this.order.slice(0, Math.max(0, this.order.length - PLANS_KEPT));

  async forget(id: string): Promise<void> {
    this.order = this.order.filter((each) => each !== id);
    await rm(this.jobPath(id), { force: true });
    await rm(this.planPath(id), { force: true });
  }

  /** The plan as the process that made it left it; null: there is none. */
  async plan(id: string): Promise<PlannedFile | null> {
    try {
      return deserialize(await readFile(this.planPath(id))) as PlannedFile;
    } catch {
      return null;
    }
  }

  /** Files that no job names any more, and what was being written aside when the process ended. */
  async sweep(files: ReadonlySet<string>): Promise<void> {
    if (!existsSync(this.folder)) return;
    for (const name of await readdir(this.folder))
      if (name.endsWith('.part') || (/^[0-9a-f]{64}$/.test(name) && !files.has(name)))
        await rm(join(this.folder, name), { force: true });
  }
}

export const writePlan = (path: string, planned: PlannedFile): Promise<void> =>
  writeAside(path, serialize(planned));
