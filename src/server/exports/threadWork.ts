/** Makes tables in a thread of its own: a hundred thousand entries in words hold up nobody. */
import { parentPort, workerData } from 'node:worker_threads';
import { systemClock } from '../clock';
import { PATIENCE, snapshotOf } from '../store/database';
import { outWorksheets } from './tables';
import type { TableTask } from './thread';
import { csvOf, workbookOf } from './write';

const { url, scope, tables, format, fixedToday } = workerData as TableTask;
const clock = systemClock(fixedToday ?? undefined);
const sheets = await snapshotOf(url, PATIENCE, (db) => outWorksheets(db, clock, scope, tables));
const bytes = format === 'csv' ? Buffer.from(sheets.map(csvOf).join('')) : await workbookOf(sheets);
parentPort?.postMessage(new Uint8Array(bytes));
