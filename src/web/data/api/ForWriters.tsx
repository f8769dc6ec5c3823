/** What writes, for those who may: whoever only reads does not see it. */
import type { ReactNode } from 'react';
import { useMay } from './session';

export const ForWriters = ({ children }: { children: ReactNode }) => useMay()('append') && children;
