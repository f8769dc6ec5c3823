/** What every step of a visit stands on: the machine, what this visit and all before it recorded, and how to write. */
import { type ReactNode, createContext, useContext, useMemo, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import type { Entry, EntryKind } from '../../core/logbook/entry';
import { type Day, dayText } from '../../core/quantity/day';
import { mapOfDrawing } from '../../core/circuit/drawing';
import type { CircuitMap } from '../../core/circuit/map';
import type { Piping } from '../../core/logbook/piping';
import { type LeakStory, leakStories } from '../../core/visit/leaks/leakStory';
import type { Step } from '../../core/visit/steps';
import {
  type ReadingTaken,
  latestReadings,
  readingSeries,
  readingsNow,
} from '../../core/visit/readings/series';
import { type ReadingsSoFar, type VisitRecord, visitRecord } from '../../core/visit/visitRecord';
import { useWriter } from '../data/device/writer';
import { useInstruments } from '../data/api/queries';
import { type FormPlace, placeOf } from '../../record/place';
import type { MachineView } from '../data/api/machineView';
import { drawingOfMachine } from '../../record/circuitOf';
import { UnitsKept, useKeptUnits } from '../data/device/keptUnits';
import { keepDay, visitDay } from '../data/device/visitDay';
import type { UnitSystem } from '../../words/measures';

export interface Visit {
  visitId: string;
  step: Step;
  view: MachineView;
  record: VisitRecord;
  leaks: readonly LeakStory[];
  /** every reading of the visit, the latest of each, and what still speaks */
  readings: { series: readonly ReadingTaken[]; latest: ReadingsSoFar; now: ReadingsSoFar };
  /** with its history, and as it stands today */
  drawing: Piping;
  map: CircuitMap;
  units: UnitSystem;
  /** Pa absolute at the site */
  atmosphere: number;
  place: FormPlace;
  /** the day that entries are written for: today, unless paper is typed in */
  day: Day;
  setDay: (day: Day) => void;
  /** an entry of this visit, for `useVisitWrite`; null while nobody said who writes */
  newEntry: (kind: EntryKind, fields: Record<string, unknown>) => Entry | null;
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
  const { units, keep } = useKeptUnits(visitId);
  const instruments = useInstruments().data;
  const { machine, standing, today } = view;
  const [day, setDayState] = useState(() =>
    visitDay(visitId, today, visitRecord(standing.history.entries, visitId).entries),
  );
  const place = useMemo(
    () => placeOf(view.bareUnit, machine.site, view.names.leaks),
    [view.bareUnit, machine.site, view.names.leaks],
  );
  const facts = useMemo(() => {
    const { entries } = standing.history;
    const drawing = drawingOfMachine(view);
    const record = visitRecord(entries, visitId);
    return {
      record,
      readings: {
        series: readingSeries(record.entries),
        latest: latestReadings(record.entries),
        now: readingsNow(record.entries),
      },
      leaks: leakStories(entries, standing.leaks, view.names.leaks),
      drawing,
      map: mapOfDrawing(drawing, standing.history.asOf),
    };
  }, [standing, view, visitId]);
  const setDay = (next: Day) => {
    keepDay(visitId, next, today);
    setDayState(next);
  };
  const by = person?.id ?? null;
  const newEntry = (kind: EntryKind, fields: Record<string, unknown>): Entry | null =>
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
  const visit: Visit = {
    visitId,
    step,
    view,
    ...facts,
    units: place.system,
    atmosphere: place.atmosphere,
    place: { ...place, instruments: instruments ?? [], units },
    day,
    setDay,
    newEntry,
  };
  return (
    <Context value={visit}>
      <UnitsKept value={keep}>{children}</UnitsKept>
    </Context>
  );
}
