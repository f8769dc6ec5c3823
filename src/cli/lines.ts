/** Commands that answer each line of standard input with a line of JSON; exit 2 if any line was bad. */
import { createInterface } from 'node:readline';
import { EXIT_BAD_INPUT } from './exit';

export async function answerLines(
  answer: (line: string) => object | Promise<object>,
  help: string,
): Promise<void> {
  if (process.argv.includes('--help')) {
    process.stdout.write(help);
    return;
  }
  for await (const line of createInterface({ input: process.stdin })) {
    if (line.trim() === '') continue;
    const said = await answer(line);
    if ('error' in said) process.exitCode = EXIT_BAD_INPUT;
    process.stdout.write(`${JSON.stringify(said)}\n`);
  }
}

/** The JSON of a line, or the sentence that says why it is none. */
export function jsonOf(line: string): { json: unknown } | { error: string } {
  try {
    return { json: JSON.parse(line) };
  } catch (error) {
    return { error: `$: cannot be read as JSON: ${error instanceof Error ? error.message : String(error)}` };
  }
}
