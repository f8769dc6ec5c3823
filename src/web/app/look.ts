/** The three looks, kept on this device. */
export const LOOKS = ['paper', 'cold-room', 'roof'] as const;
export type Look = (typeof LOOKS)[number];

export const LOOK_WORDS: Record<Look, string> = {
  paper: 'Paper (day)',
  'cold-room': 'Cold room (dark)',
  roof: 'Roof (high contrast)',
};

const KEY = 'abacus.look';

export function storedLook(): Look {
  const stored = localStorage.getItem(KEY);
  return LOOKS.find((look) => look === stored) ?? 'paper';
}

export function applyLook(look: Look): void {
  document.documentElement.dataset['look'] = look;
  localStorage.setItem(KEY, look);
}
