/** A file that is not taken, with the remedy; nothing was written. */
export class FileRefused extends Error {
  constructor(
    readonly what: string,
    readonly remedy: string,
  ) {
    super(`${what} ${remedy}`);
  }
}
