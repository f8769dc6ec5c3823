/** Routes and what they all stand in. */
import { type ReactNode, Suspense, lazy } from 'react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { CasePage } from '../cases/CasePage';
import { DuePage } from '../due/DuePage';
import { BeforePage } from '../machine/BeforePage';
import { MachinePage } from '../machine/MachinePage';
import { RecordPage } from '../machine/RecordPage';
import { MachinesPage } from '../machines/MachinesPage';
import { VisitsPage } from '../visit/VisitsPage';
import { GasPage } from '../bottles/GasPage';
import { ChangesPage } from '../company/ChangesPage';
import { CompanyPage } from '../company/CompanyPage';
import { RulesPage } from '../rules/RulesPage';
import { SitePage } from '../site/SitePage';
import { NotFound } from './NotFound';
import { Shell } from './Shell';
import { WriterProvider } from './writer';

const VisitPage = lazy(() => import('../visit/VisitPage'));
const BenchRoute = lazy(() => import('../bench/BenchRoute'));
/** A place that is fetched when it is first opened. */
const Later = ({ children }: { children: ReactNode }) => (
  <Suspense fallback={<div aria-busy="true" className="min-h-screen" />}>{children}</Suspense>
);
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
              <Route
                path="visits/:visitId/:machineId/:step?"
                element={
                  <Later>
                    <VisitPage />
                  </Later>
                }
              />
              <Route path="rules" element={<RulesPage />} />
              <Route
                path="bench/*"
                element={
                  <Later>
                    <BenchRoute />
                  </Later>
                }
              />
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
