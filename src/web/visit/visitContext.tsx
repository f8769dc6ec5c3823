/** What every step of a visit stands on: the machine, what this visit and all before it recorded, and how to write. */
import { type ReactNode, createContext, useCallback, useContext, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { v7 as uuidv7 } from 'uuid';
import type { Entry, EntryKind } from '../../core/logbook/entry';
import { bareUnit } from '../../core/rules/massSystem';
import { type Day, dayText } from '../../core/quantity/day';
import { atmosphereAt } from '../../core/quantity/atmosphere';
import type { LayoutName } from '../../core/visit/circuit/layouts';
import type { CircuitMap } from '../../core/visit/circuit/map';
import { type LeakStory, leakStories } from '../../core/visit/leakStory';
import type { Step } from '../../core/visit/steps';
import { type VisitRecord, visitRecord } from '../../core/visit/visitRecord';
import { useWriter } from '../app/writer';
import { useAppend, useInstruments } from '../data/queries';
import { undoing } from '../entries/voiding';
import type { FormPlace } from '../entries/formValues';
import type { MachineView } from '../machine/machineView';
import { layoutOf, mapOf, partNamesOf } from './layout';
import { keepDay, keptDay } from './visitDay';
import type { UnitSystem } from '../words/measures';
import { smallUnit } from '../gas/gasDraft';

export interface Visit {
  visitId: string;
  step: Step;
  view: MachineView;
  record: VisitRecord;
  leaks: readonly LeakStory[];
  map: CircuitMap;
  layout: LayoutName;
  partNames: ReadonlyMap<string, string>;
  units: UnitSystem;
  /** Pa absolute at the site */
  atmosphere: number;
  place: FormPlace;
  /** the day that entries are written for: today, unless paper is typed in */
  day: Day;
  setDay: (day: Day) => void;
  /** an entry of this visit, to be written with `write` */
  draft: (kind: EntryKind, fields: Record<string, unknown>) => Entry | null;
  /** writes, and offers to undo; resolves to whether it was taken */
  write: (entries: readonly Entry[], words: string) => Promise<boolean>;
  writing: boolean;
  error: Error | null;
}

const Context = createContext<Visit | null>(null);

export function useVisit(): Visit {
  const visit = useContext(Context);
  if (!visit) throw new Error('useVisit needs <VisitProvider> around it.');
  return visit;
}

export function VisitProvider({
  visitId,
  step,
  view,
  children,
}: {
  visitId: string;
  step: Step;
  view: MachineView;
  children: ReactNode;
}) {
  const { person } = useWriter();
  const append = useAppend();
  const instruments = useInstruments().data;
  const { machine, standing, system, today } = view;
  const [day, setDayState] = useState(() => keptDay(visitId, today));
  const atmosphere = useMemo(() => {
    const air = atmosphereAt(machine.site.altitudeM ?? 0);
    return air.ok ? air.value : 101_325;
  }, [machine.site.altitudeM]);
  const facts = useMemo(() => {
    const { entries } = standing.history;
    const layout = layoutOf(view);
    const map = mapOf(view, layout);
    return {
      record: visitRecord(entries, visitId),
      leaks: leakStories(entries, standing.leaks),
      layout,
      map,
      partNames: partNamesOf(map),
    };
  }, [standing, view, visitId]);
  const setDay = (next: Day) => {
    keepDay(visitId, next);
    setDayState(next);
  };
  const by = person?.id ?? null;
  const draft = (kind: EntryKind, fields: Record<string, unknown>): Entry | null =>
    by === null
      ? null
      : ({
          id: uuidv7(),
          kind,
          on: dayText(day),
          at: new Date().toISOString(),
          by,
          visitId,
          applianceId: machine.appliance.id,
          ...fields,
        } as Entry);
  const { mutateAsync } = append;
  const known = machine.entries;
  const write = useCallback(
    async (entries: readonly Entry[], words: string): Promise<boolean> => {
      try {
        await mutateAsync(entries);
      } catch {
        // The error stands in the form that was written, with what was typed.
        return false;
      }
      toast.success(words, {
        action: {
          label: 'Undo',
          onClick: () =>
            void mutateAsync(entries.toReversed().map((entry) => undoing(entry, known))).catch(
              () => undefined,
            ),
        },
      });
      return true;
    },
    [mutateAsync, known],
  );
  const units: UnitSystem = system === 'kilograms' ? 'metric' : 'us';
  const visit: Visit = {
    visitId,
    step,
    view,
    ...facts,
    units,
    atmosphere,
    place: {
      mass: smallUnit(machine) ?? bareUnit(system),
      system: units,
      atmosphere,
      instruments: instruments ?? [],
    },
    day,
    setDay,
    draft,
    write,
    writing: append.isPending,
    error: append.error,
  };
  return <Context value={visit}>{children}</Context>;
}
