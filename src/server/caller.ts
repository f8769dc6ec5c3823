/** Who asks: a person who is signed in, or a program by its token, with the sites that are theirs to see. */
import type { SignedIn } from '../contract/accounts';
import type { Scope } from '../contract/scopes';
import type { Sites } from './store/among';

export interface Caller extends SignedIn {
  /** null: all of the company */
  sites: Sites;
  /** another program, called by its token: held to this scope; left out: a person */
  program?: Scope;
}
