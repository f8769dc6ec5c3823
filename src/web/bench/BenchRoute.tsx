/** The routes of the bench; each page, its chart and its table come only when they are opened. */
import { type ComponentType, Suspense, lazy } from 'react';
import { Route, Routes, useParams } from 'react-router';
import { NotFound } from '../app/NotFound';
import BenchHome from './BenchHome';
import { BenchSettingProvider } from './setting';

const PAGES: Record<string, ComponentType> = {
  saturation: lazy(() => import('./pages/Saturation')),
  superheat: lazy(() => import('./pages/Superheat')),
  targets: lazy(() => import('./pages/Targets')),
  standing: lazy(() => import('./pages/Standing')),
  control: lazy(() => import('./pages/Control')),
  judge: lazy(() => import('./pages/Judge')),
  hold: lazy(() => import('./pages/Hold')),
  evacuation: lazy(() => import('./pages/Evacuation')),
  'pump-down': lazy(() => import('./pages/PumpDown')),
  release: lazy(() => import('./pages/Release')),
  weigh: lazy(() => import('./pages/Weigh')),
  'went-in': lazy(() => import('./pages/WentIn')),
  trim: lazy(() => import('./pages/Trim')),
  winter: lazy(() => import('./pages/Winter')),
  components: lazy(() => import('./pages/Components')),
  cylinder: lazy(() => import('./pages/Cylinder')),
  'leak-size': lazy(() => import('./pages/LeakSize')),
  cost: lazy(() => import('./pages/Cost')),
  forecast: lazy(() => import('./pages/Forecast')),
};

function Chosen() {
  const { slug = '' } = useParams();
  const Chosen = PAGES[slug];
  return Chosen ? (
    <Suspense fallback={<div aria-busy="true" className="min-h-screen" />}>
      <Chosen key={slug} />
    </Suspense>
  ) : (
    <NotFound />
  );
}

export default function BenchRoute() {
  return (
    <BenchSettingProvider>
      <Routes>
        <Route index element={<BenchHome />} />
        <Route path=":slug" element={<Chosen />} />
      </Routes>
    </BenchSettingProvider>
  );
}
