/** A dialog over the page: from the right on a desk, the whole screen on a phone. Escape and back close it. */
import type { ReactNode } from 'react';
import { Dialog as Radix } from 'radix-ui';
import { X } from 'lucide-react';

export function Dialog({
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
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-rail opacity-50" />
        <Radix.Content
          aria-describedby={undefined}
          className="fixed inset-y-0 right-0 z-50 flex w-full flex-col bg-paper text-ink outline-none sm:max-w-[38rem] sm:border-l-4 sm:border-rail"
        >
          <header className="rule-b flex items-start gap-3 px-4 py-3 sm:px-6">
            <div className="min-w-0 flex-1">
              <Radix.Title className="text-xl font-bold">{title}</Radix.Title>
              {subtitle && <p className="break-words text-soft">{subtitle}</p>}
            </div>
            <Radix.Close
              className="flex size-11 shrink-0 cursor-pointer items-center justify-center"
              aria-label="Close"
            >
              <X aria-hidden="true" />
            </Radix.Close>
          </header>
          <div className="flex-1 overflow-y-auto px-4 py-4 sm:px-6">{children}</div>
          {footer && <footer className="rule-t bg-card px-4 py-3 sm:px-6">{footer}</footer>}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
