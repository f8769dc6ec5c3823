/** On a shared tablet: who put it down is signed out after a while, so that nobody writes under another's name. */
import { useEffect } from 'react';
import { useSignOut, useSignedIn } from '../data/api/session';
import { useTabletPeople } from '../data/api/tablet';

const IDLE_MS = 30 * 60_000;
const LOOK_EVERY_MS = 15_000;
const TOUCHES = ['pointerdown', 'keydown'] as const;

export function useIdleEnd(): void {
  const shared = useTabletPeople().length > 0;
  const signedIn = useSignedIn() !== null;
  const { mutate } = useSignOut();
  useEffect(() => {
    if (!shared || !signedIn) return;
    // By the clock and not by one long timer: a tablet that slept counts its sleep too.
    let last = Date.now();
    const touched = () => {
      last = Date.now();
    };
    const look = setInterval(() => {
      if (Date.now() - last >= IDLE_MS) mutate('here');
    }, LOOK_EVERY_MS);
    for (const each of TOUCHES) window.addEventListener(each, touched, true);
    return () => {
      clearInterval(look);
      for (const each of TOUCHES) window.removeEventListener(each, touched, true);
    };
  }, [shared, signedIn, mutate]);
}
