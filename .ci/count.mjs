// Reads a runner's JSON report and prints "passed failed". A report without a single test is a failure.
import { readFileSync } from 'node:fs';

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const { stats } = report;
const passed = stats ? stats.expected + stats.flaky : report.numPassedTests;
const failed = stats
  ? stats.unexpected + (report.errors?.length ?? 0)
  : report.numFailedTests + (report.numFailedTestSuites > 0 && report.numFailedTests === 0 ? 1 : 0);
if (passed + failed === 0) process.exit(1);
console.log(`${passed} ${failed}`);
