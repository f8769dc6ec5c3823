/** What other programs may call by their token: one table, asked beside that of the roles. */
import { mayCall } from './access';
import { ENDPOINTS, type EndpointName } from './endpoints';
import type { Scope } from './scopes';

/** Beside reading: a store's monitoring writes down what it saw, under its own name. */
export const ALARM_KINDS = ['detectionAlarm', 'readings'] as const;
const GAS_TABLES = ['gas', 'bottles'];
const GAS_CALLS: readonly EndpointName[] = [
  'machines',
  'sites',
  'cylinders',
  'bottles',
  'company',
  'tableFile',
];
const ALARM_CALLS: readonly EndpointName[] = ['append', 'machines', 'sites'];
/** Who may come in, and the mail of people, are no program's business. */
const NO_PROGRAM: readonly EndpointName[] = ['notices', 'session'];

/** Whether a program of this scope may call an operation; `parts`: of its path. */
export function programMayCall(
  name: EndpointName,
  scope: Scope,
  parts: Readonly<Record<string, string>>,
): boolean {
  switch (scope) {
    case 'alarms':
      return ALARM_CALLS.includes(name);
    case 'gas':
      return GAS_CALLS.includes(name) && (name !== 'tableFile' || GAS_TABLES.includes(parts['table'] ?? ''));
    case 'reads':
      return ENDPOINTS[name].method === 'GET' && !NO_PROGRAM.includes(name) && mayCall(name, 'auditor');
  }
}
