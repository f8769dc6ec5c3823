/** Companies of one folder: each opened when it is asked for, by one process alone, and closed when nobody asks any more. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from '../log';
import type { Company } from './company';
import { type Release, hold } from './hold';
import { companiesIn, leavingMark } from './names';

/** A company that nobody asks for is opened so often, for what falls due. */
const CLOSED_TURN_MS = 15 * 60_000;
/** After a kill the system needs a moment to let go of what the killed process held. */
const HOLD_WAIT_MS = 1000;

/** It is there, and cannot be served now. */
export class Away extends Error {}

interface Opened {
  company: Company;
  release: Release;
}

interface Kept {
  ready: Promise<Opened>;
  /** null until it is ready */
  opened: Opened | null;
  uses: number;
  lastUsedMs: number;
}

interface CompaniesNeeds {
  folder: string;
  open: (name: string) => Promise<Company>;
  idleMs: number;
  nowMs: () => number;
  log: Logger;
}

const NEVER = -Infinity;

export class Companies {
  private readonly kept = new Map<string, Kept>();
  private readonly closing = new Map<string, Promise<void>>();
  private readonly turned = new Map<string, number>();
  private ended = false;

  constructor(private readonly needs: CompaniesNeeds) {}

  get open(): string[] {
    return [...this.kept.keys()];
  }

  /**
   * Works with a company, which stays open meanwhile. `asked`: somebody asks for it, so that it stays open for a while.
   * Throws `Away` where it is being moved, or served by another process.
   */
  async use<Value>(name: string, work: (company: Company) => Promise<Value>, asked = true): Promise<Value> {
    for (;;) {
      const ending = this.closing.get(name);
      if (!ending) break;
      await ending;
    }
    if (this.ended) throw new Away('This server is just ending; nothing was written. Try again in a minute.');
    if (existsSync(leavingMark(this.needs.folder, name)))
      throw new Away('This company is just being moved; nothing was written. Try again in a minute.');
    const kept = this.kept.get(name) ?? this.start(name);
    kept.uses += 1;
    try {
      if (asked) kept.lastUsedMs = this.needs.nowMs();
      return await work((await kept.ready).company);
    } finally {
      kept.uses -= 1;
      if (asked) kept.lastUsedMs = this.needs.nowMs();
    }
  }

  /** Closes what nobody uses any more, and what is to leave. */
  async tidy(): Promise<void> {
    const until = this.needs.nowMs() - this.needs.idleMs;
    for (const [name, kept] of this.kept) {
      const done = kept.lastUsedMs <= until || existsSync(leavingMark(this.needs.folder, name));
      if (done && kept.uses === 0 && kept.opened?.company.rests() === true) void this.shut(name, kept);
    }
    await Promise.all(this.closing.values());
  }

  /** What is to be done as time goes by, also for companies that nobody asks for. One that fails holds up no other. */
  async turn(): Promise<void> {
    const now = this.needs.nowMs();
    for (const name of companiesIn(this.needs.folder)) {
      if (this.ended) return;
      if (!this.kept.has(name) && now - (this.turned.get(name) ?? NEVER) < CLOSED_TURN_MS) continue;
      this.turned.set(name, now);
      try {
        await this.use(name, (company) => company.turn(), false);
      } catch (problem) {
        this.needs.log.error({ err: problem, company: name }, 'turning the day');
      }
    }
    await this.tidy();
  }

  async close(): Promise<void> {
    this.ended = true;
    for (const [name, kept] of this.kept) void this.shut(name, kept);
    await Promise.all(this.closing.values());
  }

  private start(name: string): Kept {
    const kept: Kept = { ready: this.begin(name), opened: null, uses: 0, lastUsedMs: NEVER };
    this.kept.set(name, kept);
    kept.ready.then(
      (opened) => {
        kept.opened = opened;
      },
      () => this.kept.delete(name),
    );
    return kept;
  }

  private async begin(name: string): Promise<Opened> {
    const release = await hold(join(this.needs.folder, name), HOLD_WAIT_MS);
    if (release === null)
      throw new Away('Another process serves this company; nothing was written. Try again in a minute.');
    try {
      const from = performance.now();
      const company = await this.needs.open(name);
      this.needs.log.info({ company: name, ms: Math.round(performance.now() - from) }, 'opened');
      return { company, release };
    } catch (error) {
      release();
      throw error;
    }
  }

  private shut(name: string, kept: Kept): Promise<void> {
    this.kept.delete(name);
    const ending = kept.ready
      .then(async ({ company, release }) => {
        await company.close();
        release();
        this.needs.log.info({ company: name }, 'closed');
      })
      .catch((problem: unknown) => this.needs.log.error({ err: problem, company: name }, 'closing'))
      .finally(() => this.closing.delete(name));
    this.closing.set(name, ending);
    return ending;
  }
}
