/** Answers that are no documents: photos, and the whole logbook as a file, written as it is read. */
import { resolve } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { z } from 'zod';
import { OUT_TABLES, exportQuery } from '../../../contract/exports';
import { labelsQuery } from '../../../contract/labels';
import { problemsOf } from '../../../core/logbook/problems';
import { tablesFile } from '../../exports/thread';
import { zipOf } from '../../exports/write';
import { exportText } from '../../exports/logbooks';
import { invalid, notFound } from '../../problem';
import type { Services } from '../../services';
import type { FileHandlers } from './route';

const A_YEAR = '365d';

function asked<Schema extends z.ZodType>(schema: Schema, query: unknown): z.infer<Schema> {
  const read = schema.safeParse(query, { reportInput: true });
  if (!read.success) throw invalid(problemsOf(read.error));
  return read.data;
}

export const fileHandlers = ({
  photos,
  database,
  clock,
  issuing,
  calendars,
  labels,
}: Services): FileHandlers => ({
  paperFile: async (request, response, next) => {
    const file = await issuing.fileOf(String(request.params['id']));
    if (file === null) throw notFound('document');
    response.attachment(file.name).sendFile(resolve(file.path), (error) => {
      if (error) next(error);
    });
  },
  photo: (request, response, next) => {
    const path = photos.pathOf(String(request.params['file']));
    if (path === null) throw notFound('photo');
    response.sendFile(resolve(path), { maxAge: A_YEAR, immutable: true }, (error) => {
      if (error) next(error);
    });
  },
  calendar: async (request, response) => {
    const [, token] = /^([\w-]+)\.ics$/.exec(String(request.params['file'])) ?? [];
    const text = token === undefined ? null : await calendars.textOf(token);
    if (text === null) throw notFound('calendar');
    response.type('text/calendar').send(text);
  },
  labels: async (request, response) => {
    const pdf = await labels.pdf(asked(labelsQuery, request.query));
    response.attachment('labels.pdf').type('pdf').send(pdf);
  },
  logbook: async (request, response) => {
    const scope = asked(exportQuery, request.query);
    response.attachment('green-abacus-logbook.json').type('json');
    await database.snapshot((db) => pipeline(Readable.from(exportText(db, clock, scope)), response));
  },
  logbookZip: async (request, response) => {
    const scope = asked(exportQuery, request.query);
    response.attachment('green-abacus-logbook.zip').type('zip');
    await database.snapshot((db) => pipeline(zipOf(db, clock, scope, photos.folder), response));
  },
  workbook: async (request, response) => {
    const scope = asked(exportQuery, request.query);
    const bytes = await tablesFile({
      url: database.url,
      scope,
      tables: OUT_TABLES,
      format: 'xlsx',
      fixedToday: clock.fixedToday,
    });
    response.attachment('green-abacus.xlsx').type('xlsx').send(bytes);
  },
  tableFile: async (request, response) => {
    const table = OUT_TABLES.find((each) => each === request.params['table']);
    if (!table) throw notFound('table');
    const scope = asked(exportQuery, request.query);
    const bytes = await tablesFile({
      url: database.url,
      scope,
      tables: [table],
      format: 'csv',
      fixedToday: clock.fixedToday,
    });
    response.attachment(`green-abacus-${table}.csv`).type('csv').send(bytes);
  },
});
