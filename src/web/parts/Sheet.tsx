/** A sheet over the page: from the right on a desk, the whole screen on a phone. Escape and back close it. */
import type { ReactNode } from 'react';
import { Dialog } from 'radix-ui';
import { X } from 'lucide-react';

export function Sheet({
  title,
  subtitle,
  onClose,
  children,
  footer,
}: {
  title: string;
  subtitle?: string;
  onClose: () => void;
  children: ReactNode;
  footer?: ReactNode;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-rail opacity-50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-y-0 right-0 z-50 flex w-full flex-col bg-paper text-ink outline-none sm:max-w-[38rem] sm:border-l-4 sm:border-rail"
        >
          <header className="rule-b flex items-start gap-3 px-4 py-3 sm:px-6">
            <div className="min-w-0 flex-1">
              <Dialog.Title className="text-xl font-bold">{title}</Dialog.Title>
              {subtitle && <p className="truncate text-soft">{subtitle}</p>}
            </div>
            <Dialog.Close
              className="flex size-11 shrink-0 cursor-pointer items-center justify-center"
              aria-label="Close"
            >
              <X aria-hidden="true" />
            </Dialog.Close>
          </header>
          <div className="flex-1 overflow-y-auto px-4 py-4 sm:px-6">{children}</div>
          {footer && <footer className="rule-t bg-card px-4 py-3 sm:px-6">{footer}</footer>}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
