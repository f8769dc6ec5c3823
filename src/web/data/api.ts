/** Calls to the API: answers are checked with the contract, problems become errors that a screen can show. */
import type { z } from 'zod';
import { type ProblemDocument, problemDocument } from '../../contract/api';

export class ApiProblem extends Error {
  constructor(readonly document: ProblemDocument) {
    super(document.title);
  }
}

const OFFLINE: ProblemDocument = {
  type: 'about:blank',
  title: 'No answer from the server. What you typed is still here; try again when there is signal.',
  status: 0,
};

async function call<Schema extends z.ZodType>(
  schema: Schema,
  path: string,
  init?: RequestInit,
): Promise<z.infer<Schema>> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new ApiProblem(OFFLINE);
  }
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    const problem = problemDocument.safeParse(body);
    throw new ApiProblem(
      problem.success
        ? problem.data
        : { ...OFFLINE, title: 'The server answered with an error. Try again.', status: response.status },
    );
  }
  return schema.parse(body);
}

export const get = <Schema extends z.ZodType>(schema: Schema, path: string) => call(schema, path);

export const post = <Schema extends z.ZodType>(schema: Schema, path: string, body: unknown) =>
  call(schema, path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Sends a file as it is. */
export const send = <Schema extends z.ZodType>(schema: Schema, path: string, body: Blob) =>
  call(schema, path, {
    method: 'POST',
    headers: { 'content-type': body.type || 'application/octet-stream' },
    body,
  });
