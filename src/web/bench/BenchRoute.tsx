/** The routes of the bench. */
import { Suspense } from 'react';
import { Route, Routes, useParams } from 'react-router';
import { NotFound } from '../parts/NotFound';
import BenchHome from './BenchHome';
import { BenchSettingProvider } from '../calculators/setting';
import { TOOLS } from '../calculators/tools';

function Chosen() {
  const { slug = '' } = useParams();
  const Chosen = TOOLS[slug];
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
