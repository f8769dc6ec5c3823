/** The pressure test that runs in a section: its readings, what they say so far, and how to write the next. */
import { useMemo } from 'react';
import { type PressureTest, pressureTests, judgeTest } from '../../../core/visit/tests/pressureTests';
import type { Measured } from '../../../core/visit/notes/stated';
import { grams } from '../../../core/quantity/mass';
import { useTable } from '../../data/api/useTable';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

export interface PressureTestDraft {
  section: string;
  testGas: string;
  design: string;
  pressure: string;
  unit: string;
  temperature: string;
  temperatureUnit: string;
}

export function usePressureTest(sectionWords: string) {
  const { visitId, view, record, units, atmosphere, newEntry } = useVisit();
  const { refrigerant, fullCharge } = view.standing.present;
  const table = useTable(refrigerant?.name ?? null).data ?? null;
  const deed = useVisitWrite('hold reading');
  const { draft, set } = useKeptDraft<PressureTestDraft>(
    `${visitId} ${view.machine.appliance.id} hold`,
    () => ({
      section: '',
      testGas: '',
      design: '',
      pressure: '',
      unit: units === 'us' ? 'psig' : 'bar',
      temperature: '',
      temperatureUnit: units === 'us' ? '°F' : '°C',
    }),
  );
  const running: PressureTest | null = useMemo(
    () => pressureTests(record.entries).findLast((test) => !test.ended) ?? null,
    [record.entries],
  );
  // What runs names its section; else what was typed, else the section around the gauge.
  const section = running?.section ?? (draft.section.trim() || sectionWords);
  const testGas = running?.testGas ?? draft.testGas;
  // A key that is typed changes nothing of what was read.
  const judged = useMemo(() => {
    const kilograms = fullCharge === null ? null : grams(fullCharge) / 1000;
    const outcome = running && judgeTest(running, { table, fullCharge: kilograms, atmosphere });
    return outcome?.ok ? outcome.value.value : null;
  }, [running, table, fullCharge, atmosphere]);
  const keep = async (pressure: Measured, temperature: Measured | null, design: Measured | null) => {
    const entry = newEntry('pressureHold', {
      tool: 'holdReading',
      test: running?.id ?? null,
      section,
      testGas: testGas || null,
      pressure,
      temperature,
      design: running === null ? design : null,
    });
    const saved = await deed.save([entry], `Reading ${pressure.typed}: in the logbook.`);
    if (saved) set({ ...draft, section: '', pressure: '', temperature: '' });
    return saved;
  };
  return { draft, set, deed, running, section, testGas, judged, keep };
}

export type PressureTestOfVisit = ReturnType<typeof usePressureTest>;
