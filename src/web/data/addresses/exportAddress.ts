/** Where files of the logbook are fetched. */
import { addressOf } from '../../../contract/endpoints';
import type { ExportScope } from '../../../contract/exports';

export const exportAddress = (path: string, scope: ExportScope): string =>
  `/api${addressOf(path, {}, scope)}`;
