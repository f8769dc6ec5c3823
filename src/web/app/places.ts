/**
 * Every screen that has an address: its path, how it is fetched, and where it stands in the rail, if it does. A new screen is
 * its page and a line here; routes, rail, keys and what is fetched ahead read this table.
 */
import { type ComponentType, createElement, lazy } from 'react';
import {
  Building2,
  Calculator,
  CalendarClock,
  ClipboardList,
  Cylinder,
  FileText,
  type LucideIcon,
  Scale,
  Snowflake,
} from 'lucide-react';
import type { EndpointName } from '../../contract/endpoints';
import { DuePage } from '../due/DuePage';

interface RailPlace {
  to: string;
  words: string;
  Icon: LucideIcon;
  /** the key that goes there */
  key?: string;
  /** on a phone it stands in the sheet of the last button */
  beside?: true;
}

interface Screen {
  path: string;
  Page: ComponentType;
  /** fetched when the device is idle, for signal may be gone when it is wanted */
  ahead?: () => Promise<unknown>;
  rail?: Omit<RailPlace, 'to'>;
}

type Load = () => Promise<{ default: ComponentType }>;

/** Fetched when it is opened. */
const screen = (path: string, load: Load, rail?: Screen['rail']): Screen => ({
  path,
  Page: lazy(load),
  ...(rail ? { rail } : {}),
});
const soon = (path: string, load: Load, rail?: Screen['rail']): Screen => ({
  ...screen(path, load, rail),
  ahead: load,
});

export const SCREENS: readonly Screen[] = [
  // The first screen comes with the app.
  { path: 'due', Page: DuePage, rail: { words: 'Due', Icon: CalendarClock, key: 'd' } },
  soon('machines', () => import('../machines/MachinesPage'), {
    words: 'Machines',
    Icon: Snowflake,
    key: 'm',
  }),
  soon('machines/:id', () => import('../machine/MachinePage')),
  screen('machines/:id/before', () => import('../visit/before/BeforePage')),
  screen('machines/:id/record', () => import('../machine/RecordPage')),
  screen('machines/:id/cases/:pack/:openedOn', () => import('../cases/CasePage')),
  screen('m/:id', () => import('../machine/ScannedPage')),
  screen('sites/:id', () => import('../site/SitePage')),
  soon('visits', () => import('../visit/VisitsPage'), { words: 'Visit', Icon: ClipboardList, key: 'v' }),
  soon('visits/:visitId/:machineId/:step?', () => import('../visit/VisitPage')),
  screen('gas', () => import('../cylinders/GasPage'), { words: 'Gas', Icon: Cylinder }),
  screen('bench/*', () => import('../calculators/BenchRoute'), {
    words: 'Bench',
    Icon: Calculator,
    key: 'b',
  }),
  screen('papers', () => import('../papers/PapersPage'), {
    words: 'Papers',
    Icon: FileText,
    key: 'p',
    beside: true,
  }),
  screen('papers/issue', () => import('../papers/IssuePage')),
  screen('papers/export', () => import('../papers/ExportPage')),
  screen('papers/calendars', () => import('../papers/CalendarsPage')),
  screen('papers/labels', () => import('../papers/LabelsPage')),
  screen('papers/import', () => import('../papers/ImportPage')),
  screen('rules', () => import('../rules/RulesPage'), {
    words: 'Rules',
    Icon: Scale,
    key: 'r',
    beside: true,
  }),
  screen('company', () => import('../company/CompanyPage'), {
    words: 'Company',
    Icon: Building2,
    key: 'c',
    beside: true,
  }),
  screen('company/programs', () => import('../company/ProgramsPage')),
  screen('company/mail', () => import('../company/OutboxPage')),
  screen('changes', () => import('../company/ChangesPage')),
];

/** Places that are made of what is not open to everybody, by the endpoint that they read. */
const READS: Readonly<Partial<Record<string, EndpointName>>> = {
  '/gas': 'bottles',
  '/papers': 'verify',
  '/company': 'instruments',
  '/changes': 'changes',
};
export const mayOpen = (to: string, may: (name: EndpointName) => boolean): boolean => {
  const reads = READS[to];
  return reads === undefined || may(reads);
};

/** Those of the rail, in its order. */
export const RAIL: readonly RailPlace[] = SCREENS.flatMap(({ path, rail }) =>
  rail ? [{ ...rail, to: `/${path.replace(/\/\*$/, '')}` }] : [],
);

export const pageOf = ({ Page }: Screen) => createElement(Page);
