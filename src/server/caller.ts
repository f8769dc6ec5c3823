/** Who asks: a person who is signed in, with the sites that are theirs to see. */
import type { SignedIn } from '../contract/accounts';
import type { Sites } from './store/among';

export interface Caller extends SignedIn {
  /** null: all of the company */
  sites: Sites;
}
