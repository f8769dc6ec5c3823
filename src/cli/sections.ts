/** `npm run --silent sections`: reads a drawing with its shut valves as JSON a line, and prints the pieces that are left. */
import { answerLines } from './lines';
import { sectionsLine } from './sectionsLine';

const HELP = `Parts a drawing at its shut valves, one JSON document a line on standard input, one answer a line.

  npm run --silent sections < DRAWINGS.jsonl

  {"drawing": {"parts": […], "lines": […], "stubs": […]}, "shut": ["v1", "xl"], "doesNotHold": ["xl"], "asOf": "2026-11-23"}

"sections": the pieces that are left when the shut parts are taken out, each with its parts in the order of "parts"; a shut
part stands in none. "between": each shut part that does not hold, with every two pieces that it joins, by their place in
"sections". With "asOf", parts that are not there yet or are gone stand in no piece, and lines run on through their place;
without it all parts stand. A bad line is answered with {"error": …}, and the exit code is then 2.
`;

await answerLines(sectionsLine, HELP);
