/** The machines used last on this device, the latest first. */
const KEY = 'abacus.recentMachines';
const KEPT = 5;

export const recentIds = (): string[] => (localStorage.getItem(KEY) ?? '').split(' ').filter(Boolean);

export function rememberMachine(id: string): void {
  localStorage.setItem(KEY, [id, ...recentIds().filter((each) => each !== id)].slice(0, KEPT).join(' '));
}
