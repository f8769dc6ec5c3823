/** Accounts: who is signed in, and how people come in. Passwords go to `/api/auth/sign-in/email` alone. */
import { z } from 'zod';
import { filledText, id } from '../core/logbook/fields';
import { ROLES } from './roles';

export const PASSWORD_CHARACTERS = 10;
/** Of one of several companies on a server: the first part of its address, and its folder; nothing of it leads elsewhere. */
export const COMPANY_NAME = /^[a-z0-9](?:-?[a-z0-9]){0,39}$/;

const role = z.enum(ROLES);

export const signedIn = z.object({
  personId: id,
  name: z.string(),
  email: z.string(),
  role,
  /** whose representative; null: of nobody */
  ownerId: id.nullable(),
});
export type SignedIn = z.infer<typeof signedIn>;

export const sessionAnswer = z.object({
  signedIn: signedIn.nullable(),
  /** nobody has an account yet: the first manager comes by the link that the server printed */
  empty: z.boolean(),
  /** people of the demo story, each signed in by one touch; empty: this is no demo */
  demo: z.array(z.object({ personId: id, name: z.string(), role })),
  /** how others reach this server, without a slash at its end; null: nobody said */
  address: z.string().nullable(),
  /** of a server of several companies, where it was asked without the name of one: each has its name under this address */
  companiesAt: z.string().optional(),
});
export type SessionAnswer = z.infer<typeof sessionAnswer>;

export const newInvitation = z
  .object({
    /** of somebody who is on the list of people */
    personId: id,
    role,
    ownerId: id.nullish(),
  })
  .refine(({ role: given, ownerId }) => (given === 'representative') === (ownerId != null), {
    path: ['ownerId'],
    message: 'says whose representative it is; needed for a representative, and only there',
  });

const invitationRow = z.object({
  id,
  personId: id.nullable(),
  role,
  ownerId: id.nullable(),
  /** a new password for somebody who has an account */
  renews: z.boolean(),
  madeAt: z.string(),
  expiresAt: z.string(),
});

/** The token is said once: whoever has it comes in. */
export const madeInvitation = invitationRow.extend({ token: z.string() });

export const invitationQuery = z.object({ token: z.string().min(1) });
/** What the link offers, for whoever holds it. */
export const invitationAnswer = z.object({
  role,
  /** null: whoever comes first gives a name */
  name: z.string().nullable(),
  email: z.string().nullable(),
  renews: z.boolean(),
  /** of a logbook that has people already: the first manager may be one of them */
  people: z.array(z.object({ personId: id, name: z.string() })),
});

export const newAccount = z.object({
  token: z.string().min(1),
  email: z.email({ message: 'is no e-mail address' }).max(200),
  password: z
    .string()
    .min(PASSWORD_CHARACTERS, {
      message: `is too short; at least ${String(PASSWORD_CHARACTERS)} characters`,
    })
    .max(200),
  /** of the first manager, whom the list of people lacks */
  name: filledText.optional(),
  /** of the first manager who is on that list */
  personId: id.optional(),
});
export const begunAccount = z.object({ email: z.string() });

export const accountsAnswer = z.object({
  accounts: z.array(
    signedIn.extend({
      id,
      /** places where it is signed in now, the last used first */
      sessions: z.array(z.object({ device: z.string(), lastUsed: z.string() })),
    }),
  ),
  invitations: z.array(invitationRow),
});
export type Account = z.infer<typeof accountsAnswer>['accounts'][number];

export const newRole = z.object({ role, ownerId: id.nullish() });
export const done = z.object({ done: z.literal(true) });
