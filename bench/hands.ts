/** The hands of a visit: screens of each step on a phone, and touches; measured by the browser test that holds the budget. */
import { execFileSync } from 'node:child_process';

/** Screens of 844 px of the demo's visit before the drawing became the form, measured on the commit before it. */
const BEFORE: Readonly<Record<string, number>> = {
  before: 2.28,
  arrive: 2.87,
  read: 5.71,
  judge: 3.79,
  raise: 1.97,
  search: 3.93,
  decide: 2.39,
  isolate: 3.16,
  repair: 6.41,
  hold: 3.68,
  evacuate: 2.94,
  charge: 3.63,
  prove: 4.31,
};

interface Suite {
  suites?: Suite[];
  specs?: { tests: { annotations: { type: string; description?: string }[] }[] }[];
}

const measuredIn = ({ suites = [], specs = [] }: Suite): string[] => [
  ...suites.flatMap(measuredIn),
  ...specs.flatMap((spec) =>
    spec.tests.flatMap((test) =>
      test.annotations.flatMap(({ type, description }) =>
        type === 'measured' && description ? [description] : [],
      ),
    ),
  ),
];

export function printHands(): void {
  const report = execFileSync('npx', ['playwright', 'test', 'hands', '--project=phone', '--reporter=json'], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  });
  console.log('The hands of a visit, on a phone of 390 × 844');
  for (const line of measuredIn(JSON.parse(report) as Suite)) {
    const step = /^(\w+): /.exec(line)?.[1] ?? '';
    console.log(`  ${line}${step in BEFORE ? ` (before: ${String(BEFORE[step])})` : ''}`);
  }
  console.log(
    '  before: 55 to 189 taps a job (median 109) and 193 to 764 typed characters, by eleven jobs played\n',
  );
}
