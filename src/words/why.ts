/** Why something is due, in one sentence with the figures put in. */
import type { Why } from '../core/rules/obligation';
import { dayWords, daysWords, monthsWords } from './dates';

export function whyWords(why: Why): string {
  switch (why.rule) {
    case 'repairWindow':
      return `Case opened ${dayWords(why.openedOn)}; ${daysWords(why.days)} to repair${why.shutdown ? ', with a shutdown' : ''}`;
    case 'partsExtension':
      return why.deliveredOn === null
        ? `Parts on order; at most ${daysWords(why.capDays)} from ${dayWords(why.openedOn)}`
        : `Parts came ${dayWords(why.deliveredOn)}; ${daysWords(why.afterDelivery ?? 0)} from then, at most ${daysWords(why.capDays)} from ${dayWords(why.openedOn)}`;
    case 'otherExtension':
      return `Extended until ${dayWords(why.until)}; case opened ${dayWords(why.openedOn)}`;
    case 'followUpDays':
      return `${daysWords(why.days)} from ${why.fromNormalOperation ? 'normal operation' : 'the first test that passed'} on ${dayWords(why.start)}`;
    case 'followUpMonths':
      return `Within ${monthsWords(why.months)} of the repair on ${dayWords(why.repairedOn)}, after a day of running`;
    case 'planAfterRepairDue':
      return `Repair fell due untested on ${dayWords(why.repairDue)}; ${daysWords(why.days)} for a plan`;
    case 'planAfterExceedance':
      return `Exceeded again on ${dayWords(why.exceededOn)} after a verified repair; ${daysWords(why.days)} for a plan`;
    case 'planAfterOpening':
      return `${daysWords(why.days)} from the detection on ${dayWords(why.openedOn)}`;
    case 'planDone':
      return `Plan filed ${dayWords(why.filedOn)}; ${monthsWords(why.months)} to carry it out`;
    case 'series':
      return `Number ${String(why.number)} after the repair verified ${dayWords(why.verifiedOn)}; every ${monthsWords(why.everyMonths)}`;
    case 'always':
      return {
        inspection: `Every ${monthsWords(why.everyMonths)}; last one ${dayWords(why.since)}`,
        installed: `Every ${monthsWords(why.everyMonths)}; none recorded since installation ${dayWords(why.since)}`,
        packFrom: `Every ${monthsWords(why.everyMonths)}; none recorded since the rule began ${dayWords(why.since)}`,
        recordFrom: `Every ${monthsWords(why.everyMonths)}; none recorded since this record began ${dayWords(why.since)}`,
      }[why.basis];
    case 'atAddition':
      return `A large addition on ${dayWords(why.addedOn)} asks for an inspection that day`;
    case 'chronic':
      return `${String(why.percent)} % of the full charge reached on ${dayWords(why.reachedOn)}; report for ${String(why.year)}`;
    case 'detectionFixed':
      return `Large machine installed ${dayWords(why.installedOn)}; detection by a fixed day`;
    case 'detectionAfterInstallation':
      return `Installed ${dayWords(why.installedOn)}; ${daysWords(why.days)} to fit detection`;
    case 'detectionCheck':
      return `Every ${monthsWords(why.months)} from ${dayWords(why.since)}`;
  }
}
