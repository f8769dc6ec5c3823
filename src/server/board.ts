/** What lists show: machines with their summaries, and what is due. Reads stored standings; folds nothing. */
import type { z } from 'zod';
import type { dueAnswer, machinesAnswer } from '../contract/api';
import type { PackId } from '../core/logbook/fields';
import { massSystemOf } from '../core/rules/massSystem';
import { addDays, dayOf, dayText } from '../core/quantity/day';
import type { Why } from '../core/rules/obligation';
import type { Clock } from './clock';
import type { Store } from './store/store';

/** Duties further off than this wait for another day. */
const HORIZON_DAYS = 400;
const CERTIFICATE_NOTICE_DAYS = 60;

export async function machineRows(store: Store): Promise<z.infer<typeof machinesAnswer>> {
  const sites = new Map((await store.sites()).map((site) => [site.id, site]));
  const summaries = new Map((await store.standings()).map((row) => [row.applianceId, row.summary]));
  return (await store.appliances()).flatMap((appliance) => {
    const summary = summaries.get(appliance.id);
    const site = sites.get(appliance.siteId);
    return summary && site
      ? [
          {
            appliance,
            siteId: site.id,
            siteName: site.name,
            massSystem: massSystemOf(site, summary.chargedUnit),
            summary,
          },
        ]
      : [];
  });
}

export async function dueBoard(store: Store, clock: Clock): Promise<z.infer<typeof dueAnswer>> {
  const machines = new Map((await machineRows(store)).map((row) => [row.appliance.id, row]));
  const sites = new Map((await store.sites()).map((site) => [site.id, site]));
  const farthest = addDays(clock.todayIn('UTC'), HORIZON_DAYS);
  const rows = (await store.dutiesDueBy(dayText(farthest))).flatMap(({ applianceId, duty }) => {
    const machine = machines.get(applianceId);
    const site = machine && sites.get(machine.siteId);
    if (!machine || !site) return [];
    return [
      {
        machineId: applianceId,
        machineName: machine.appliance.name,
        siteId: site.id,
        siteName: site.name,
        pack: duty.pack as PackId,
        kind: duty.kind as string,
        due: duty.due,
        state: duty.state as 'overdue' | 'dueSoon' | 'upcoming',
        caseOpenedOn: duty.caseOpenedOn as string | null,
        why: duty.why as Why,
        cite: duty.cite as string,
        today: dayText(clock.todayIn(site.timezone)),
        massSystem: machine.massSystem,
        summary: machine.summary,
      },
    ];
  });
  const unjudged = [...machines.values()].flatMap(({ appliance, siteId, siteName, massSystem, summary }) =>
    summary.unjudged
      ? [
          {
            machineId: appliance.id,
            machineName: appliance.name,
            siteId,
            siteName,
            massSystem,
            unjudged: summary.unjudged,
          },
        ]
      : [],
  );
  return { rows, unjudged, certificates: await certificatesEnding(store, clock) };
}

async function certificatesEnding(store: Store, clock: Clock) {
  const until = addDays(clock.todayIn('UTC'), CERTIFICATE_NOTICE_DAYS);
  return (await store.people()).flatMap((person) =>
    (person.certificates ?? []).flatMap(({ scheme, expires }) =>
      expires != null && dayOf(expires) <= until
        ? [{ personId: person.id, name: person.name, scheme: scheme ?? '', expires }]
        : [],
    ),
  );
}
