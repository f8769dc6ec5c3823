/** The rail of places: at the left on a wide screen, at the bottom on a phone. */
import { Suspense, lazy, useState } from 'react';
import { PenLine } from 'lucide-react';
import { NavLink, Outlet, useLocation } from 'react-router';
import clsx from 'clsx';
import { useWriteDialog } from '../data/addresses/writeDialog';
import { useLogDialog } from '../data/addresses/logDialog';
import { useFetchedAhead } from './ahead';
import { RAIL, mayOpen } from './places';
import { MessageLine } from './MessageLine';
import { Mishap } from './Mishap';
import { Settings } from './Settings';
import { useIdleEnd } from './useIdleEnd';
import { useShortcuts } from './shortcuts';
import { useMay } from '../data/api/session';
import { useWriter } from '../data/device/writer';
import { WaitingStrip } from '../forms/WaitingDeeds';

const LogGas = lazy(() => import('../forms/gas/LogGas'));
const WriteDialog = lazy(() => import('../forms/WriteDialog'));

/** Beside the places: on a phone they stand in the sheet of the last button. */
const PLACES = RAIL.toSorted((a, b) => Number(a.beside ?? false) - Number(b.beside ?? false));
const FIRST_BESIDE = PLACES.findIndex(({ beside }) => beside);

const item =
  'flex min-h-14 flex-1 cursor-pointer flex-col items-center justify-center gap-1 rounded px-1 py-1.5 text-[0.85rem] lg:flex-none';

export function Shell() {
  const { person } = useWriter();
  const may = useMay();
  const { pathname } = useLocation();
  const [settings, setSettings] = useState(false);
  const log = useLogDialog();
  const write = useWriteDialog();
  useShortcuts();
  useFetchedAhead();
  useIdleEnd();
  return (
    <div className="min-h-screen lg:pl-[5.6rem]">
      <nav
        aria-label="Places"
        className="no-print fixed inset-x-0 bottom-0 z-30 flex gap-1 bg-rail p-1 text-rail-ink lg:inset-y-0 lg:right-auto lg:w-[5.6rem] lg:flex-col lg:p-1.5"
      >
        <img src="/mark.svg" alt="Green Abacus" className="mx-auto my-2 hidden size-12 lg:block" />
        {PLACES.filter(({ to }) => mayOpen(to, may)).map(({ to, words, Icon, beside }, index) => (
          <NavLink
            key={to}
            to={to}
            className={({ isActive }) =>
              clsx(
                item,
                beside && 'max-lg:hidden',
                index === FIRST_BESIDE && 'lg:mt-4',
                isActive && 'bg-paper font-semibold text-ink',
              )
            }
          >
            <Icon aria-hidden="true" size={22} />
            {words}
          </NavLink>
        ))}
        <button
          type="button"
          className={clsx(item, 'lg:mt-auto')}
          onClick={() => setSettings(true)}
          aria-label="Your account, and how it looks"
        >
          <PenLine aria-hidden="true" size={22} />
          <span className="max-w-full truncate">{person?.name.split(' ')[0] ?? '…'}</span>
        </button>
      </nav>
      <WaitingStrip />
      <Mishap key={pathname}>
        <Suspense
          fallback={
            <main aria-busy="true" className="min-h-screen px-7 py-6 text-soft">
              Opening…
            </main>
          }
        >
          <Outlet />
        </Suspense>
        <Suspense>
          {log.open && may('append') && <LogGas />}
          {write.request && may('append') && <WriteDialog />}
        </Suspense>
      </Mishap>
      <MessageLine />
      {settings && <Settings onClose={() => setSettings(false)} />}
    </div>
  );
}
