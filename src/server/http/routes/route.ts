/** Registers what answers each endpoint of the contract's table: question and body are read as it says. */
import express, { type Request, type RequestHandler, Router } from 'express';
import type { z } from 'zod';
import { newEntries, newEntry } from '../../../contract/api';
import {
  type AnswerOf,
  type BodyRead,
  type DocumentName,
  ENDPOINTS,
  type Endpoint,
  type Endpoints,
  type EndpointName,
  FILE,
  type PathParts,
  type QueryRead,
} from '../../../contract/endpoints';
import type { PublicName } from '../../../contract/access';
import { problemsOf } from '../../../core/logbook/problems';
import type { Caller } from '../../caller';
import type { Guard } from '../../accounts/guard';
import { PHOTO_BYTES } from '../../files/photos';
import { invalid } from '../../problem';

export interface RequestParts<Name extends EndpointName> {
  caller: Name extends PublicName ? Caller | null : Caller;
  parts: PathParts<Name>;
  query: QueryRead<Name>;
  body: Endpoints[Name]['body'] extends z.ZodType ? BodyRead<Name> : unknown;
}

/** What answers each endpoint that answers with a document. */
export type Handlers = { [Name in DocumentName]: (asked: RequestParts<Name>) => Promise<AnswerOf<Name>> };
/** What answers each endpoint that answers with a file. */
export type FileHandlers = Record<Exclude<EndpointName, DocumentName>, RequestHandler>;

function read(schema: z.ZodType, given: unknown): unknown {
  const parsed = schema.safeParse(given, { reportInput: true });
  if (!parsed.success) throw invalid(problemsOf(parsed.error));
  return parsed.data;
}

function bodyOf(schema: Endpoint['body'], request: Request): unknown {
  const given: unknown = request.body;
  if (schema === null || schema === FILE) return given;
  // One entry may come without a list around it; what is wrong in it is then named without its place in a list.
  if (schema === newEntries && !Array.isArray(given)) return [read(newEntry, given)];
  return read(schema, given);
}

const partsOf = (request: Request): Record<string, string> => request.params as Record<string, string>;

/** `mayWrite` refuses a body whose writer is nobody here, or somebody else than who is signed in. */
export function apiRouter(
  documents: Handlers,
  files: FileHandlers,
  guard: Guard,
  mayWrite: (name: EndpointName, body: unknown, caller: Caller | null) => Promise<void>,
): Router {
  const router = Router();
  for (const [name, endpoint] of Object.entries(ENDPOINTS) as [EndpointName, Endpoint][]) {
    const method = endpoint.method === 'GET' ? 'get' : 'post';
    // Whoever may not call is refused before a large body is taken.
    const first: RequestHandler = async (request, response, next) => {
      const query = request.query;
      response.locals['operation'] = name;
      response.locals['caller'] = await guard.admit(name, { parts: partsOf(request), query }, request);
      next();
    };
    if (endpoint.answer === FILE) {
      router[method](endpoint.path, first, files[name as keyof FileHandlers]);
      continue;
    }
    const file = endpoint.body === FILE ? [express.raw({ type: () => true, limit: PHOTO_BYTES })] : [];
    const answer = documents[name as DocumentName] as (asked: unknown) => Promise<unknown>;
    router[method](endpoint.path, first, ...file, async (request, response) => {
      const caller = response.locals['caller'] as Caller | null;
      const asked = {
        caller,
        parts: request.params,
        query: read(endpoint.query, request.query),
        body: bodyOf(endpoint.body, request),
      };
      if (endpoint.method === 'POST' && endpoint.body !== FILE) await mayWrite(name, asked.body, caller);
      response.status(endpoint.status).json(await answer(asked));
    });
  }
  return router;
}
