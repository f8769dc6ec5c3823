/** The strip of steps: at the left of a wide screen, behind one button on a phone. Every step is free to skip and to return to. */
import { useState } from 'react';
import { Link } from 'react-router';
import clsx from 'clsx';
import { STEPS, type Step } from '../../core/visit/steps';
import { stepsRecorded } from '../../record/whereItStands';
import { Dialog } from '../parts/Dialog';
import { STEP_WORDS } from '../../words/steps';
import { visitAddress } from '../data/addresses/visitAddress';
import { useVisit } from './visitContext';

function Mark({ state }: { state: 'here' | 'recorded' | 'open' }) {
  return (
    <svg viewBox="0 0 20 20" className="relative size-5 shrink-0" aria-hidden="true">
      <ellipse
        cx="10"
        cy="10"
        rx="6"
        ry="8.5"
        strokeWidth="1.6"
        className={clsx(
          state === 'here'
            ? 'fill-ink stroke-ink'
            : state === 'recorded'
              ? 'fill-green stroke-green'
              : 'fill-paper stroke-soft',
        )}
      />
      {state === 'recorded' && (
        <path d="M7 10.2l2.2 2.6L13 7.4" fill="none" strokeWidth="1.8" className="stroke-on-green" />
      )}
    </svg>
  );
}

function Steps({ onChosen }: { onChosen?: () => void }) {
  const { visitId, view, record, step: here } = useVisit();
  const done = stepsRecorded(record.entries);
  return (
    <ol>
      {STEPS.map((step: Step) => {
        const recorded = done.has(step);
        return (
          <li key={step}>
            <Link
              to={visitAddress(visitId, view.machine.appliance.id, step)}
              aria-current={step === here ? 'step' : undefined}
              onClick={() => onChosen?.()}
              className={clsx(
                'flex min-h-11 items-center gap-3 pr-2 no-underline',
                step === here ? 'font-bold text-ink' : 'text-soft',
              )}
            >
              <Mark state={step === here ? 'here' : recorded ? 'recorded' : 'open'} />
              {STEP_WORDS[step].title}
              {recorded && <span className="sr-only">, recorded</span>}
            </Link>
          </li>
        );
      })}
    </ol>
  );
}

/** On a wide screen. */
export function Strip() {
  return (
    <nav aria-label="Steps" className="no-print relative hidden lg:block">
      <span aria-hidden="true" className="absolute bottom-5 left-[9px] top-5 -z-0 w-px bg-line" />
      <div className="relative">
        <Steps />
      </div>
    </nav>
  );
}

/** On a phone: the steps as beads on a rod, and all of them by name behind it. */
export function StepButton() {
  const { step, record } = useVisit();
  const [open, setOpen] = useState(false);
  const done = stepsRecorded(record.entries);
  return (
    <>
      <button
        type="button"
        className="no-print relative flex h-11 w-full cursor-pointer items-center justify-between lg:hidden"
        onClick={() => setOpen(true)}
        aria-label={`Step ${String(STEPS.indexOf(step) + 1)} of ${String(STEPS.length)}: ${STEP_WORDS[step].title}. All steps`}
      >
        <span aria-hidden="true" className="absolute inset-x-2 top-1/2 h-px bg-soft" />
        {STEPS.map((each) => (
          <Mark key={each} state={each === step ? 'here' : done.has(each) ? 'recorded' : 'open'} />
        ))}
      </button>
      {open && (
        <Dialog title="Steps" onClose={() => setOpen(false)}>
          <Steps onChosen={() => setOpen(false)} />
        </Dialog>
      )}
    </>
  );
}
