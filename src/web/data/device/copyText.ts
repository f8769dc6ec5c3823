/** Copies a text, and says what came of it. */
import { say, sayWrong } from './messages';

export const copyText = (text: string, what: string, copied: string): void =>
  void navigator.clipboard.writeText(text).then(
    () => say(copied),
    () => sayWrong(`${what} could not be copied: mark it and copy it by hand.`),
  );
