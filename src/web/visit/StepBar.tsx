/** The bar at the thumb: the step's one main action, and the steps before and after it. Steps are free. */
import { type ReactNode, createContext, useContext, useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useNavigate } from 'react-router';
import { STEPS } from '../../core/visit/steps';
import { STEP_WORDS } from '../../words/steps';
import { listAnd } from '../../words/list';
import { sayWrong } from '../data/device/messages';
import { typedIn, typedWords } from '../data/device/typed';
import { visitAddress } from '../data/addresses/visitAddress';
import { ButtonLink } from '../parts/Button';
import { useVisit } from './visitContext';

const Bar = createContext<HTMLElement | null>(null);

/** What a step puts at the thumb; it stands in the bar, wherever the step says it. */
export function MainAction({ children }: { children: ReactNode }) {
  const bar = useContext(Bar);
  return bar && createPortal(children, bar);
}

/** A save with what it was refused for: in the bar at the thumb, or where it is said. */
export const SaveHere = ({ atThumb, children }: { atThumb: boolean; children: ReactNode }) =>
  atThumb ? (
    <MainAction>
      <div className="flex flex-col [&>button]:flex-1">{children}</div>
    </MainAction>
  ) : (
    children
  );

/** A step and its bar. */
export function WithStepBar({ children }: { children: ReactNode }) {
  const { step, visitId, view } = useVisit();
  const [bar, setBar] = useState<HTMLElement | null>(null);
  const index = STEPS.indexOf(step);
  const before = STEPS[index - 1];
  const next = STEPS[index + 1];
  const machineId = view.machine.appliance.id;
  const navigate = useNavigate();
  const left = useRef(step);
  useEffect(() => {
    const from = left.current;
    left.current = step;
    const typed = from === step ? [] : typedIn(visitId).filter((each) => each.step === from);
    const [first] = typed;
    if (first)
      sayWrong(`Typed and not saved at “${STEP_WORDS[from].title}”: ${listAnd(typed.map(typedWords))}.`, {
        label: 'Go back',
        onClick: () => void navigate(visitAddress(visitId, first.machineId, from)),
      });
  }, [step, visitId, navigate]);
  return (
    <Bar value={bar}>
      {children}
      <nav
        aria-label="Step before and step after"
        data-bar="step"
        className="no-print rule-t sticky bottom-[4.1rem] z-20 -mx-4 mt-2 flex items-stretch gap-2 bg-paper px-4 py-2 sm:mx-0 sm:px-0 lg:bottom-0"
      >
        {before && (
          <ButtonLink
            weight="quiet"
            className="size-14 shrink-0 px-0!"
            aria-label={`Back to ${STEP_WORDS[before].title}`}
            to={visitAddress(visitId, machineId, before)}
          >
            <ArrowLeft aria-hidden="true" size={22} />
          </ButtonLink>
        )}
        <div ref={setBar} className="peer flex min-w-0 flex-1 [&>*]:min-h-14 [&>*]:flex-1" />
        {next && (
          <ButtonLink
            className="min-h-14 min-w-0 max-w-36 shrink-0 px-3 leading-tight peer-empty:max-w-none peer-empty:flex-1 peer-empty:bg-green peer-empty:text-on-green"
            to={visitAddress(visitId, machineId, next)}
          >
            <span className="min-w-0">{STEP_WORDS[next].title}</span>
            <ArrowRight aria-hidden="true" size={18} className="shrink-0" />
          </ButtonLink>
        )}
      </nav>
    </Bar>
  );
}
