/** How every command line of ours ends where it cannot go on: a sentence on standard error, and exit code 2. */

export const EXIT_BAD_INPUT = 2;

export const errorText = (error: unknown): string => (error instanceof Error ? error.message : String(error));

export function fail(message: string, usage = ''): never {
  process.stderr.write(`${message}\n${usage === '' ? '' : `\n${usage}`}`);
  process.exit(EXIT_BAD_INPUT);
}
