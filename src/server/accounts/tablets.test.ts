/** A shared tablet over HTTP: who is let in by a PIN, and who is not. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Crew, PASSWORD, openCrew } from './accounts.testkit';

let crew: Crew;
/** cookie of the shared device, without a session */
let tablet = '';
let marit: { email: string; cookie: string };
let ike: { email: string; cookie: string };

const here = (cookie: string, ...more: string[]) => ({
  cookie: [cookie, ...more].filter(Boolean).join('; '),
});
const peopleOf = async (cookie: string) =>
  ((await crew.get('/tablet', cookie)).body as { people: { name: string }[] }).people.map(({ name }) => name);
const byPin = (person: string, pin: string, ...cookies: string[]) =>
  crew.post('/tablet/sign-in', { person, pin }, here(tablet, ...cookies));

beforeAll(async () => {
  crew = await openCrew();
  const token = await crew.accounts.joining.firstToken();
  await crew.begin(token ?? '', 'head@example.invalid', { name: 'Hanna Head' });
  marit = await crew.joined('marit', 'Marit Solane');
  ike = await crew.joined('ike', 'Ike Fennimore');
});
afterAll(() => crew.end());

describe('a shared tablet', () => {
  it('is nobody’s until somebody who is signed in sets a PIN on it', async () => {
    expect(await peopleOf('')).toEqual([]);
    expect((await crew.post('/tablet/pin', { pin: '2580' })).status).toBe(401);
    const made = await crew.post('/tablet/pin', { pin: '2580' }, here(marit.cookie));
    expect(made.status).toBe(200);
    expect(made.flags).toMatch(/abacus\.tablet=.*Path=\/api.*HttpOnly.*SameSite=Lax/i);
    tablet = made.cookie;
    // The second on the same device needs no other cookie.
    const second = await crew.post('/tablet/pin', { pin: '9146' }, here(ike.cookie, tablet));
    expect([second.status, second.flags]).toEqual([200, '']);
    expect(await peopleOf(tablet)).toEqual(['Ike Fennimore', 'Marit Solane']);
    expect(await peopleOf('abacus.tablet=guess')).toEqual([]);
  });

  it.each(['123', '12a4', '7777', '1234', '98765', '123456789', ''])('takes no PIN “%s”', async (pin) => {
    const refused = await crew.post('/tablet/pin', { pin }, here(marit.cookie, tablet));
    expect(refused.status).toBe(422);
    expect(refused.text).toContain('pin');
  });

  it('lets each in by their own PIN, and signs out whoever was there before', async () => {
    const first = await byPin('marit', '2580');
    expect(first.status).toBe(200);
    expect(await crew.session(first.cookie)).toMatchObject({ signedIn: { name: 'Marit Solane' } });
    const second = await byPin('ike', '9146', first.cookie);
    expect(await crew.session(second.cookie)).toMatchObject({ signedIn: { name: 'Ike Fennimore' } });
    expect(await crew.status('/machines', first.cookie)).toBe(401);
    // On their own phone nobody was signed out by it.
    expect(await crew.status('/machines', marit.cookie)).toBe(200);
  });

  it('lets nobody in by another’s PIN, without the device, or who set none on it', async () => {
    expect((await byPin('marit', '9146')).status).toBe(401);
    expect((await crew.post('/tablet/sign-in', { person: 'marit', pin: '2580' })).status).toBe(401);
    expect((await byPin('head', '2580')).status).toBe(401);
    expect((await byPin('nobody', '2580')).status).toBe(401);
    expect((await crew.post('/tablet/sign-in', { person: { $ne: '' } }, here(tablet))).status).toBe(422);
  });

  it('ends a PIN after five wrong tries, also where they come at once', async () => {
    await byPin('ike', '9146');
    const tries = await Promise.all(
      ['1111', '2222', '3333', '4444', '5555', '6666'].map((pin) => byPin('ike', pin)),
    );
    expect(tries.map(({ status }) => status)).toEqual([401, 401, 401, 401, 401, 401]);
    expect((await byPin('ike', '9146')).status).toBe(401);
    expect(await peopleOf(tablet)).toEqual(['Marit Solane']);
    // The password lets in as before.
    expect((await crew.signIn(ike.email, PASSWORD)).status).toBe(200);
  });

  it('forgets wrong tries with the right PIN', async () => {
    for (let round = 0; round < 2; round += 1) {
      for (const pin of ['0001', '0002', '0003']) expect((await byPin('marit', pin)).status).toBe(401);
      expect((await byPin('marit', '2580')).status).toBe(200);
    }
  });

  it('loses a PIN with the password, when the office ends all sessions, and when its owner takes it away', async () => {
    const setPin = (cookie: string) => crew.post('/tablet/pin', { pin: '9146' }, here(cookie, tablet));
    await setPin(ike.cookie);
    const changed = await crew.post(
      '/auth/change-password',
      { currentPassword: PASSWORD, newPassword: 'another long one' },
      here(ike.cookie),
    );
    expect(changed.status).toBe(200);
    expect(await peopleOf(tablet)).toEqual(['Marit Solane']);

    const again = (await crew.signIn(ike.email, 'another long one')).cookie;
    await setPin(again);
    await crew.accounts.endSessions(await crew.idOf(ike.email));
    expect(await peopleOf(tablet)).toEqual(['Marit Solane']);

    const once = (await crew.signIn(ike.email, 'another long one')).cookie;
    await setPin(once);
    expect(await peopleOf(tablet)).toHaveLength(2);
    await crew.post('/auth/revoke-sessions', {}, here(once));
    expect(await peopleOf(tablet)).toEqual(['Marit Solane']);

    await crew.post('/tablet/leave', {}, here(marit.cookie, tablet));
    expect(await peopleOf(tablet)).toEqual([]);
    expect((await byPin('marit', '2580')).status).toBe(401);
  });

  it('shows nobody who left', async () => {
    const left = await crew.joined('left', 'Lara Left');
    await crew.post('/tablet/pin', { pin: '3690' }, here(left.cookie, tablet));
    expect(await peopleOf(tablet)).toEqual(['Lara Left']);
    const row = { id: 'left', name: 'Lara Left', leftOn: '2026-11-20' };
    await crew.services.rows.change([{ table: 'people', id: 'left', row }], {
      by: 'left',
      why: 'went to sea',
    });
    expect(await peopleOf(tablet)).toEqual([]);
    expect((await byPin('left', '3690')).status).toBe(401);
  });
});
