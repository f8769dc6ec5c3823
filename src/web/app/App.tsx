/** The app: every screen by its address, and what they all stand in. */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { NotFound } from '../parts/NotFound';
import { SCREENS, pageOf } from './places';
import { Shell } from './Shell';
import { WriterProvider } from '../data/device/writer';

const client = new QueryClient({ defaultOptions: { queries: { staleTime: 30_000, retry: 1 } } });

export function App() {
  return (
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <WriterProvider>
          <Routes>
            <Route element={<Shell />}>
              <Route index element={<Navigate to="/due" replace />} />
              {SCREENS.map((screen) => (
                <Route key={screen.path} path={screen.path} element={pageOf(screen)} />
              ))}
              <Route path="*" element={<NotFound />} />
            </Route>
          </Routes>
        </WriterProvider>
      </BrowserRouter>
    </QueryClientProvider>
  );
}
