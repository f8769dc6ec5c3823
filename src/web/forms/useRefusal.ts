/** A save that is refused goes to what is wrong first: it opens the fold that holds it, and brings it into sight. */
import { useEffect, useId, useState } from 'react';
import { hush } from '../data/device/messages';

export interface Refusal {
  /** id of the form around the fields */
  form: string;
  /** somebody tried to save since the form was begun */
  tried: boolean;
  /** a try to save: whatever is wrong is shown, and the first of it brought into sight */
  try: () => void;
  /** it was saved: the form begins anew */
  settle: () => void;
}

export function useRefusal(): Refusal {
  const form = useId();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    if (tries > 0) bringIntoSight(document.getElementById(form));
  }, [form, tries]);
  return {
    form,
    tried: tries > 0,
    try: () => {
      hush();
      setTries((before) => before + 1);
    },
    settle: () => setTries(0),
  };
}

function bringIntoSight(root: HTMLElement | null): void {
  const fault = root?.querySelector<HTMLElement>('[data-fault]');
  if (!fault) return;
  for (let fold = fault.closest('details'); fold; fold = fold.parentElement?.closest('details') ?? null)
    fold.open = true;
  const field = fault.closest<HTMLElement>('[data-field]') ?? fault;
  field.scrollIntoView({ block: 'center' });
  field.querySelector<HTMLElement>('input, select, textarea, button')?.focus({ preventScroll: true });
}
