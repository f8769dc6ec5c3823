/** What is said for a few seconds: that something was saved, with a way back, or that something failed. One at a time. */
import { useSyncExternalStore } from 'react';

export interface Message {
  id: number;
  words: string;
  /** what failed stays until somebody takes it away */
  wrong: boolean;
  action: { label: string; onClick: () => void } | null;
}

type MessageOptions = Partial<Pick<Message, 'wrong' | 'action'>>;

const SECONDS = 8;

let shown: Message | null = null;
let count = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function show(next: Message | null): void {
  shown = next;
  clearTimeout(timer);
  if (next && !next.wrong) timer = setTimeout(() => takeAway(next.id), SECONDS * 1000);
  for (const tell of listeners) tell();
}

/** Takes a message away, if it is still the one that is shown. */
export function takeAway(id: number): void {
  if (shown?.id === id) show(null);
}

/** Something new is tried: what went well before it is past, and covers nothing. */
export const hush = (): void => {
  if (shown && !shown.wrong) show(null);
};

/** Says it in place of what was said before. */
export const say = (words: string, { wrong = false, action = null }: MessageOptions = {}): void =>
  show({ id: (count += 1), words, wrong, action });

export const sayWrong = (words: string, action: Message['action'] = null): void =>
  say(words, { wrong: true, action });

const listen = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

export const shownMessage = (): Message | null => shown;

export const useMessage = (): Message | null => useSyncExternalStore(listen, shownMessage);
