/** Keys: `/` or Ctrl K searches the machines, `g` logs gas, a letter for each place, `?` lists the keys. */
import { useEffect } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { say } from '../data/device/messages';
import { RAIL } from './places';

const LETTERS = RAIL.flatMap(({ key, to, words }) => (key === undefined ? [] : [{ key, to, words }]));
const LIST = [
  '/ or Ctrl K: find a machine',
  'g: log gas',
  ...LETTERS.map(({ key, words }) => `${key}: ${words.toLowerCase()}`),
  'Esc: close',
].join(' · ');

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

export function useShortcuts(): void {
  const navigate = useNavigate();
  const [, setParams] = useSearchParams();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const find = event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey);
      if (!find && (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey)) return;
      const act: Record<string, () => void> = {
        '/': () => void navigate('/machines?find=1'),
        g: () => setParams((params) => new URLSearchParams({ ...Object.fromEntries(params), log: 'gas' })),
        ...Object.fromEntries(LETTERS.map(({ key, to }) => [key, () => void navigate(to)])),
        '?': () => say(LIST),
      };
      const run = find ? act['/'] : act[event.key];
      if (!run || document.querySelector('[role=dialog]')) return;
      event.preventDefault();
      run();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, setParams]);
}
