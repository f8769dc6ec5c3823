/** Tables of the logbook as a file, made in a thread. */
import type { ExportScope, OutTable } from '../../contract/exports';
import { threadOf } from '../apart';

export interface TableTask {
  url: string;
  scope: ExportScope;
  tables: readonly OutTable[];
  format: 'csv' | 'xlsx';
  fixedToday: string | null;
}

const WORK = new URL('./threadWork.ts', import.meta.url);

export function tablesFile(task: TableTask): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const worker = threadOf(WORK, task);
    worker.once('message', (bytes: Uint8Array) => resolve(Buffer.from(bytes)));
    worker.once('error', reject);
    worker.once('exit', (code) => {
      if (code !== 0)
        reject(new Error(`The tables could not be made: the thread ended with ${String(code)}.`));
    });
  });
}
