/** When companies are opened and closed, told by companies that only count. */
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { openLog } from '../log';
import { Away, Companies } from './companies';
import type { Company } from './company';
import { hold } from './hold';
import { databaseOf, leavingMark } from './names';

const IDLE_MS = 1000;
let folder: string;
let nowMs: number;
let told: string[];
let works: boolean;
let companies: Companies;

const counting = (name: string): Company => ({
  handler: () => undefined,
  accounts: {} as Company['accounts'],
  turn: () => {
    told.push(`${name} turned`);
    return name === 'quay' ? Promise.reject(new Error('a fault of quay')) : Promise.resolve();
  },
  rests: () => !works,
  close: async () => {
    await pause(20);
    told.push(`${name} closed`);
  },
});

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'abacus-companies-'));
  for (const name of ['pier', 'quay', 'weir']) {
    mkdirSync(join(folder, name));
    writeFileSync(databaseOf(folder, name), '');
  }
  [nowMs, told, works] = [0, [], false];
  companies = new Companies({
    folder,
    idleMs: IDLE_MS,
    nowMs: () => nowMs,
    log: openLog('silent'),
    open: async (name) => {
      await pause(20);
      told.push(`${name} opened`);
      return counting(name);
    },
  });
});
afterEach(async () => {
  await companies.close();
  rmSync(folder, { recursive: true });
});

const asks = (name = 'pier') => companies.use(name, () => Promise.resolve(name));
const idles = async (ms: number) => {
  nowMs += ms;
  await companies.tidy();
};

it('opens one once for all who ask at once, and closes it when nobody asked for a while', async () => {
  await Promise.all([asks(), asks(), asks()]);
  await idles(IDLE_MS - 1);
  expect(told).toEqual(['pier opened']);
  await asks();
  await idles(IDLE_MS - 1);
  expect(told).toEqual(['pier opened']);
  await idles(1);
  expect(told).toEqual(['pier opened', 'pier closed']);
  await asks();
  expect(told.at(-1)).toBe('pier opened');
});

it('closes none under a request, however long it takes, nor while a file is brought in', async () => {
  let answer: () => void = () => undefined;
  const long = companies.use('pier', () => new Promise<void>((resolve) => (answer = resolve)));
  await pause(40);
  await idles(IDLE_MS * 10);
  expect(told).toEqual(['pier opened']);
  answer();
  await long;
  works = true;
  await idles(IDLE_MS * 10);
  expect(told).toEqual(['pier opened']);
  works = false;
  await idles(0);
  expect(told).toEqual(['pier opened', 'pier closed']);
});

it('who asks while it closes gets it opened anew, not the one that ends', async () => {
  await asks();
  nowMs += IDLE_MS;
  const tidied = companies.tidy();
  await asks();
  await tidied;
  expect(told).toEqual(['pier opened', 'pier closed', 'pier opened']);
});

it('what falls due is looked after for those who are closed too, now and then; a fault of one holds up no other', async () => {
  await asks();
  await companies.turn();
  expect(told.filter((each) => each.endsWith('turned'))).toEqual([
    'pier turned',
    'quay turned',
    'weir turned',
  ]);
  // Opened for that alone, they are closed again; who is asked for stays.
  expect(companies.open).toEqual(['pier']);
  told.length = 0;
  await companies.turn();
  expect(told).toEqual(['pier turned']);
  told.length = 0;
  nowMs += 15 * 60_000;
  await companies.turn();
  expect(told.filter((each) => each.endsWith('turned'))).toEqual([
    'pier turned',
    'quay turned',
    'weir turned',
  ]);
});

it('lets go of one that is to leave, also while it is in use, and takes nothing new for it', async () => {
  await asks();
  writeFileSync(leavingMark(folder, 'pier'), '');
  await expect(asks()).rejects.toThrow(Away);
  await idles(0);
  expect(told).toEqual(['pier opened', 'pier closed']);
  const release = await hold(join(folder, 'pier'));
  expect(release).not.toBeNull();
  rmSync(leavingMark(folder, 'pier'));
  await expect(asks()).rejects.toThrow('Another process');
  release?.();
  expect(await asks()).toBe('pier');
});

it('one that could not be opened is tried again by the next who asks', async () => {
  const faulty = new Companies({
    ...{ folder, idleMs: IDLE_MS, nowMs: () => nowMs, log: openLog('silent') },
    open: (name) => {
      told.push(name);
      return told.length === 1 ? Promise.reject(new Error('no disk')) : Promise.resolve(counting(name));
    },
  });
  const ask = () => faulty.use('weir', () => Promise.resolve('answered'));
  await expect(ask()).rejects.toThrow('no disk');
  expect(await ask()).toBe('answered');
  await faulty.close();
  await expect(ask()).rejects.toThrow('ending');
});
