/**
 * `npm run --silent saturation`: reads lines from standard input and prints one JSON line for each.
 * `R-448A 20.37` (°C), `R-448A bubble 1200000` or `R-448A dew 1200000` (Pa absolute). Exit 2 if any line failed.
 */
import { createInterface } from 'node:readline';
import { answerLine } from './saturationLine';

let failed = false;
for await (const line of createInterface({ input: process.stdin })) {
  const answer = await answerLine(line);
  failed ||= 'error' in answer;
  process.stdout.write(`${JSON.stringify(answer)}\n`);
}
process.exitCode = failed ? 2 : 0;
