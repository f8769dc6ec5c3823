/** The frame of a calculator: its question, units and altitude, inputs on one side and the answer on the other. */
import type { ReactNode } from 'react';
import { ArrowLeft, RotateCcw } from 'lucide-react';
import { Link } from 'react-router';
import { say } from '../../data/device/messages';
import { Button } from '../../parts/Button';
import { Page } from '../../parts/Page';
import { type CalculatorName, calculatorOf } from '../../../record/calculators';
import type { BenchFields, BenchForm } from '../form';
import { useCalculatorHome } from '../calculatorHome';
import { BenchUnits } from './BenchUnits';

export function BenchPage({
  name,
  form,
  inputs,
  children,
}: {
  name: CalculatorName;
  form?: Form;
  inputs: ReactNode;
  children: ReactNode;
}) {
  const { question, title } = calculatorOf(name);
  const home = useCalculatorHome();
  const body = (
    <>
      <BenchUnits />
      <div
        className={
          home
            ? 'grid gap-x-8 xl:grid-cols-[minmax(0,19rem)_minmax(0,1fr)]'
            : 'grid gap-x-10 lg:grid-cols-[minmax(0,25rem)_minmax(0,1fr)]'
        }
      >
        <section aria-label="What you know">
          {form && <Fresh form={form} />}
          {inputs}
        </section>
        <section aria-label="Answer" id={home ? undefined : 'answer'} className="min-w-0 scroll-mt-4">
          {children}
        </section>
      </div>
    </>
  );
  if (home) return body;
  return (
    <Page
      title={question}
      subtitle={
        <span className="flex flex-wrap items-center gap-x-2">
          <Link
            to="/bench"
            className="inline-flex min-h-11 items-center gap-1 font-semibold text-green underline underline-offset-4"
          >
            <ArrowLeft aria-hidden="true" size={18} /> Bench
          </Link>
          <span>{title}</span>
        </span>
      }
    >
      {body}
    </Page>
  );
}

type Form = Pick<BenchForm<BenchFields>, 'touched' | 'reset' | 'fillExample'>;

/** Begin with an example, or from nothing again. */
function Fresh({ form }: { form: Form }) {
  const home = useCalculatorHome();
  if (!form.touched && home) return null;
  return (
    <div className="mb-3 flex flex-wrap gap-2">
      {!form.touched && <Button onClick={form.fillExample}>Fill in an example</Button>}
      {form.touched && (
        <Button
          weight="quiet"
          className="-ml-4"
          onClick={() => {
            const undo = form.reset();
            say('Cleared.', { action: { label: 'Undo', onClick: undo } });
          }}
        >
          <RotateCcw aria-hidden="true" size={18} /> Start over
        </Button>
      )}
    </div>
  );
}
