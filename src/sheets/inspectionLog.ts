/** Logs of leak inspections. */
import type { Entry } from '../core/logbook/entry';
import { looseKey } from './cells';
import { dayFor, finished, machineOf, withId, writerOf } from './logRow';
import { flagSaid } from './machineWords';
import { FLAG_CHOICES } from './rowTools';
import type { RowReader } from './understood';

export const readInspection: RowReader = (reading, sheet, intake) => {
  const machine = machineOf(reading, intake);
  const on = dayFor(reading, machine, intake);
  const writer = writerOf(reading, intake);
  const all = reading.choice('allAccessibleInspected', flagSaid, FLAG_CHOICES);
  const methods = reading
    .said('methods')
    .split(/[,;/+]| and /)
    .map((each) => each.trim())
    .filter(Boolean);
  const leaks = reading.said('leaksFound');
  const none = /^(?:0|no|none|no leaks?|n|nothing|ok|passed?)$/.test(looseKey(leaks)) || leaks === '';
  const note = [reading.said('note'), none ? '' : `leaks in the list: ${leaks}`].filter(Boolean).join('; ');
  const entry = withId(
    {
      kind: 'leakInspection',
      applianceId: machine?.id ?? '',
      on: on ?? '',
      by: writer.by,
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
    [
      `inspected${methods.length > 0 ? ` with ${methods.join(', ')}` : ''}`,
      all === false ? 'not all accessible parts' : '',
      writer.words,
      note === '' ? '' : `note: ${note}`,
    ],
    writer.rows,
  );
};
