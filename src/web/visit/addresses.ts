/** Where a visit stands in the address: any device that opens it goes on at the same step. */
import type { Entry } from '../../core/logbook/entry';
import { type Step, isStep } from '../../core/visit/steps';

export const visitAddress = (visitId: string, machineId: string, step: Step): string =>
  `/visits/${encodeURIComponent(visitId)}/${encodeURIComponent(machineId)}/${step}`;

export const stepFrom = (text: string | undefined): Step => (text && isStep(text) ? text : 'before');

/** The visit that an address stands in, for forms that open over it. */
export const visitOf = (pathname: string): string | null => {
  const match = /^\/visits\/([^/]+)\/[^/]+/.exec(pathname);
  return match?.[1] ? decodeURIComponent(match[1]) : null;
};

/**
 * What a form that opens over a visit adds to its entry; a correction stays where the corrected entry stood. `at`: when it
 * was first sent, the same however often it is sent, for the server takes an entry once.
 */
export function filedUnder(
  corrected: Entry | null,
  visitId: string | null,
  at: string,
): { visitId?: string; at?: string } {
  if (corrected) {
    return {
      ...(corrected.visitId == null ? {} : { visitId: corrected.visitId }),
      ...(corrected.at == null ? {} : { at: corrected.at }),
    };
  }
  return visitId === null ? {} : { visitId, at };
}
