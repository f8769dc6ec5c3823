/**
 * `npm run --silent verdict`: reads one JSON document a line from standard input, a vacuum or a pressure test, and prints the
 * verdict of each as a line, in order. Exit 2 if any was bad.
 */
import { answerLines } from './lines';
import { verdictLine } from './verdictLine';

const HELP = `Judges vacuum and pressure tests, one JSON document a line on standard input, one verdict a line.

  npm run --silent verdict < TESTS.jsonl

  {"test": "vacuum", "readings": [[0, 40.1], [10, 41.3], …], "volumeL": 20, "fullChargeGrams": 6800, "refrigerant": "R-404A"}
  {"test": "pressure", "readings": [[0, 1001325, 20.0], [600, 977325]], "testGas": "nitrogen", "volumeL": 40,
   "leakGramsPerYear": 60, "resolutionPa": 2000, "refrigerant": "R-404A", "fullChargeGrams": 6800}

Readings: seconds, Pa absolute, °C of the gas (pressure tests, where it was read). The rest is optional. A bad line is
answered with {"error": …}, and the exit code is then 2. What could hide is told at the pressure that the refrigerant
stands at, at rest at 20 °C; in a pressure test without a refrigerant, of the test gas at its own pressure.
`;

await answerLines(verdictLine, HELP);
