/** A tray at the thumb: half the screen from below on a phone, at the right on a desk; what lies above it stays in sight. */
import type { ReactNode } from 'react';
import { Dialog } from 'radix-ui';
import { X } from 'lucide-react';

export function Tray({
  title,
  onClose,
  children,
  focusInside = true,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
  /** false: what is inside takes the focus itself */
  focusInside?: boolean;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => {
            if (!focusInside) event.preventDefault();
          }}
          className="fixed inset-x-0 bottom-0 z-50 max-h-[92vh] overflow-y-auto border-t-4 border-rail bg-paper px-4 pb-4 text-ink outline-none sm:inset-x-auto sm:bottom-4 sm:right-4 sm:w-[25rem] sm:rounded sm:border-4"
        >
          <header className="flex items-center gap-3">
            <Dialog.Title className="min-w-0 flex-1 py-2 text-lg leading-tight font-bold">
              {title}
            </Dialog.Title>
            <Dialog.Close
              className="-mr-2 flex size-11 shrink-0 cursor-pointer items-center justify-center"
              aria-label="Close"
            >
              <X aria-hidden="true" />
            </Dialog.Close>
          </header>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
