/** Beside what is due: trips by site, certificates that end, and the machines that are nearest to their limit. */
import { Link } from 'react-router';
import { dayOf } from '../../core/quantity/day';
import { useMachines, useToday, useTripPages } from '../data/api/queries';
import { Section } from '../parts/Page';
import { MoreRows, rowsOf } from '../parts/Pages';
import { RodDrawing } from '../parts/Rod';
import { ObligationMark } from '../parts/StateMark';
import { dayWords, untilWords } from '../../words/dates';
import { rodWords } from '../../words/rod';
import { HERE } from '../data/device/here';

export function Trips({ site, onPick }: { site: string | null; onPick: (id: string) => void }) {
  const trips = useTripPages();
  const rows = rowsOf(trips, (trip) => trip.siteId);
  if (rows.length === 0) return null;
  return (
    <Section title="By trip">
      <ul>
        {rows.map((trip) => (
          <li key={trip.siteId} className="rule-b">
            <button
              type="button"
              aria-pressed={site === trip.siteId}
              className="min-h-12 w-full cursor-pointer py-2 text-left aria-pressed:border-l-4 aria-pressed:border-green aria-pressed:pl-2"
              onClick={() => onPick(trip.siteId)}
            >
              <span className="font-semibold">{trip.siteName}</span>
              <span className="block text-soft">
                {trip.due} within a month{trip.late > 0 && ` · ${String(trip.late)} late`}
              </span>
            </button>
          </li>
        ))}
      </ul>
      <MoreRows pages={trips} words="Show more sites" />
    </Section>
  );
}

interface Certificate {
  personId: string;
  name: string;
  scheme: string;
  expires: string;
}

export function Ending({ certificate }: { certificate: Certificate }) {
  const today = useToday(HERE);
  const expires = dayOf(certificate.expires);
  const late = today !== null && expires < today;
  return (
    <div className="rule-b py-2">
      <p className="font-semibold">{certificate.name}</p>
      <ObligationMark
        state={late ? 'overdue' : 'upcoming'}
        words={today === null ? dayWords(expires) : untilWords(expires, today)}
      />
      <p className="text-soft">
        {certificate.scheme}, {dayWords(expires)}
      </p>
    </div>
  );
}

const CLOSEST_SHOWN = 3;

/** Machines whose allowance is nearly spent; those that exceeded already are in the list. */
export function NextToExceed() {
  const closest = useMachines({ withRoom: '1', sort: 'room', limit: CLOSEST_SHOWN }).data?.rows ?? [];
  if (closest.length === 0) return null;
  return (
    <Section title="Least room today">
      {closest.map(({ appliance, summary, massSystem }) => (
        <div key={appliance.id} className="mb-3">
          <Link
            className="font-semibold underline decoration-line underline-offset-4"
            to={`/machines/${encodeURIComponent(appliance.id)}`}
          >
            {appliance.name}
          </Link>
          <RodDrawing rod={summary.rod} system={massSystem} />
          <p className="text-soft">{rodWords(summary.rod, massSystem)}</p>
        </div>
      ))}
    </Section>
  );
}
