/** Says, where certified work is written down, that whoever does it has no valid certificate on record for that day. */
import { parseDay } from '../../core/quantity/day';
import { certifiedOn } from '../../core/rules/certified';
import { uncertifiedWords } from '../../words/certificates';
import { useWriter } from '../data/device/writer';
import { Caution } from '../parts/Caution';

/** `day`: of the work, as it is typed. */
export function Uncertified({ day }: { day: string }) {
  const { person } = useWriter();
  const on = parseDay(day);
  const words = person && on !== null ? uncertifiedWords(person.name, on, certifiedOn(person, on)) : null;
  return words && <Caution>{words}</Caution>;
}
