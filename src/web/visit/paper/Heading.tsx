/** The heading of the service record: machine, days, gas, rate, and who was there with which certificates. */
import { useWriter } from '../../data/writer';
import { METHOD_WORDS } from '../../../words/codes';
import { dateWords, dayWords } from '../../../words/dates';
import { fullChargeWords } from '../../../words/fullCharge';
import { rateWords } from '../../../words/rod';
import { judgedRate } from '../../../core/rules/judgedRate';
import { methodOn } from '../../../core/rules/inForce';
import { useVisit } from '../visitContext';
import { NOT_RECORDED } from './notRecorded';

export function Heading() {
  const { record, view } = useVisit();
  const { people } = useWriter();
  const { machine, standing, system, today } = view;
  const writers = [...new Set(record.entries.map(({ entry }) => entry.by))];
  const { refrigerant } = standing.present;
  const rate = standing.additions.at(-1);
  return (
    <header className="mb-4">
      <h2 className="text-xl!">Service record</h2>
      <p className="font-semibold">
        {machine.site.name} · {machine.appliance.name}
      </p>
      <p>
        {record.from === null
          ? 'nothing recorded yet'
          : record.from === record.to
            ? dayWords(record.from)
            : `${dayWords(record.from)} to ${dayWords(record.to ?? record.from)}`}{' '}
        · {refrigerant.name}, {refrigerant.safetyClass} · full charge{' '}
        {fullChargeWords(standing.history, system) ?? 'not known'}
      </p>
      <p>
        Leak rate:{' '}
        {rate === undefined
          ? `no addition has counted yet; ${METHOD_WORDS[methodOn(machine.site, today)]}`
          : `at the addition of ${dayWords(rate.gasDay.day)}: ${rateWords(judgedRate(rate, standing.ledger))}`}
      </p>
      {writers.map((id) => {
        const person = people.find((each) => each.id === id);
        const certificates = (person?.certificates ?? []).map(
          (each) =>
            `${each.scheme ?? 'certificate'} ${each.number ?? ''}${each.expires ? `, valid until ${dateWords(each.expires)}` : ''}`,
        );
        return (
          <p key={id}>
            {person?.name ?? id}:{' '}
            {certificates.length > 0 ? certificates.join('; ') : `certificate ${NOT_RECORDED}`}
          </p>
        );
      })}
    </header>
  );
}
