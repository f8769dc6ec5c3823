/** Logs of leak inspections. */
import type { Entry } from '../core/logbook/entry';
import { nameKey } from './cells';
import { dayFor, finished, machineOf, withId, writerOf } from './logRow';
import { flagNamed } from './namesRead';
import type { Read } from './understood';

export const readInspection: Read = (reading, sheet, intake) => {
  const machine = machineOf(reading, intake);
  const on = dayFor(reading, machine, intake);
  const all = reading.choice('allAccessibleInspected', flagNamed, 'Use yes or no.');
  const methods = reading
    .text('methods')
    .split(/[,;/+]| and /)
    .map((each) => each.trim())
    .filter(Boolean);
  const leaks = reading.text('leaksFound');
  const none = /^(?:0|no|none|no leaks?|n|nothing|ok|passed?)$/.test(nameKey(leaks)) || leaks === '';
  const note = [reading.text('note'), none ? '' : `leaks in the list: ${leaks}`].filter(Boolean).join('; ');
  const entry = withId(
    {
      kind: 'leakInspection',
      applianceId: machine?.id ?? '',
      on: on ?? '',
      by: writerOf(reading, intake),
      ...(methods.length > 0 ? { methods } : {}),
      ...(all === null ? {} : { allAccessibleInspected: all }),
      ...(note === '' ? {} : { note }),
    } as Omit<Entry, 'id'>,
    intake,
  );
  return finished(
    reading,
    sheet,
    machine,
    on,
    [entry],
    intake,
    `inspected${methods.length > 0 ? ` with ${methods.join(', ')}` : ''}`,
  );
};
