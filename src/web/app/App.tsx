/** The app: every screen by its address, and what they all stand in. */
import { useState } from 'react';
import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { NotFound } from '../parts/NotFound';
import { Loaded } from '../parts/Page';
import { JoinPage } from './JoinPage';
import { SCREENS, pageOf } from './places';
import { Shell } from './Shell';
import { SignIn } from './SignIn';
import { UnsubscribePage } from './UnsubscribePage';
import { noteEnd, useSession } from '../data/api/session';
import { WriterProvider } from '../data/device/writer';

const onError = (error: unknown) => noteEnd(client, error);
const client: QueryClient = new QueryClient({
  defaultOptions: { queries: { staleTime: 30_000, retry: 1 } },
  queryCache: new QueryCache({ onError }),
  mutationCache: new MutationCache({ onError }),
});

export function App() {
  return (
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <Routes>
          <Route path="welcome" element={<JoinPage />} />
          <Route path="join" element={<JoinPage />} />
          <Route path="unsubscribe" element={<UnsubscribePage />} />
          <Route path="*" element={<Inside />} />
        </Routes>
      </BrowserRouter>
    </QueryClientProvider>
  );
}

/** Nothing of the company is shown before somebody signed in; when a session ends, what stood there stays behind the door. */
function Inside() {
  const session = useSession();
  const [entered, setEntered] = useState(false);
  const signedIn = session.data?.signedIn ?? null;
  if (signedIn !== null && !entered) setEntered(true);
  return (
    <>
      {entered && <Places />}
      {signedIn === null && <Loaded query={session}>{(known) => <SignIn session={known} />}</Loaded>}
    </>
  );
}

const Places = () => (
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
);
