/** Opens the database of a data folder for a command line; a folder without one is said to be none. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { systemClock } from '../server/clock';
import { type Services, openServices } from '../server/services';
import { DATABASE } from '../server/dataFolder';
import { fail } from './exit';

export async function openData(folder: string): Promise<Services> {
  const path = join(folder, DATABASE);
  if (!existsSync(path)) fail(`${folder} holds no ${DATABASE}; name the data folder with --data.`);
  return openServices(`file:${path}`, systemClock(process.env['ABACUS_TODAY']));
}
