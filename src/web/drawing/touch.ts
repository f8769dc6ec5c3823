/** A group of the drawing as a button: by finger, by key, and by name; without a hand it is a picture. */
import type { KeyboardEvent, SVGProps } from 'react';

export const asButton = (label: string, onTouch: (() => void) | undefined): SVGProps<SVGGElement> =>
  onTouch
    ? {
        role: 'button',
        tabIndex: 0,
        'aria-label': label,
        className: 'drawn-button cursor-pointer',
        onClick: onTouch,
        onKeyDown: (event: KeyboardEvent) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onTouch();
        },
      }
    : { role: 'img', 'aria-label': label };
