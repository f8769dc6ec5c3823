/** Words for the gaps of a record. */
import type { RecordGap } from '../core/rules/recordGaps';
import { OBLIGATION_WORDS } from './codes';
import { dayWords } from './dates';
import { type Names, leakWords } from './names';

const CONDITION = {
  section: 'section',
  testGas: 'test gas',
  atJoint: 'pressure at the joint',
  method: 'method',
};

export function gapWords(gap: RecordGap, names: Names): string {
  switch (gap.code) {
    case 'noFullCharge':
      return 'No full charge is determined; no leak rate can be given.';
    case 'notWeighed':
      return `Gas was not weighed: ${gap.why}.`;
    case 'noCertificate':
      return `No certificate is on record for ${gap.person}, who handled refrigerant.`;
    case 'certificateExpired':
      return `The certificate of ${gap.person} had ended on ${dayWords(gap.expired)}.`;
    case 'testWithoutConditions':
      return `A test is recorded without its ${gap.missing.map((each) => CONDITION[each]).join(', ')}: weak evidence.`;
    case 'leakWithoutPlace':
      return `A place is not recorded: ${leakWords(names, gap.leakId)}.`;
    case 'inspectionWithoutMethod':
      return 'An inspection is recorded without its methods.';
    case 'overdue':
      return `${OBLIGATION_WORDS[gap.kind]} was due and is not recorded.`;
  }
}
