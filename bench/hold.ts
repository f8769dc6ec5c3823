/** How often the word on a pressure test is firm and right, on made-up ones. */
import { PRESSURE_TEST_CODES } from '../src/core/calculators/pressureTest';
import { confusionTable, countByKind } from '../src/core/testkit/confusion';
import { heldOf } from '../src/core/testkit/pressureTruths';
import { countWords } from './evacuation';

export function printHolds(firstSeeds: readonly number[], count = 800): void {
  const told = firstSeeds.flatMap((seed) => Array.from({ length: count }, (_, i) => heldOf(seed + i)));
  console.log(`Pressure: ${String(told.length)} made-up tests; rows are, columns said and firm:`);
  console.log(confusionTable(told, PRESSURE_TEST_CODES));
  for (const [kind, each] of countByKind(told)) console.log(`${kind.padEnd(16)} ${countWords(each)}`);
  console.log('');
}
