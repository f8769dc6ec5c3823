/** Above the step: what must not be forgotten in this order, and the cautions that belong here. Neither blocks. */
import { cautionsOf } from '../../../core/visit/cautions';
import { guardsOf } from '../../../core/visit/guards';
import { beforeDriving } from '../../../core/visit/beforeDriving';
import { isBlend } from '../../../core/refrigerant/refrigerant';
import { CAUTION_WORDS, guardWords } from '../../../words/steps';
import { useVisit } from '../visitContext';

export function Guards() {
  const { step, view, record, leaks, units } = useVisit();
  const { standing, machine } = view;
  const guards = guardsOf({ step, standing, visit: record, leaks });
  const { refrigerant, hermetic } = standing.present;
  const cautions = cautionsOf(step, {
    refrigerant: refrigerant.name,
    kind: machine.appliance.kind,
    roof: beforeDriving(standing).roof,
    hermetic,
    glide: isBlend(refrigerant.name),
  });
  return (
    <>
      {guards.length > 0 && (
        <ul className="mb-3" aria-label="Before you go on">
          {guards.map((guard) => (
            <li
              key={guard.code}
              className={`mb-1 border-l-4 pl-3 font-semibold ${guard.code === 'doNotStart' ? 'border-brick text-brick' : 'border-ochre text-ochre'}`}
            >
              <span aria-hidden="true">{guard.code === 'doNotStart' ? '▲ ' : '◐ '}</span>
              {guardWords(guard, units, view.names.leaks)}
            </li>
          ))}
        </ul>
      )}
      {cautions.length > 0 && (
        <details className="mb-4" open={cautions.length < 3}>
          <summary className="flex min-h-11 cursor-pointer items-center gap-2 font-semibold">
            <span aria-hidden="true">▲</span> Take care
            <span className="font-normal text-soft">({cautions.length})</span>
          </summary>
          <ul className="border-l-4 border-ink pl-3">
            {cautions.map((code) => (
              <li key={code} className="py-0.5">
                {CAUTION_WORDS[code]}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
