/** The fields of a page, and its answer as soon as those that it needs are typed. */
import type { ReactNode } from 'react';
import { type BenchForm, needed } from '../form';
import { Wanted } from './Answer';
import { MeasureInput } from './MeasureInput';

export function Fields<M extends string>({
  form,
  only,
}: {
  form: Pick<BenchForm<M, never>, 'fields'>;
  only?: readonly M[];
}) {
  const keys = only ?? (Object.keys(form.fields) as M[]);
  return keys.map((key) => <MeasureInput key={key} field={form.fields[key]} />);
}

export function Ready<M extends string, K extends M>({
  form,
  keys,
  children,
}: {
  form: Pick<BenchForm<M, never>, 'fields' | 'si'>;
  keys: readonly K[];
  children: (si: Record<K, number>) => ReactNode;
}) {
  const ready = needed(form, keys);
  return ready.ready ? children(ready.si) : <Wanted wanted={ready.wanted} />;
}

/** Fields that have a good start and are seldom changed: folded away, so that the answer stays near. */
export function More({ words, children }: { words: string; children: ReactNode }) {
  return (
    <details className="mb-4">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-green underline underline-offset-4">
        {words}
      </summary>
      {children}
    </details>
  );
}
