/** `npm run bench`: each figure beside a baseline measured in the same run. Nothing here passes or fails. */
import { cpus } from 'node:os';
import { benchAppend } from './append';
import { benchRise, confusionTable } from './evacuation';
import { benchFold } from './fold';
import { printGrowth } from './growth';
import { printHands } from './hands';
import { benchForecast } from './forecast';
import type { Comparison } from './measure';
import { benchVisits } from './visits';

const rows: Comparison[] = [
  ...(await benchFold()),
  ...(await benchAppend()),
  ...(await benchRise()),
  ...(await benchForecast()),
  ...(await benchVisits()),
];
console.log(
  `Node.js ${process.version}, ${String(cpus().length)} × ${cpus()[0]?.model ?? 'unknown processor'}; medians\n`,
);
for (const row of rows) {
  console.log(`${row.subject}: ${row.subjectMs.toFixed(3)} ms (${row.rate})`);
  console.log(`  ${row.baseline}: ${row.baselineMs.toFixed(3)} ms; ratio ${row.ratio.toFixed(2)}\n`);
}
for (const seed of [1, 20_001]) console.log(`${confusionTable(seed)}\n`);
printHands();
await printGrowth();
