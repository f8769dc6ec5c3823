/** One company, opened: its logbook and accounts, what is sent and copied for it, and the app that answers for it. */
import type { RequestListener } from 'node:http';
import { join } from 'node:path';
import { type Accounts, openAccounts } from '../accounts/accounts';
import { ContinuousCopy } from '../backups/continuous';
import type { DailyBackups } from '../backups/daily';
import { systemClock } from '../clock';
import { createApp } from '../http/app';
import type { Logger } from '../log';
import { Sending } from '../notices/sending';
import { Delivering } from '../programs/delivering';
import { openServices } from '../services';
import type { Settings } from '../settings';
import { PATIENCE } from '../store/database';

/** Where a company stands, and how it is reached. */
export interface CompanyPlace {
  /** of its logbook */
  url: string;
  /** how others reach it; null: nobody said */
  address: string | null;
  /** where links lead, on this computer too */
  links: string;
  /** names under which it answers beside those of this machine */
  hosts: readonly string[];
  /** null: none are made */
  backups: DailyBackups | null;
  /** where its continuous copy goes; null: nowhere */
  copy: string | null;
  log: Logger;
}

export interface Company {
  handler: RequestListener;
  accounts: Accounts;
  /** what is to be done as time goes by; never twice at once */
  turn: () => Promise<void>;
  /** nothing runs that a close would cut off */
  rests: () => boolean;
  /** after what runs, and after what was written is copied */
  close: () => Promise<void>;
}

/** The settings that all companies of a server share. */
export type Shared = Pick<
  Settings,
  'today' | 'patienceMs' | 'secure' | 'proxyHops' | 'mail' | 'loopback' | 'address'
>;

export async function openCompany(place: CompanyPlace, settings: Shared): Promise<Company> {
  const { url, address, links, hosts, backups, log } = place;
  const services = await openServices(url, systemClock(settings.today), {
    ...PATIENCE,
    totalMs: settings.patienceMs,
  });
  const nearby = settings.address === null && settings.loopback;
  const { accounts, close: closeAccounts } = await openAccounts(url, services, {
    secure: settings.secure,
    links: { base: links, onlyHere: address === null },
    nearby,
    sends: settings.mail !== null,
  });
  const delivering = new Delivering(accounts.webhooks, services.clock.nowMs, nearby);
  const copy = place.copy === null ? null : new ContinuousCopy(url.slice('file:'.length), place.copy, log);
  copy?.start();
  const sending = settings.mail && new Sending(accounts.notices.outbox, settings.mail);
  const handler = createApp(services, accounts, {
    webFolder: join(process.cwd(), 'dist'),
    hosts,
    address,
    proxyHops: settings.proxyHops,
    secure: settings.secure,
    backups,
    copy,
    log,
  });
  return {
    handler: (request, response) => void handler(request, response),
    accounts,
    turn: async () => {
      await services.keeper.turning.turnOver();
      await accounts.notices.turn();
      await Promise.all([sending?.turn(), delivering.turn()]);
      copy?.turn();
    },
    rests: () => !services.importing.runs(),
    close: async () => {
      await Promise.all([sending?.close(), delivering.close()]);
      await services.close();
      closeAccounts();
      // Last: what was written until the end is copied too.
      await copy?.close();
    },
  };
}
