/** `npm run demo:data`: writes the demo story into a fresh database, as `ABACUS_DATABASE` names it. */
import { rmSync } from 'node:fs';
import { readLogbook } from '../core/logbook/logbook';
import { problemText } from '../core/logbook/problems';
import { systemClock } from '../server/clock';
import { loadLogbook } from '../server/logbooks';
import { openServices } from '../server/services';
import { demoStory } from './story';

const url = process.env['ABACUS_DATABASE'] ?? 'file:data/demo.db';
if (url.startsWith('file:'))
  for (const suffix of ['', '-wal', '-shm']) rmSync(`${url.slice('file:'.length)}${suffix}`, { force: true });

const clock = systemClock(process.env['ABACUS_TODAY']);
const story = readLogbook(JSON.parse(JSON.stringify(demoStory(clock.todayIn('America/New_York')))));
if (!story.ok) {
  console.error(story.refusal.map(problemText).join('\n'));
  process.exit(1);
}
const services = await openServices(url, clock);
await loadLogbook(services.store, services.judging, story.value);
services.close();
console.log(
  `Wrote ${String(story.value.appliances.length)} machines and ${String(story.value.entries.length)} entries.`,
);
