/** Accounts in a backup: who had a password comes in after it was brought back; what let somebody in then does not any more. */
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { type Crew, PASSWORD, openCrew } from '../accounts/accounts.testkit';
import { DATABASE } from '../dataFolder';
import { makeBackup, restoreBackup } from './copy';

let crew: Crew | null = null;
afterAll(async () => {
  await crew?.end();
});

it('come back without their sessions and open links, or not at all where that is asked for', async () => {
  crew = await openCrew();
  const { joined, folder, accounts } = crew;
  const ike = await joined('ike', 'Ike', 'manager');
  await crew.addPerson('vi', 'Vi');
  const { token } = await accounts.joining.invite({ personId: 'vi', role: 'technician' });
  const into = join(folder, 'backup');
  await makeBackup({ database: join(folder, DATABASE), attachments: join(folder, 'none') }, into);
  // Readable by whoever runs the server alone.
  expect(statSync(join(into, 'green-abacus.accounts.db')).mode & 0o777).toBe(0o600);

  await restoreBackup(into, join(folder, 'back'));
  const back = await openCrew(join(folder, 'back'));
  expect(await back.session(ike.cookie)).toMatchObject({ signedIn: null, empty: false });
  expect((await back.begin(token, 'vi@example.invalid')).status).toBe(422);
  expect((await back.signIn(ike.email, PASSWORD)).status).toBe(200);
  await back.end();

  await restoreBackup(into, join(folder, 'back'), false);
  const anew = await openCrew(join(folder, 'back'));
  expect(await anew.session('')).toMatchObject({ empty: true });
  expect((await anew.signIn(ike.email, PASSWORD)).status).toBe(401);
  // The logbook is all there: the first manager is somebody on its list.
  const first = await anew.accounts.joining.invitation((await anew.accounts.joining.firstToken()) ?? '');
  expect(first.people.map(({ name }) => name)).toEqual(['Ike', 'Vi']);
  await anew.end();
}, 60_000);
