/** The frame of the ways in. It lies over everything, a sheet that was open too: nothing behind it can be touched or read. */
import type { ReactNode } from 'react';
import { Dialog } from 'radix-ui';

const stay = (event: Event) => event.preventDefault();

export const Door = ({ title, children }: { title: string; children: ReactNode }) => (
  <Dialog.Root open>
    <Dialog.Portal>
      <Dialog.Content
        aria-describedby={undefined}
        className="fixed inset-0 z-[60] overflow-y-auto bg-paper px-5 py-10"
        onEscapeKeyDown={stay}
        onInteractOutside={stay}
      >
        <div className="mx-auto max-w-sm">
          <img src="/mark.svg" alt="Green Abacus" className="mb-6 size-14 rounded bg-rail p-1" />
          <Dialog.Title asChild>
            <h1 className="mb-4">{title}</h1>
          </Dialog.Title>
          {children}
        </div>
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);
