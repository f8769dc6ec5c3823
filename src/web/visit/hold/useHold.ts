/** The pressure test that runs in a section: its readings, what they say so far, and how to write the next. */
import { holdTail } from '../../../core/bench/holdTail';
import { type HoldTest, holdTests, resolutionOf, takenOf } from '../../../core/visit/holdTests';
import type { Measured } from '../../../core/visit/stated';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

export interface HoldDraft {
  section: string;
  testGas: string;
  design: string;
  pressure: string;
  unit: string;
  temperature: string;
  temperatureUnit: string;
}

export function useHold(sectionWords: string) {
  const { visitId, view, record, units, newEntry } = useVisit();
  const deed = useVisitWrite('hold reading');
  const { draft, set } = useKeptDraft<HoldDraft>(`${visitId} ${view.machine.appliance.id} hold`, () => ({
    section: '',
    testGas: '',
    design: '',
    pressure: '',
    unit: units === 'us' ? 'psig' : 'bar',
    temperature: '',
    temperatureUnit: units === 'us' ? '°F' : '°C',
  }));
  const running: HoldTest | null = holdTests(record.entries).findLast((test) => !test.ended) ?? null;
  // What runs names its section; else what was typed, else the section around the gauge.
  const section = running?.section ?? (draft.section.trim() || sectionWords);
  const testGas = running?.testGas ?? draft.testGas;
  const tail = running && holdTail(takenOf(running), resolutionOf(running));
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
  return { draft, set, deed, running, section, testGas, tail, keep };
}

export type Hold = ReturnType<typeof useHold>;
