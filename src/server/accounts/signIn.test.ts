/** Coming in over HTTP as a browser does: the first manager, a crew, and whoever should not get in. */
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Crew, PASSWORD, openCrew } from './accounts.testkit';

const DAY_MS = 86_400_000;
let crew: Crew;
beforeAll(async () => {
  crew = await openCrew();
  ({ services, accounts, folder, post, signIn, session, status, begin, idOf, addPerson, joined } = crew);
});
afterAll(() => crew.end());
let { services, accounts, folder, post, signIn, session, status, begin, idOf, addPerson, joined }: Crew =
  {} as Crew;

let manager = '';

describe('the first start', () => {
  it('says that nobody is there yet, and refuses everything but the link', async () => {
    expect(await session('')).toEqual({ signedIn: null, empty: true, demo: [], address: null });
    expect(await status('/machines', '')).toBe(401);
    // Without demo data its door does not exist.
    expect((await post('/demo/sign-in', { person: 'odalys' })).status).toBe(404);
    expect(
      (await post('/auth/sign-up/email', { email: 'a@b.example', password: PASSWORD, name: 'A' })).status,
    ).toBe(404);
    expect((await begin('guessed', 'a@b.example', { name: 'A' })).status).toBe(422);
  });

  it('makes one manager by the link, who is on the list of people then; the link is good once', async () => {
    const earlier = await accounts.joining.firstToken();
    const token = await accounts.joining.firstToken();
    // A second start makes another link; the first is good no longer.
    expect((await begin(earlier ?? '', 'a@b.example', { name: 'A' })).status).toBe(422);
    expect((await begin(token ?? '', 'head@example.invalid')).text).toContain('say who you are');
    const short = await post('/accounts', {
      token,
      email: 'head@example.invalid',
      password: 'short',
      name: 'H',
    });
    expect(short.text).toContain('at least 10 characters');
    const both = await Promise.all(
      ['head@example.invalid', 'other@example.invalid'].map((email) =>
        begin(token ?? '', email, { name: 'Hanna Head' }),
      ),
    );
    expect(both.map((each) => each.status).sort()).toEqual([201, 422]);
    const email = both[0]?.status === 201 ? 'head@example.invalid' : 'other@example.invalid';
    const signed = await signIn(email.toUpperCase(), PASSWORD);
    expect(signed.status).toBe(200);
    expect(signed.flags).toMatch(/HttpOnly/i);
    expect(signed.flags).toMatch(/SameSite=Lax/i);
    manager = signed.cookie;
    expect(await session(manager)).toMatchObject({
      signedIn: { name: 'Hanna Head', role: 'manager' },
      empty: false,
    });
    expect((await services.store.people()).map(({ name }) => name)).toEqual(['Hanna Head']);
    expect(await accounts.joining.firstToken()).toBeNull();
  });

  it('is somebody of a logbook that has people already, where he says so', async () => {
    const moved = await openCrew();
    await moved.addPerson('old', 'Olga Old');
    const row = { id: 'gone', name: 'Gert Gone', leftOn: '2026-01-01' };
    await moved.services.rows.change([{ table: 'people', id: 'gone', row }], { by: 'old', why: null });
    const token = (await moved.accounts.joining.firstToken()) ?? '';
    const offer = (await moved.get(`/invitation?token=${token}`)).body;
    expect(offer).toMatchObject({ people: [{ personId: 'old', name: 'Olga Old' }] });
    const refused = await moved.begin(token, 'old@example.invalid', { personId: 'gone' });
    expect([refused.status, refused.text.includes('personId')]).toEqual([422, true]);
    expect((await moved.begin(token, 'old@example.invalid', { personId: 'old' })).status).toBe(201);
    const { cookie } = await moved.signIn('old@example.invalid', PASSWORD);
    expect(await moved.session(cookie)).toMatchObject({ signedIn: { name: 'Olga Old', role: 'manager' } });
    expect(await moved.services.store.people()).toHaveLength(2);
    // Who is invited by name cannot become another one.
    await moved.addPerson('third', 'Theo Third');
    const { token: other } = await moved.accounts.joining.invite({ personId: 'third', role: 'technician' });
    expect((await moved.begin(other, 'x@example.invalid', { personId: 'old' })).status).toBe(422);
    await moved.end();
  });

  it('keeps its secret for whoever runs the server, and of links and passwords hashes alone', async () => {
    expect(statSync(join(folder, 'green-abacus.secret')).mode & 0o777).toBe(0o600);
    await addPerson('hash', 'Hash Case');
    const { token } = await accounts.joining.invite({ personId: 'hash', role: 'technician' });
    const bytes = ['', '-wal']
      .map((end) => readFileSync(join(folder, `green-abacus.accounts.db${end}`), 'latin1'))
      .join('');
    for (const secret of [token, PASSWORD]) expect(bytes).not.toContain(secret);
  });
});

describe('an invitation', () => {
  it('is for one person, is good for a week, and can be withdrawn', async () => {
    await addPerson('vera', 'Vera Vent');
    const made = await post(
      '/accounts/invitations',
      { personId: 'vera', role: 'technician' },
      { cookie: manager },
    );
    const { token, id } = JSON.parse(made.text) as { token: string; id: string };
    const offer = (await crew.get(`/invitation?token=${token}`)).body;
    expect(offer).toEqual({
      role: 'technician',
      name: 'Vera Vent',
      email: null,
      renews: false,
      people: [],
    });
    crew.passes(8 * DAY_MS);
    expect((await begin(token, 'vera@example.invalid')).status).toBe(422);
    crew.passes(-8 * DAY_MS);
    await post(`/accounts/invitations/${id}/withdraw`, {}, { cookie: manager });
    expect((await begin(token, 'vera@example.invalid')).status).toBe(422);
    expect((await post(`/accounts/invitations/${id}/withdraw`, {}, { cookie: manager })).status).toBe(404);
  });

  it('takes no address that another account has, and no representative without an owner', async () => {
    const { email } = await joined('first', 'First Comer');
    await addPerson('second', 'Second Comer');
    const { token } = await accounts.joining.invite({ personId: 'second', role: 'technician' });
    expect((await begin(token, email)).text).toContain('belongs to another account');
    // What was wrong did not use the link up.
    expect((await begin(token, 'second@example.invalid')).status).toBe(201);
    const lacking = await post(
      '/accounts/invitations',
      { personId: 'second', role: 'representative' },
      { cookie: manager },
    );
    expect(lacking.status).toBe(422);
  });

  it('gives a new password to whoever has an account, and ends where it was signed in', async () => {
    const { email, cookie } = await joined('forgets', 'Fern Forgets');
    const { token, renews } = await accounts.joining.invite({ personId: 'forgets', role: 'manager' });
    expect(renews).toBe(true);
    await post('/accounts', { token, email, password: 'another long one' });
    expect(await status('/machines', cookie)).toBe(401);
    expect((await signIn(email, PASSWORD)).status).toBe(401);
    const again = await signIn(email, 'another long one');
    // A link for a password raises nobody.
    expect(await session(again.cookie)).toMatchObject({ signedIn: { role: 'technician' } });
  });
});

describe('whoever should not get in', () => {
  it('guesses ten times, whatever address is claimed, and then waits; others are not held up', async () => {
    const { email } = await joined('guessed', 'Gus Guessed');
    const other = await joined('calm', 'Cal Calm');
    const tries: number[] = [];
    for (let n = 0; n < 12; n += 1) {
      const claimed = `203.0.113.${String(n)}`;
      const headers = { 'x-forwarded-for': claimed, 'x-abacus-address': claimed };
      tries.push((await signIn(email, `wrong number ${String(n)}`, headers)).status);
    }
    expect(tries.slice(0, 10)).toEqual(Array.from({ length: 10 }, () => 401));
    expect(tries.slice(10)).toEqual([429, 429]);
    expect((await signIn(email, PASSWORD)).status).toBe(429);
    expect(await status('/machines', other.cookie)).toBe(200);
  });

  it('an ended session, a closed account and somebody who left are signed out at once', async () => {
    const ended = await joined('ended', 'Edda Ended');
    expect(await status('/machines', ended.cookie)).toBe(200);
    await post(`/accounts/${await idOf(ended.email)}/end-sessions`, {}, { cookie: manager });
    expect(await status('/machines', ended.cookie)).toBe(401);

    const closed = await joined('closed', 'Clara Closed');
    await post(`/accounts/${await idOf(closed.email)}/close`, {}, { cookie: manager });
    expect(await status('/machines', closed.cookie)).toBe(401);
    expect((await services.store.peopleById(['closed'])).length).toBe(1);

    const left = await joined('left', 'Lara Left');
    const row = { id: 'left', name: 'Lara Left', leftOn: '2026-11-20' };
    await services.rows.change([{ table: 'people', id: 'left', row }], {
      by: 'left',
      why: 'went to sea',
    });
    expect(await status('/machines', left.cookie)).toBe(401);
    await expect(accounts.joining.invite({ personId: 'left', role: 'technician' })).rejects.toThrow();
  });

  it('a role that was taken away is gone with the next request', async () => {
    const { email, cookie } = await joined('raised', 'Rae Raised', 'manager');
    expect(await status('/accounts', cookie)).toBe(200);
    await post(`/accounts/${await idOf(email)}/role`, { role: 'auditor' }, { cookie: manager });
    expect(await status('/accounts', cookie)).toBe(403);
  });

  it('a session is a new one after signing in, whatever cookie came', async () => {
    const { email } = await joined('fixed', 'Finn Fixed');
    const planted = 'abacus.session_token=planted.by-somebody';
    const signed = await signIn(email, PASSWORD, { cookie: planted });
    expect(signed.cookie).not.toContain('planted');
    expect(await status('/machines', planted)).toBe(401);
    // A cookie whose signature was altered is none.
    expect(await status('/machines', `${signed.cookie.slice(0, -6)}AAAAAA`)).toBe(401);
  });

  it('a page from elsewhere and a foreign name of the host', async () => {
    const body = { email: 'a@b.example', password: PASSWORD };
    expect((await post('/auth/sign-in/email', body, { origin: 'https://elsewhere.example' })).status).toBe(
      403,
    );
    expect(
      (await post('/accounts/invitations', {}, { cookie: manager, origin: 'https://elsewhere.example' }))
        .status,
    ).toBe(403);
  });

  it('the last manager stays one', async () => {
    const managers = (await accounts.list()).accounts.filter(({ role }) => role === 'manager');
    expect(managers).toHaveLength(1);
    for (const { id } of managers) {
      await expect(accounts.close(id)).rejects.toThrow();
      await expect(accounts.changeRole(id, 'technician', null)).rejects.toThrow();
    }
  });

  // The last of all: nobody signs in from here for a minute then.
  it('sixty tries a minute of one address, whichever accounts they go to', async () => {
    const tries: number[] = [];
    for (let n = 0; n < 61; n += 1)
      tries.push((await signIn(`nobody-${String(n)}@example.invalid`, 'x'.repeat(12))).status);
    expect(tries.at(-1)).toBe(429);
    expect(tries[0]).toBe(401);
  });
});
