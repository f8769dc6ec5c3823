/** A backup a day, each restored once to see that it is whole, and kept for so many days. */
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { z } from 'zod';
import type { backupsAnswer } from '../../contract/backups';
import { addDays, dayText, parseDay } from '../../core/quantity/day';
import { processOf } from '../apart';
import type { Clock } from '../clock';
import { ATTACHMENTS } from '../dataFolder';
import type { BackupResult, BackupTask } from './child';

type Last = NonNullable<z.infer<typeof backupsAnswer>['last']>;

export interface BackupSettings {
  folder: string;
  keepDays: number;
}

const WORK = new URL('./child.ts', import.meta.url);
/** What came of the last one, also after the server was started anew. */
const LAST = 'last.json';
/** After one that failed. */
const AGAIN_MS = 3_600_000;

export class DailyBackups {
  private running: Promise<void> | null = null;
  private notBefore = 0;

  constructor(
    /** of the logbook's file */
    private readonly url: string,
    private readonly settings: BackupSettings,
    private readonly clock: Clock,
  ) {}

  state(): Omit<z.infer<typeof backupsAnswer>, 'copy'> {
    return { keepDays: this.settings.keepDays, kept: this.days(), last: this.last() };
  }

  /** Makes that of today where there is none yet; once at a time, however often it is called. */
  turn(): Promise<void> {
    const today = dayText(this.clock.todayIn('UTC'));
    if (this.days().includes(today) || this.clock.nowMs() < this.notBefore) return Promise.resolve();
    this.running ??= this.make(today).finally(() => {
      this.running = null;
    });
    return this.running;
  }

  close = async (): Promise<void> => {
    await this.running;
  };

  private async make(today: string): Promise<void> {
    mkdirSync(this.settings.folder, { recursive: true });
    const like = this.days().at(-1);
    const database = this.url.slice('file:'.length);
    const result = await inChild({
      database,
      attachments: join(dirname(database), ATTACHMENTS),
      into: join(this.settings.folder, today),
      like: like === undefined ? null : join(this.settings.folder, like),
    });
    const at = new Date(this.clock.nowMs()).toISOString();
    const last: Last =
      'fault' in result
        ? { at, entries: null, fault: result.fault }
        : { at, entries: result.made.entries, fault: null };
    writeFileSync(join(this.settings.folder, LAST), JSON.stringify(last));
    if (last.fault !== null) {
      this.notBefore = this.clock.nowMs() + AGAIN_MS;
      throw new Error(`No backup of ${today} was made: ${last.fault}`);
    }
    this.forgetOld();
  }

  /** The newest is never among them, however old it is. */
  private forgetOld(): void {
    const from = dayText(addDays(this.clock.todayIn('UTC'), 1 - this.settings.keepDays));
    for (const day of this.days().slice(0, -1))
      if (day < from) rmSync(join(this.settings.folder, day), { recursive: true });
  }

  /** Days of which a backup is there, the oldest first. */
  private days(): string[] {
    const { folder } = this.settings;
    return existsSync(folder)
      ? readdirSync(folder)
          .filter((name) => parseDay(name) !== null)
          .sort()
      : [];
  }

  private last(): Last | null {
    const file = join(this.settings.folder, LAST);
    return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Last) : null;
  }
}

function inChild(task: BackupTask): Promise<BackupResult> {
  const child = processOf(WORK, { serialization: 'advanced' });
  return new Promise((resolve) => {
    let result: BackupResult = { fault: 'its process ended without an answer' };
    child.on('message', (told: BackupResult) => {
      result = told;
    });
    child.on('error', (error) => resolve({ fault: error.message }));
    child.on('close', () => resolve(result));
    child.send(task);
  });
}
