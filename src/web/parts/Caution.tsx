/** What can hurt, or what stands in the way, at the step where it does. */
import type { ReactNode } from 'react';

export const Caution = ({ children }: { children: ReactNode }) => (
  <p className="my-4 border-l-4 border-ochre pl-3">{children}</p>
);
