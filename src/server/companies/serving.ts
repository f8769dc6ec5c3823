/** What a server serves, whether one company or several. */
import type { RequestListener } from 'node:http';
import type { Settings } from '../settings';

export interface Serving {
  handler: RequestListener;
  /** why it may not listen; null: it may */
  refusal: () => Promise<string | null>;
  /** token of the first manager's link; null: somebody came in already, or each company has its own */
  firstToken: () => Promise<string | null>;
  /** what is to be done as time goes by */
  turn: () => Promise<void>;
  backUp: () => Promise<void>;
  close: () => Promise<void>;
}

export const originOf = ({ tls }: Pick<Settings, 'tls'>, host: string, port: number): string =>
  `${tls ? 'https' : 'http'}://${host}:${String(port)}`;
