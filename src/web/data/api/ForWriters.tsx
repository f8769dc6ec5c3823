/** What writes, for those who may: whoever only reads does not see it. */
import type { ReactNode } from 'react';
import type { EndpointName } from '../../../contract/endpoints';
import { useMay } from './session';

/** `of`: the endpoint that is called by it; without one, the logbook's own. */
export const ForWriters = ({ of = 'append', children }: { of?: EndpointName; children: ReactNode }) =>
  useMay()(of) && children;
