/** The fields of a page, and its answer as soon as those that it needs are typed. */
import type { ReactNode } from 'react';
import { FieldControl } from '../../forms/FieldControl';
import { draftOf } from '../../../record/statedDraft';
import { type BenchInput, needed } from '../form';
import { useBench } from '../setting';
import { Wanted } from './Answer';

export function Fields<Key extends string>({
  form,
  only,
}: {
  form: { inputs: Record<Key, BenchInput> };
  only?: readonly Key[];
}) {
  const { place } = useBench();
  return (only ?? (Object.keys(form.inputs) as Key[])).map((key) => {
    const { field, value, read, set } = form.inputs[key];
    const blank = draftOf(value).text.trim() === '';
    return (
      <FieldControl
        key={key}
        field={field}
        value={value}
        error={'error' in read && !blank ? read.error : undefined}
        place={place}
        values={{}}
        machine={null}
        onChange={set}
      />
    );
  });
}

export function Ready<Key extends string>({
  form,
  keys,
  children,
}: {
  form: Parameters<typeof needed<Key>>[0];
  keys: readonly Key[];
  children: (si: Record<Key, number>) => ReactNode;
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
