/** Mail about what falls due, written from the demo story and taken in by a real mail server of this machine. */
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SMTPServer } from 'smtp-server';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { dayOf } from '../../core/quantity/day';
import { addDemoAccounts } from '../../demo/accounts';
import { demoStory } from '../../demo/story';
import { type Accounts, openAccounts } from '../accounts/accounts';
import { systemClock } from '../clock';
import { loadLogbook } from '../exports/logbooks';
import { type Services, openServices } from '../services';
import { Sending } from './sending';

const HOUR_MS = 3_600_000;
const folder = mkdtempSync(join(tmpdir(), 'abacus-notices-'));
const url = `file:${join(folder, 'story.db')}`;
const LINKS = { base: 'https://abacus.example', onlyHere: false };
// Monday, five in the morning at the sites of the story.
const MONDAY_FIVE = Date.parse('2026-11-23T05:00:00-05:00');
let nowMs = MONDAY_FIVE;
let services: Services;
let accounts: Accounts;
let close: () => void;

const clock = systemClock(undefined, () => nowMs);
const opened = async (sends = true) => openAccounts(url, services, { links: LINKS, sends });
const written = async () => (await accounts.notices.outbox.page(null, 100)).rows;
const subjectsTo = async (person: string, about: string) =>
  (await written())
    .filter((each) => each.to.startsWith(`${person}@`) && each.about === about)
    .map(({ subject }) => subject);
const textTo = async (person: string, about = 'digest') =>
  (await written()).find((each) => each.to.startsWith(`${person}@`) && each.about === about)?.text ?? '';
const at = async (hours: number) => {
  nowMs = MONDAY_FIVE + hours * HOUR_MS;
  await services.keeper.turning.turnOver();
  await accounts.notices.turn();
};
const times = { digest: 'daily', hour: 7, quietFrom: 20, quietTo: 6, timezone: 'America/New_York' } as const;
const PEOPLE = ['odalys', 'tobiah', 'marit', 'ike', 'prue', 'auditor'];

beforeAll(async () => {
  services = await openServices(url, clock);
  await loadLogbook(services, demoStory(dayOf('2026-11-23')));
  ({ accounts, close } = await opened());
  await addDemoAccounts(accounts);
  for (const person of PEOPLE)
    await accounts.notices.change(person, {
      ...times,
      digest: person === 'auditor' ? 'never' : person === 'prue' ? 'weekly' : 'daily',
    });
}, 60_000);
afterAll(async () => {
  close();
  await services.close();
  rmSync(folder, { recursive: true });
});

describe('a digest', () => {
  it('is written at its hour, once, and not within quiet hours', async () => {
    await at(0);
    expect(await written()).toEqual([]);
    await at(1);
    expect(await subjectsTo('odalys', 'digest')).toEqual([]);
    await at(2);
    await at(3);
    for (const person of ['odalys', 'tobiah', 'marit', 'prue'])
      expect(await subjectsTo(person, 'digest'), person).toHaveLength(1);
    expect(await subjectsTo('auditor', 'digest')).toEqual([]);
  });

  it('names what falls due, by site, with why and where to open it', async () => {
    const { rows } = await services.board.duties({ sites: null, until: '2026-12-07' }, null, 100);
    const text = await textTo('odalys');
    for (const { machineName, machineId, siteName } of rows) {
      expect(text).toContain(machineName);
      expect(text).toContain(siteName);
      expect(text).toContain(`https://abacus.example/machines/${machineId}`);
    }
    const late = rows.filter(({ due }) => due < '2026-11-23').length;
    expect(await subjectsTo('odalys', 'digest')).toEqual([
      expect.stringMatching(`^Due: ${String(late)} late`),
    ]);
    // Certificates of everybody to the manager, one's own to oneself.
    expect(text).toContain('- Tobiah Renn, 608 universal, 13 Dec 2026');
    expect(await textTo('tobiah')).toContain('- Tobiah Renn, 608 universal, 13 Dec 2026');
    expect(await textTo('marit')).not.toContain('Tobiah Renn, 608');
  });

  it('of a technician holds the machines that they serve, of an owner’s representative her sites alone', async () => {
    const served = await services.board.dutiesServedBy('marit', null, 100, '2026-12-07');
    const text = await textTo('marit');
    expect([...text.matchAll(/machines\/(\S+)/g)].map(([, id]) => id).sort()).toEqual(
      served.rows.map(({ machineId }) => machineId).sort(),
    );
    const hall = await services.board.duties({ sites: ['fish-hall'], until: '2026-12-07' }, null, 100);
    expect([...(await textTo('prue')).matchAll(/machines\/(\S+)/g)]).toHaveLength(hall.rows.length);
  });

  it('comes again the next day to those who want it daily, and the next Monday to the others', async () => {
    await at(26);
    expect(await subjectsTo('odalys', 'digest')).toHaveLength(2);
    expect(await subjectsTo('prue', 'digest')).toHaveLength(1);
    await at(7 * 24 + 2);
    expect(await subjectsTo('prue', 'digest')).toHaveLength(2);
  });

  it('is not written twice by a server that was ended between', async () => {
    close();
    ({ accounts, close } = await opened());
    const before = (await written()).length;
    await at(7 * 24 + 2);
    expect(await written()).toHaveLength(before);
  });
});

describe('a date that passed', () => {
  it('is told to the manager once, and to nobody else', async () => {
    const passed = async () => (await written()).filter(({ about }) => about === 'passed');
    const told = (await passed()).flatMap(({ text }) =>
      [...text.matchAll(/- (.*), (\d+ \w+ \d+), /g)].map(String),
    );
    expect(told.length).toBeGreaterThan(0);
    expect(new Set(told).size).toBe(told.length);
    expect((await passed()).every(({ to }) => to.startsWith('odalys@'))).toBe(true);
    const before = (await passed()).length;
    // A duty of 1 December, which nobody keeps: told on the 2nd, and on no later day.
    await at(8 * 24 + 2);
    await at(9 * 24 + 2);
    const { rows } = await services.board.duties(
      { sites: null, from: '2026-11-30', until: '2026-12-01' },
      null,
      100,
    );
    expect((await passed()).length - before).toBe(new Set(rows.map(({ due }) => due)).size);
  });
});

describe('whoever wants no mail', () => {
  it('ends it by the link in it, and a guessed link ends nothing', async () => {
    const token = /unsubscribe\?token=(\S+)/.exec(await textTo('ike'))?.[1] ?? '';
    expect(token).not.toBe('');
    const [id] = token.split('.');
    await expect(accounts.notices.unsubscribe(`${id ?? ''}.guess`)).rejects.toThrow();
    await expect(accounts.notices.unsubscribe('nobody.guess')).rejects.toThrow();
    expect((await accounts.notices.settingsOf('ike')).digest).toBe('daily');
    await accounts.notices.unsubscribe(token);
    expect(await accounts.notices.settingsOf('ike')).toMatchObject({ digest: 'never', hour: 7 });
    const before = (await subjectsTo('ike', 'digest')).length;
    await at(10 * 24 + 2);
    expect(await subjectsTo('ike', 'digest')).toHaveLength(before);
  });
});

describe('a forgotten password', () => {
  it('is told to its account alone, at most three times an hour, and the same to whoever asks', async () => {
    const count = async () => (await written()).filter(({ about }) => about === 'password').length;
    await accounts.joining.forgot('nobody@brindle-hook.example');
    expect(await count()).toBe(0);
    for (let time = 0; time < 5; time += 1) {
      await accounts.joining.forgot(' Marit@brindle-hook.example ');
      nowMs += 1000;
    }
    expect(await count()).toBe(3);
    const token = /join\?token=(\S+)/.exec(await textTo('marit', 'password'))?.[1] ?? '';
    expect(await accounts.joining.invitation(token)).toMatchObject({ name: 'Marit Solane', renews: true });
  });
});

describe('the mail server', () => {
  const taken: { to: string; source: string }[] = [];
  let refuses = false;
  const server = new SMTPServer({
    authOptional: true,
    disableReverseLookup: true,
    disabledCommands: ['STARTTLS'],
    onRcptTo: (_address, _session, callback) => {
      callback(refuses ? new Error('550 no such box') : null);
    },
    onData: (stream, session, callback) => {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        taken.push({
          to: session.envelope.rcptTo[0]?.address ?? '',
          source: Buffer.concat(parts).toString(),
        });
        callback();
      });
    },
  });
  let sending: Sending;
  beforeAll(async () => {
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.server.address() as AddressInfo;
    sending = new Sending(accounts.notices.outbox, {
      url: `smtp://127.0.0.1:${String(port)}`,
      from: 'Green Abacus <abacus@brindle-hook.example>',
    });
  });
  beforeEach(() => {
    taken.length = 0;
  });
  afterAll(async () => {
    await sending.close();
    await new Promise<void>((resolve) => server.close(resolve));
  });

  it('keeps what it refused for another try, with what it said, and sends it then once', async () => {
    refuses = true;
    const [first] = await accounts.notices.outbox.waiting();
    await sending.turn();
    expect(taken).toEqual([]);
    const failed = (await written()).find(({ id }) => id === first?.id);
    expect(failed).toMatchObject({ sentAt: null, fault: expect.stringContaining('550') as string });
    // Not before its time.
    refuses = false;
    const waits = async () => (await accounts.notices.outbox.waiting()).some(({ id }) => id === first?.id);
    expect(await waits()).toBe(false);
    nowMs += 2 * 60_000;
    expect(await waits()).toBe(true);
    while ((await accounts.notices.outbox.waiting()).length > 0)
      await Promise.all([sending.turn(), sending.turn()]);
    const all = await written();
    expect(taken).toHaveLength(all.length);
    expect(all.every(({ sentAt }) => sentAt !== null)).toBe(true);
  });

  it('gives the letter with how its reader ends such mail; a link that was sent is kept nowhere', async () => {
    await accounts.notices.tryNow('marit');
    await accounts.joining.forgot('tobiah@brindle-hook.example');
    await sending.turn();
    const [digest, password] = taken;
    expect(digest?.to).toBe('marit@brindle-hook.example');
    expect(digest?.source).toMatch(/List-Unsubscribe:\s+<https:\/\/abacus\.example\/unsubscribe\?token=/);
    expect(digest?.source).toContain('Auto-Submitted: auto-generated');
    expect(password?.source).toMatch(/join\?token=/);
    expect(await textTo('tobiah', 'password')).not.toContain('token=');
  });

  it('that is not there loses nothing', async () => {
    const nowhere = new Sending(accounts.notices.outbox, { url: 'smtp://127.0.0.1:1', from: 'a@b.example' });
    await accounts.notices.tryNow('odalys');
    await nowhere.turn();
    await nowhere.close();
    nowMs += 2 * 60_000;
    await sending.turn();
    expect(taken.map(({ to }) => to)).toEqual(['odalys@brindle-hook.example']);
  });
});

it('without a mail server mail is kept to be read, and a server that is set later sends no old mail', async () => {
  close();
  ({ accounts, close } = await opened(false));
  await accounts.notices.tryNow('marit');
  const [kept] = await written();
  expect(kept).toMatchObject({ sentAt: null, nextTry: null, about: 'digest' });
  close();
  ({ accounts, close } = await opened(true));
  expect(await accounts.notices.outbox.waiting()).toEqual([]);
});
