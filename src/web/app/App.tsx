/** Routes and what they all stand in. Every place but the first is fetched when it is opened. */
import { lazy } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { DuePage } from '../due/DuePage';
import { NotFound } from '../parts/NotFound';
import { Shell } from './Shell';
import { WriterProvider } from '../data/writer';

const MachinesPage = lazy(() => import('../machines/MachinesPage'));
const MachinePage = lazy(() => import('../machine/MachinePage'));
const BeforePage = lazy(() => import('../visit/before/BeforePage'));
const RecordPage = lazy(() => import('../machine/RecordPage'));
const CasePage = lazy(() => import('../cases/CasePage'));
const SitePage = lazy(() => import('../site/SitePage'));
const GasPage = lazy(() => import('../bottles/GasPage'));
const CompanyPage = lazy(() => import('../company/CompanyPage'));
const ChangesPage = lazy(() => import('../company/ChangesPage'));
const VisitsPage = lazy(() => import('../visit/VisitsPage'));
const RulesPage = lazy(() => import('../rules/RulesPage'));
const VisitPage = lazy(() => import('../visit/VisitPage'));
const BenchRoute = lazy(() => import('../bench/BenchRoute'));
const client = new QueryClient({ defaultOptions: { queries: { staleTime: 30_000, retry: 1 } } });

export function App() {
  return (
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <WriterProvider>
          <Routes>
            <Route element={<Shell />}>
              <Route index element={<Navigate to="/due" replace />} />
              <Route path="due" element={<DuePage />} />
              <Route path="machines" element={<MachinesPage />} />
              <Route path="machines/:id" element={<MachinePage />} />
              <Route path="machines/:id/before" element={<BeforePage />} />
              <Route path="machines/:id/record" element={<RecordPage />} />
              <Route path="machines/:id/cases/:pack/:openedOn" element={<CasePage />} />
              <Route path="sites/:id" element={<SitePage />} />
              <Route path="gas" element={<GasPage />} />
              <Route path="company" element={<CompanyPage />} />
              <Route path="changes" element={<ChangesPage />} />
              <Route path="visits" element={<VisitsPage />} />
              <Route path="visits/:visitId/:machineId/:step?" element={<VisitPage />} />
              <Route path="rules" element={<RulesPage />} />
              <Route path="bench/*" element={<BenchRoute />} />
              <Route path="*" element={<NotFound />} />
            </Route>
          </Routes>
          <Toaster
            position="bottom-center"
            toastOptions={{ duration: 8000 }}
            // On a phone the one main button stands at the thumb: what was done is said above it.
            mobileOffset={{ bottom: '8.5rem' }}
          />
        </WriterProvider>
      </BrowserRouter>
    </QueryClientProvider>
  );
}
