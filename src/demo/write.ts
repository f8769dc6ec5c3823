/** `npm run demo:data`: writes the demo story into a fresh database, as `ABACUS_DATABASE` names it. */
import { existsSync, rmSync } from 'node:fs';
import { readLogbook } from '../core/logbook/logbook';
import { problemText } from '../core/logbook/problems';
import { openAccounts } from '../server/accounts/accounts';
import { accountsFile } from '../server/accounts/openAccounts';
import { systemClock } from '../server/clock';
import { loadLogbook } from '../server/exports/logbooks';
import { openServices } from '../server/services';
import { addDemoAccounts } from './accounts';
import { issueStory } from './issued';
import { demoStory } from './story';

const url = process.env['ABACUS_DATABASE'] ?? 'file:data/demo/green-abacus.db';
const clock = systemClock(process.env['ABACUS_TODAY']);
const file = url.startsWith('file:') ? url.slice('file:'.length) : null;

/** What stands there already must be a demo story, or nothing: a company's own logbook is never written over. */
if (file !== null && existsSync(file)) {
  const present = await openServices(url, clock);
  const people = await present.store.people();
  await present.close();
  if (people.length > 0 && !people.some((each) => each.id === 'odalys')) {
    console.error(`${file} holds a logbook of its own. Name another file in ABACUS_DATABASE for the demo.`);
    process.exit(2);
  }
}
if (file !== null)
  for (const each of [file, accountsFile(url)])
    for (const suffix of ['', '-wal', '-shm']) rmSync(`${each}${suffix}`, { force: true });

const story = readLogbook(JSON.parse(JSON.stringify(demoStory(clock.todayIn('America/New_York')))));
if (!story.ok) {
  console.error(story.refusal.map(problemText).join('\n'));
  process.exit(1);
}
const services = await openServices(url, clock);
await loadLogbook(services, story.value, (done, of, what) => {
  // On a screen one line goes on; in a log it would be many.
  if (process.stderr.isTTY) process.stderr.write(`\r${String(done)} of ${String(of)} ${what} written `);
});
if (process.stderr.isTTY) process.stderr.write('\n');
await issueStory(services);
const { accounts, close } = await openAccounts(url, services);
await addDemoAccounts(accounts);
close();
await services.close();
console.log(
  `Wrote ${String(story.value.appliances.length)} machines and ${String(story.value.entries.length)} entries.`,
);
