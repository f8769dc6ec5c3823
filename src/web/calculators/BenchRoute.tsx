/** The routes of the bench. */
import { Route, Routes, useParams } from 'react-router';
import { NotFound } from '../parts/NotFound';
import BenchHome from './BenchHome';
import { BenchSettingProvider } from './setting';
import { CalculatorPage } from './CalculatorPage';
import { isCalculator } from '../../record/calculators';

function Chosen() {
  const { slug = '' } = useParams();
  return isCalculator(slug) ? <CalculatorPage name={slug} /> : <NotFound />;
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
