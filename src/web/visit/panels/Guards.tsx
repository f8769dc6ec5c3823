/** What must not be forgotten in this order, and the cautions that belong here. Neither blocks. */
import { type CautionCode, KILLS, cautionsOf } from '../../../core/visit/cautions';
import { guardsOf } from '../../../core/visit/guards';
import { beforeDriving } from '../../../core/visit/beforeDriving';
import { isBlend } from '../../../core/refrigerant/refrigerant';
import { CAUTION_WORDS, guardWords } from '../../../words/steps';
import { Fold } from '../../parts/Fold';
import { useVisit } from '../visitContext';
import { countWords } from '../../../words/counts';

export function Guards() {
  const { step, view, record, leaks, map, units } = useVisit();
  const guards = guardsOf({ step, standing: view.standing, visit: record, leaks, map });
  const killing = useCautions().filter((code) => KILLS.includes(code));
  if (guards.length === 0 && killing.length === 0) return null;
  return (
    <ul className="mb-2" aria-label="Before you go on">
      {killing.map((code) => (
        <li key={code} className="mb-1 border-l-4 border-ink pl-3 leading-snug">
          <span aria-hidden="true">▲ </span>
          {CAUTION_WORDS[code]}
        </li>
      ))}
      {guards.map((guard) => (
        <li
          key={guard.code}
          className={`mb-1 border-l-4 pl-3 leading-snug font-semibold ${guard.code === 'doNotStart' ? 'border-brick text-brick' : 'border-ochre text-ochre'}`}
        >
          <span aria-hidden="true">{guard.code === 'doNotStart' ? '▲ ' : '◐ '}</span>
          {guardWords(guard, units, view.names.leaks)}
        </li>
      ))}
    </ul>
  );
}

function useCautions(): CautionCode[] {
  const { step, view } = useVisit();
  const { standing, machine } = view;
  const { refrigerant, hermetic } = standing.present;
  return cautionsOf(step, {
    refrigerant: refrigerant?.name ?? null,
    kind: machine.appliance.kind,
    roof: beforeDriving(standing).roof,
    hermetic,
    glide: refrigerant === null || isBlend(refrigerant.name),
  });
}

/** What reminds, folded; what can kill stands open above the step. */
export function Cautions() {
  const reminding = useCautions().filter((code) => !KILLS.includes(code));
  if (reminding.length === 0) return null;
  return (
    <Fold title="Take care" about={countWords(reminding.length, 'caution')}>
      <ul className="border-l-4 border-ink pl-3">
        {reminding.map((code) => (
          <li key={code} className="py-0.5">
            {CAUTION_WORDS[code]}
          </li>
        ))}
      </ul>
    </Fold>
  );
}
