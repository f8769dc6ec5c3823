/** One message at a time: what was done goes by itself, what failed stays until somebody takes it away. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { hush, say, sayWrong, shownMessage, takeAway } from './messages';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  takeAway(shownMessage()?.id ?? 0);
  vi.useRealTimers();
});

describe('a message', () => {
  it('that something was saved goes by itself, and the next one has its own time', () => {
    say('Saved.');
    vi.advanceTimersByTime(5000);
    say('Saved again.');
    vi.advanceTimersByTime(5000);
    expect(shownMessage()?.words).toBe('Saved again.');
    vi.advanceTimersByTime(4000);
    expect(shownMessage()).toBeNull();
  });

  it('that something failed stays, with the way out of it', () => {
    const again = vi.fn();
    sayWrong('Not undone: no answer', { label: 'Try again', onClick: again });
    vi.advanceTimersByTime(600_000);
    expect(shownMessage()).toMatchObject({ wrong: true, action: { label: 'Try again' } });
  });

  it('is not taken away by the end of one before it', () => {
    say('First.');
    const first = shownMessage()?.id ?? 0;
    say('Second.');
    takeAway(first);
    expect(shownMessage()?.words).toBe('Second.');
  });

  it('that something was saved is past once another thing is tried; that something failed is not', () => {
    say('Saved.');
    hush();
    expect(shownMessage()).toBeNull();
    sayWrong('Not undone');
    hush();
    expect(shownMessage()?.words).toBe('Not undone');
  });
});
