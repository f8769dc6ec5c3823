/** Asked before every operation: who calls, whether the role may, whether it is theirs to see, and by whose name they write. */
import type { Request } from 'express';
import { type RepresentativeName, isPublic, mayCall } from '../../contract/access';
import { programMayCall } from '../../contract/programs';
import type { EndpointName } from '../../contract/endpoints';
import { forbidden, notFound, unauthorized } from '../problem';
import type { Services } from '../services';
import type { Caller } from '../caller';
import { OWN } from './ownSites';

export interface Guard {
  /** throws unless the caller may; null: nobody is signed in, and nobody needs to be */
  admit: (
    name: EndpointName,
    asked: { parts: Record<string, string>; query: Record<string, unknown> },
    request: Request,
  ) => Promise<Caller | null>;
}

export const guardOf = (
  services: Services,
  callerOf: (headers: Request['headers']) => Promise<Caller | null>,
): Guard => ({
  admit: async (name, asked, request) => {
    const caller = await callerOf(request.headers);
    if (caller?.program !== undefined && !isPublic(name)) {
      if (!programMayCall(name, caller.program, asked.parts)) throw forbidden(`program: ${caller.program}`);
    } else if (!mayCall(name, caller?.role ?? null)) throw caller ? forbidden(caller.role) : unauthorized();
    // What a program appends is held to its site with the body.
    if (caller && caller.sites !== null && !isPublic(name) && name !== 'append') {
      const test = OWN[name as RepresentativeName] as (typeof OWN)[RepresentativeName] | undefined;
      const own = (await test?.(asked, caller, services)) ?? false;
      // What is not hers is not told from what is not there.
      if (!own) throw notFound('thing among your sites');
    }
    return caller;
  },
});
