/** A server of several companies, each under a name of its own: the name of the host says which. */
import { join } from 'node:path';
import { copyUnder } from '../backups/continuous';
import { DailyBackups } from '../backups/daily';
import { systemClock } from '../clock';
import { hostnameOf } from '../http/hosts';
import type { Logger } from '../log';
import { type Settings, refusalToListen } from '../settings';
import { Away, Companies } from './companies';
import { type Company, openCompany } from './company';
import { createFront } from './front';
import { companiesIn, databaseOf, isCompany } from './names';
import { type Serving, originOf } from './serving';

const TIDY_EVERY_MS = 1000;

/** A name under an address of this server: `https://abacus.example` and `pier` become `https://pier.abacus.example`. */
const under = (origin: string, name: string): string => origin.replace('://', `://${name}.`);

/** Those of a company are known also while it is closed. */
function backupsByName({ companies: folder, backups, today }: Settings & { companies: string }) {
  const made = new Map<string, DailyBackups>();
  const clock = systemClock(today);
  return {
    of: (name: string): DailyBackups | null => {
      if (backups === null) return null;
      const known = made.get(name);
      if (known) return known;
      const into = { ...backups, folder: join(backups.folder, name) };
      const daily = new DailyBackups(`file:${databaseOf(folder, name)}`, into, clock);
      made.set(name, daily);
      return daily;
    },
    close: () => Promise.all([...made.values()].map((each) => each.close())),
  };
}

/** A demo, where whoever reaches it comes in by one touch, is for this computer alone. */
async function unlessDemo(settings: Settings, company: Company): Promise<Company> {
  const who = await company.accounts.whoComesIn();
  const refusal = who === 'demo' ? refusalToListen(settings, who) : null;
  if (refusal === null) return company;
  await company.close();
  throw new Away(refusal);
}

/** `port`: where it listens, known when the first one asks. */
export function serveSeveral(
  settings: Settings & { companies: string },
  log: Logger,
  port: () => number,
): Serving {
  const { companies: folder, address } = settings;
  // Browsers find every name under this one on their own computer.
  const base = () => address ?? originOf(settings, 'localhost', port());
  const domain = address === null ? 'localhost' : new URL(address).hostname;
  const backupsOf = backupsByName(settings);
  const companies = new Companies({
    folder,
    idleMs: settings.idleMs,
    nowMs: () => performance.now(),
    log,
    open: async (name) =>
      unlessDemo(
        settings,
        await openCompany(
          {
            url: `file:${databaseOf(folder, name)}`,
            address: address === null ? null : under(address, name),
            links: under(base(), name),
            hosts: [`${name}.${domain}`],
            backups: backupsOf.of(name),
            copy: settings.copy === null ? null : copyUnder(settings.copy, name),
            log: log.child({ company: name }),
          },
          settings,
        ),
      ),
  });
  const { proxyHops, secure, names } = settings;
  const front = createFront(base, { hosts: [...names, `.${domain}`], proxyHops, secure, log });
  const tidying = setInterval(() => void companies.tidy(), TIDY_EVERY_MS).unref();
  return {
    handler: (request, response) => {
      const hostname = hostnameOf(request.headers.host ?? '');
      const name = hostname.endsWith(`.${domain}`) ? hostname.slice(0, -domain.length - 1) : '';
      if (!isCompany(folder, name)) {
        front.ask(request, response);
        return;
      }
      companies
        .use(
          name,
          ({ handler }) =>
            new Promise<void>((resolve) => {
              response.once('close', resolve);
              handler(request, response);
            }),
        )
        .catch((problem: unknown) => front.refuse(request, response, problem));
    },
    // Whoever comes first to one of them has the link that was made with it.
    refusal: () => Promise.resolve(null),
    firstToken: () => Promise.resolve(null),
    turn: () => companies.turn(),
    backUp: async () => {
      for (const name of companiesIn(folder)) {
        await backupsOf
          .of(name)
          ?.turn()
          .catch((problem: unknown) => log.error({ err: problem, company: name }, 'the daily backup'));
      }
    },
    close: async () => {
      clearInterval(tidying);
      await backupsOf.close();
      await companies.close();
    },
  };
}
