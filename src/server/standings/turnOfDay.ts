/**
 * The turn of the day: judges in a thread all that is stale since the day turned, a rule changed or the engine is another
 * one. Once at a time, one machine a write, and whatever is written meanwhile overtakes it.
 */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import type { MachineStanding } from '../store/machineStanding';
import type { StandingThread } from './standingThread';
import type { Database, Statement } from '../store/database';
import type { Standings } from '../store/standings';

/** Stale stamps are looked for at most so often, since a look is taken with every list that is asked for. */
const LOOK_EVERY_MS = 1000;
/** A thread that failed is not begun again and again. */
const AFTER_FAILURE_MS = 60_000;

interface Turn {
  /** machines that are still to be judged */
  left: number;
  /** machines and sites that somebody else judged or changed meanwhile: what the thread says of them is old */
  overtaken: Set<string>;
}

/** What judges one machine, and knows by what. */
interface Judge {
  under: () => Promise<string>;
  isStale: (stamp: string) => Promise<boolean>;
  thread: (stale: readonly string[] | null) => Promise<StandingThread>;
  trip: (judged: MachineStanding) => Statement;
  forgetJudgement: (id: string) => void;
}

export class TurnOfDay {
  private turn: Turn | null = null;
  private turning: Promise<void> | null = null;
  private nextLookMs = -Infinity;
  private again = false;
  private closed = false;

  constructor(
    private readonly database: Database,
    private readonly standings: Standings,
    private readonly keeper: Judge,
  ) {}

  /** Machines that are not judged for today yet; what a list shows is right, what it lacks may come. */
  get left(): number {
    return this.turn?.left ?? 0;
  }

  /** Somebody wrote this machine, or marked its site: what the thread judged of it counts no more. */
  overtake(id: string): void {
    this.turn?.overtaken.add(id);
  }

  /** Rules changed or a site was marked: begins at once, and once more if it had begun already. */
  async startOver(): Promise<void> {
    this.nextLookMs = -Infinity;
    this.again = true;
    await this.turnOver();
  }

  /** The same where nobody waits for it; what goes wrong is said in the log. */
  startOverBehind(): void {
    this.startOver().catch((error: unknown) => console.error(error));
  }

  /** Judges all that is stale in the background, once at a time however many ask. Resolves when nothing is left. */
  turnOver(): Promise<void> {
    if (this.turning) return this.turning;
    if (this.closed || performance.now() < this.nextLookMs) return Promise.resolve();
    this.nextLookMs = performance.now() + LOOK_EVERY_MS;
    this.turning = this.turns()
      .catch((error: unknown) => {
        this.nextLookMs = performance.now() + AFTER_FAILURE_MS;
        throw error;
      })
      .finally(() => {
        this.turning = null;
        this.turn = null;
      });
    return this.turning;
  }

  private async turns(): Promise<void> {
    do {
      this.again = false;
      this.turn = { left: 0, overtaken: new Set() };
      await this.overall(this.turn);
    } while (this.again && !this.closed);
  }

  private async overall(turn: Turn): Promise<void> {
    const under = await this.keeper.under();
    const stale: string[] = [];
    for (const stamp of await this.standings.stamps())
      if (await this.keeper.isStale(stamp)) stale.push(stamp);
    if (stale.length === 0) return;
    turn.left = await this.standings.countStamped(stale);
    const counted = new Set<string>();
    for await (const lot of (await this.keeper.thread(stale)).judged())
      for (const judged of lot) {
        if (this.closed || under !== (await this.keeper.under())) return;
        turn.left = Math.max(0, turn.left - 1);
        await this.database.write(() => this.storeTurned(judged, turn, counted), true);
        // The driver works without leaving the event loop: whoever asks gets a turn after each machine.
        await turnOfOthers();
      }
  }

  private async storeTurned(judged: MachineStanding, turn: Turn, counted: Set<string>): Promise<void> {
    const { applianceId, siteId, fingerprint } = judged;
    if (this.closed || turn.overtaken.has(applianceId) || turn.overtaken.has(siteId)) return;
    this.keeper.forgetJudgement(applianceId);
    const kept = await this.standings.kept(applianceId);
    const trip = kept?.fingerprint !== fingerprint || !counted.has(siteId);
    counted.add(siteId);
    await this.database.batch(
      [...this.standings.put(judged, kept?.fingerprint ?? null), ...(trip ? [this.keeper.trip(judged)] : [])],
      { derived: true },
    );
  }

  async close(): Promise<void> {
    this.closed = true;
    await this.turning?.catch(() => undefined);
  }
}
