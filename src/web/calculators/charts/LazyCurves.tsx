/** The chart and its library come after the figures; its place is kept meanwhile, so that nothing jumps. */
import { type ComponentProps, Suspense, lazy } from 'react';

const Curves = lazy(() => import('./Curves'));

export function LazyCurves(props: ComponentProps<typeof Curves>) {
  return (
    <Suspense fallback={<div aria-busy="true" className="min-h-[26rem]" />}>
      <Curves {...props} />
    </Suspense>
  );
}
