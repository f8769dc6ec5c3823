/** Where a visit stands in the address: any device that opens it goes on at the same step. */
import { type Step, isStep } from '../../../core/visit/steps';

export const visitAddress = (visitId: string, machineId: string, step: Step): string =>
  `/visits/${encodeURIComponent(visitId)}/${encodeURIComponent(machineId)}/${step}`;

export const stepFrom = (text: string | undefined): Step => (text && isStep(text) ? text : 'before');

/** The visit that an address stands in, for forms that open over it. */
export const visitOf = (pathname: string): string | null => {
  const match = /^\/visits\/([^/]+)\/[^/]+/.exec(pathname);
  return match?.[1] ? decodeURIComponent(match[1]) : null;
};
