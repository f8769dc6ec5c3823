/** Calls to the API by its table of endpoints: answers are checked with the contract, problems become errors that a screen can show. */
import { type ProblemDocument, problemDocument } from '../../../contract/api';
import {
  type AnswerOf,
  type BodyOf,
  type DocumentName,
  ENDPOINTS,
  type EndpointName,
  type PathParts,
  type QueryOf,
  addressOf,
} from '../../../contract/endpoints';

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

async function call<Name extends DocumentName>(
  name: Name,
  address: string,
  init?: RequestInit,
): Promise<AnswerOf<Name>> {
  let response: Response;
  try {
    response = await fetch(`/api${address}`, init);
  } catch (error) {
    if (init?.signal?.aborted) throw error;
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
  const { answer } = ENDPOINTS[name];
  return answer.parse(body) as AnswerOf<Name>;
}

/** What an endpoint is asked: its path's parts, and what stands behind the question mark. */
export interface Asking<Name extends EndpointName> {
  parts?: PathParts<Name>;
  query?: QueryOf<Name>;
}

export const ask = <Name extends DocumentName>(
  name: Name,
  { parts, query }: Asking<Name> = {},
  signal?: AbortSignal,
): Promise<AnswerOf<Name>> =>
  call(
    name,
    addressOf(ENDPOINTS[name].path, parts ?? {}, (query ?? {}) as Record<string, unknown>),
    signal && { signal },
  );

export const tell = <Name extends DocumentName>(
  name: Name,
  body: BodyOf<Name>,
  { parts }: Asking<Name> = {},
): Promise<AnswerOf<Name>> =>
  call(name, addressOf(ENDPOINTS[name].path, parts ?? {}, {}), {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body ?? {}),
  });

/** Sends a file as it is. */
export const send = <Name extends DocumentName>(
  name: Name,
  body: Blob,
  { query }: Asking<Name> = {},
): Promise<AnswerOf<Name>> =>
  call(name, addressOf(ENDPOINTS[name].path, {}, (query ?? {}) as Record<string, unknown>), {
    method: 'POST',
    headers: { 'content-type': body.type || 'application/octet-stream' },
    body,
  });
