/** The frame of a page: heading and main action, and what to show while there is nothing to show. */
import type { ReactNode } from 'react';
import clsx from 'clsx';
import type { UseQueryResult } from '@tanstack/react-query';
import { Button } from './Button';

interface PageProps {
  title: ReactNode;
  subtitle?: ReactNode;
  actions?: ReactNode;
  /** the one main action: in the heading on a desk, at the thumb on a phone */
  main?: ReactNode;
  children: ReactNode;
}

export function Page({ title, subtitle, actions, main, children }: PageProps) {
  return (
    <main
      className={clsx(
        'mx-auto w-full max-w-[75rem] px-4 pt-5 sm:px-7 lg:pb-10',
        // A message may stand above the main action.
        main ? 'pb-56' : 'pb-40',
      )}
    >
      <header className="mb-4 flex flex-wrap items-start gap-x-4 gap-y-3">
        <div className="min-w-0 flex-1 basis-64">
          <h1 className="break-words">{title}</h1>
          {subtitle && <div className="text-soft">{subtitle}</div>}
        </div>
        <div className="no-print flex flex-wrap gap-2">
          {actions}
          {main && (
            <div
              data-bar="page"
              className="fixed inset-x-0 bottom-[4.1rem] z-20 border-t border-line bg-paper px-4 py-2 lg:static lg:border-0 lg:p-0 [&>*]:w-full lg:[&>*]:w-auto"
            >
              {main}
            </div>
          )}
        </div>
      </header>
      {children}
    </main>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="rule-t rule-b my-6 px-1 py-8">
      <h2>{title}</h2>
      <div className="mt-2 max-w-prose text-soft">{children}</div>
    </section>
  );
}

/** The data, a quiet placeholder that does not jump, or what to do about an error. */
export function Loaded<Data>({
  query,
  children,
}: {
  query: UseQueryResult<Data>;
  children: (data: Data) => ReactNode;
}) {
  if (query.data !== undefined) return children(query.data);
  if (query.isError) {
    return (
      <div role="alert" className="my-6 max-w-prose border-l-4 border-brick pl-4">
        <p className="font-semibold">{query.error.message}</p>
        <Button className="mt-3" onClick={() => void query.refetch()}>
          Try again
        </Button>
      </div>
    );
  }
  return (
    <div aria-busy="true" className="min-h-[60vh] py-6 text-soft">
      Reading the logbook…
    </div>
  );
}

export function Section({
  title,
  aside,
  children,
  id,
}: {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
  id?: string;
}) {
  return (
    <section className="mb-8" id={id} aria-label={title}>
      <div className="rule-b mb-3 flex flex-wrap items-end justify-between gap-2 pb-1">
        <h2>{title}</h2>
        {aside}
      </div>
      {children}
    </section>
  );
}
