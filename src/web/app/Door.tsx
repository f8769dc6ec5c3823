/** The frame of the ways in. */
import type { ReactNode } from 'react';

export const Door = ({ title, children }: { title: string; children: ReactNode }) => (
  <main className="fixed inset-0 z-50 overflow-y-auto bg-paper px-5 py-10">
    <div className="mx-auto max-w-sm">
      <img src="/mark.svg" alt="Green Abacus" className="mb-6 size-14 rounded bg-rail p-1" />
      <h1 className="mb-4">{title}</h1>
      {children}
    </div>
  </main>
);
