/** `npm run bench`: each figure beside a baseline measured in the same run. Nothing here passes or fails. */
import { cpus } from 'node:os';
import { benchAppend } from './append';
import { benchRise, printRises } from './evacuation';
import { benchFold } from './fold';
import { printGrowth } from './growth';
import { printHands } from './hands';
import { printHolds } from './hold';
import { benchForecast, printForecasts } from './forecast';
import type { Comparison } from './measure';
import { benchPapers } from './papers';
import { benchPiping } from './piping';
import { benchVisits } from './visits';

const rows: Comparison[] = [
  ...(await benchFold()),
  ...(await benchAppend()),
  ...(await benchRise()),
  ...(await benchForecast()),
  ...(await benchPiping()),
  ...(await benchVisits()),
  ...(await benchPapers()),
];
console.log(
  `Node.js ${process.version}, ${String(cpus().length)} × ${cpus()[0]?.model ?? 'unknown processor'}; medians\n`,
);
for (const row of rows) {
  console.log(`${row.subject}: ${row.subjectMs.toFixed(3)} ms (${row.rate})`);
  console.log(`  ${row.baseline}: ${row.baselineMs.toFixed(3)} ms; ratio ${row.ratio.toFixed(2)}\n`);
}
printRises([1, 20_001, 40_001]);
printHolds([1, 20_001, 40_001]);
printForecasts();
printHands();
await printGrowth();
