/** What the thread of standings does: takes machines, folds them, and waits when it is too far ahead. */
import { parentPort, workerData } from 'node:worker_threads';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Site } from '../../core/logbook/tables';
import { systemClock } from '../clock';
import type { MachineStanding } from '../store/machineStanding';
import { foldBearing, machineStandingOf } from './foldedStanding';
import {
  type FromThread,
  type GivenMachine,
  type StandingTask,
  LOTS_AHEAD,
  MACHINES_OF_A_LOT,
  type ToThread,
} from './standingThread';
import { openReading } from '../store/database';
import { Standings } from '../store/standings';
import { Store } from '../store/store';

const task = workerData as StandingTask;
const clock = systemClock(task.fixedToday ?? undefined, () => task.nowMs);
const port = parentPort;
if (!port) throw new Error('This runs in a thread.');

const given: GivenMachine[] = [];
let allGiven = false;
let stopped = false;
let ahead = 0;
let wake: () => void = () => undefined;
port.on('message', (message: ToThread) => {
  if (message === 'stored') ahead -= 1;
  else if (message === 'stop') stopped = true;
  else if (message.given) given.push(...message.given);
  else allGiven = true;
  wake();
});
const something = () => new Promise<void>((resolve) => (wake = resolve));

async function hand(judged: MachineStanding[]): Promise<void> {
  while (ahead >= LOTS_AHEAD && !stopped) await something();
  ahead += 1;
  port?.postMessage({ judged } satisfies FromThread);
}

function judged(
  appliance: Appliance,
  site: Site,
  bearing: Entry[],
  superseded?: ReadonlySet<string>,
): MachineStanding {
  const today = clock.todayIn(site.timezone);
  return machineStandingOf(
    foldBearing(appliance, site, bearing, today, task.packs, superseded),
    site,
    task.under,
  );
}

async function judgeStale(stamps: readonly string[]): Promise<void> {
  const { db, close } = openReading(task.url);
  const store = new Store(db);
  const standings = new Standings(db);
  for (const stamp of stamps) {
    for (let after = 0; !stopped;) {
      const page = await standings.stamped(stamp, after, MACHINES_OF_A_LOT);
      const last = page.at(-1);
      if (!last) break;
      after = last.number;
      const lot: MachineStanding[] = [];
      for (const row of page) {
        const appliance = JSON.parse(row.appliance) as Appliance;
        lot.push(judged(appliance, JSON.parse(row.site) as Site, await store.entriesBearingOn(appliance.id)));
      }
      await hand(lot);
    }
  }
  close();
}

async function judgeGiven(): Promise<void> {
  while (!stopped) {
    const machines = given.splice(0, MACHINES_OF_A_LOT);
    if (machines.length > 0)
      await hand(
        machines.map(({ appliance, site, entries, superseded }) =>
          judged(
            JSON.parse(appliance) as Appliance,
            JSON.parse(site) as Site,
            JSON.parse(entries) as Entry[],
            new Set(superseded),
          ),
        ),
      );
    else if (allGiven) return;
    else await something();
  }
}

await (task.stale ? judgeStale(task.stale) : judgeGiven());
port.postMessage({ done: true } satisfies FromThread);
port.close();
