/** A server of one company. */
import { DailyBackups } from '../backups/daily';
import { systemClock } from '../clock';
import type { Logger } from '../log';
import { type Settings, refusalToListen } from '../settings';
import { openCompany } from './company';
import { type Serving, originOf } from './serving';

export async function serveOne(settings: Settings, log: Logger): Promise<Serving> {
  const { url, address } = settings;
  const backups = settings.backups && new DailyBackups(url, settings.backups, systemClock(settings.today));
  const company = await openCompany(
    {
      ...{ url, address, backups, log },
      links: address ?? originOf(settings, settings.host, settings.port),
      hosts: settings.names,
      copy: settings.copy,
    },
    settings,
  );
  return {
    handler: company.handler,
    refusal: async () => refusalToListen(settings, await company.accounts.whoComesIn()),
    firstToken: () => company.accounts.joining.firstToken(),
    turn: company.turn,
    backUp: async () => {
      await backups?.turn();
    },
    close: async () => {
      await backups?.close();
      await company.close();
    },
  };
}
