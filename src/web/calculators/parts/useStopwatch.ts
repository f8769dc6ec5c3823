/** A clock that runs on through a locked screen, a reload or another step: only the moment it began is kept. */
import { useEffect, useState } from 'react';
import { useCalculatorHome } from '../calculatorHome';

export function useStopwatch(name: string) {
  const key = `abacus.bench.${useCalculatorHome()?.prefix ?? ''}${name}`;
  const [since, setSince] = useState(() => Number(localStorage.getItem(key) ?? 0));
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (since === 0) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [since]);
  const beginAt = (at: number) => {
    localStorage.setItem(key, String(at));
    setSince(at);
    setNow(at);
  };
  const seconds = Math.max(0, Math.floor((now - since) / 1000));
  return {
    running: since !== 0,
    seconds,
    /** `12:05`, minutes and seconds */
    clock: `${String(Math.floor(seconds / 60))}:${String(seconds % 60).padStart(2, '0')}`,
    begin: () => beginAt(Date.now()),
    stop: () => beginAt(0),
  };
}
