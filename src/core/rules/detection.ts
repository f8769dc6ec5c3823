/** Automatic leak detection: to be installed by a day, then checked every year. */
import { type Day, addDays, addMonths, dayOf } from '../quantity/day';
import { type MachineHistory, installedOn } from '../logbook/history';
import { valueOn } from './figure';
import { type InForce, massFigureOn, periodOn } from './inForce';
import type { Obligation, Why } from './obligation';

export function detectionObligations(history: MachineHistory, force: InForce): Obligation[] {
  const { asOf, retiredOn } = history;
  const installed = installedOn(history.appliance);
  if (retiredOn !== null || installed === null) return [];
  const periodInForce = periodOn(force, asOf);
  return periodInForce.covering.flatMap((pack): Obligation[] => {
    const rule = pack.detection;
    if (!rule || periodInForce.fullCharge === null || !rule.categories.includes(periodInForce.category))
      return [];
    if (
      periodInForce.fullCharge < massFigureOn(rule.fullChargeAtLeast, asOf) ||
      installed < dayOf(rule.installedFrom)
    )
      return [];
    const older = installed < dayOf(rule.olderInstalledBefore);
    const days = valueOn(rule.dueAfterInstallation, installed);
    const fitBy: { due: Day; why: Why } = older
      ? { due: dayOf(rule.olderDue), why: { rule: 'detectionFixed', installedOn: installed } }
      : {
          due: addDays(installed, days),
          why: { rule: 'detectionAfterInstallation', installedOn: installed, days },
        };
    const common = { pack, doneOn: null, ended: false, caseOpenedOn: null, source: rule.source };
    if (periodInForce.detection === 'none') return [{ ...common, ...fitBy, kind: 'detection' }];
    const since = history.detectionChecks.at(-1) ?? fitBy.due;
    const months = valueOn(rule.checkEvery, asOf);
    return [
      {
        ...common,
        kind: 'detectionCheck',
        due: addMonths(since, months),
        why: { rule: 'detectionCheck', since, months },
      },
    ];
  });
}
