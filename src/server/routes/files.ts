/** Answers that are no documents: photos, and the whole logbook as a file, written as it is read. */
import { resolve } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { exportText } from '../logbooks';
import { notFound } from '../problem';
import type { Services } from '../services';
import type { FileHandlers } from './route';

const A_YEAR = '365d';

export const fileHandlers = ({ photos, database }: Services): FileHandlers => ({
  photo: (request, response, next) => {
    const path = photos.pathOf(String(request.params['file']));
    if (path === null) throw notFound('photo');
    response.sendFile(resolve(path), { maxAge: A_YEAR, immutable: true }, (error) => {
      if (error) next(error);
    });
  },
  logbook: async (_request, response) => {
    response.attachment('green-abacus-logbook.json').type('json');
    await database.snapshot((db) => pipeline(Readable.from(exportText(db)), response));
  },
});
