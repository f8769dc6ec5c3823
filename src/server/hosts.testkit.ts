/** Requests to one of several companies: over loopback, with the name of its host. */
import { Agent, request } from 'node:http';

export interface Answer {
  status: number;
  text: string;
  cookie: string;
}

const agent = new Agent({ keepAlive: true, maxSockets: 8 });

/** status 0: there was no answer */
export const askHost = (
  port: number,
  host: string,
  path: string,
  {
    cookie,
    body,
    headers = {},
    method = body === undefined ? 'GET' : 'POST',
  }: { cookie?: string; body?: unknown; headers?: Record<string, string>; method?: string } = {},
): Promise<Answer> =>
  new Promise((resolve) => {
    const text = body === undefined ? '' : JSON.stringify(body);
    request(
      {
        ...{ host: '127.0.0.1', port, path: `/api${path}`, method, agent },
        headers: {
          host,
          ...headers,
          ...(cookie !== undefined && { cookie }),
          ...(text !== '' && {
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(text),
          }),
        },
      },
      (response) => {
        let said = '';
        response.on('data', (part: Buffer) => (said += part.toString()));
        response.on('error', () => resolve({ status: 0, text: '', cookie: '' }));
        response.on('end', () =>
          resolve({
            status: response.statusCode ?? 0,
            text: said,
            cookie: (response.headers['set-cookie'] ?? []).map((each) => each.split(';')[0]).join('; '),
          }),
        );
      },
    )
      .once('error', () => resolve({ status: 0, text: '', cookie: '' }))
      .end(text);
  });

/** The session of the first manager of a company, who came in by the link that `token` is the end of. */
export async function firstManager(
  port: number,
  host: string,
  token: string,
  name = 'First Manager',
): Promise<string> {
  const known = { email: 'first@pier.example', password: 'four plain words here' };
  await askHost(port, host, '/accounts', { body: { token, ...known, name } });
  return (await askHost(port, host, '/auth/sign-in/email', { body: known })).cookie;
}
