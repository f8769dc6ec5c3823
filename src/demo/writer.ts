/** Writes a story: rows and entries with ids of their own, dates as offsets from today, one seed for chance. */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { FORMAT, FORMAT_VERSION, type Logbook } from '../core/logbook/logbook';
import type {
  Appliance,
  Company,
  Cylinder,
  Owner,
  Person,
  Revision,
  Site,
  Space,
} from '../core/logbook/tables';
import { type MassUnit, type Mass } from '../core/quantity/mass';
import { type Day, addDays, dayText } from '../core/quantity/day';

const MS_PER_DAY = 86_400_000;
const FIRST_VISIT_HOUR = 12;
/** keeps some three thousand entries within the working day of every site */
const ENTRY_GAP_MS = 5000;

export class StoryWriter {
  company: Company = {};
  readonly owners: Owner[] = [];
  readonly revisions: Revision[] = [];
  readonly sites: Site[] = [];
  readonly spaces: Space[] = [];
  readonly people: Person[] = [];
  readonly appliances: Appliance[] = [];
  readonly cylinders: Cylinder[] = [];
  readonly entries: Entry[] = [];
  private state: number;

  constructor(
    readonly today: Day,
    seed: number,
  ) {
    this.state = seed;
  }

  /** A number in [0, 1) from the seed (mulberry32). */
  chance(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }

  between(low: number, high: number): number {
    return low + this.chance() * (high - low);
  }

  oneOf<Value>(values: readonly Value[]): Value {
    const value = values[Math.floor(this.chance() * values.length)];
    if (value === undefined) throw new Error('Choose from at least one value.');
    return value;
  }

  /** The date so many days from today; negative is past. */
  date(offset: number): string {
    return dayText(addDays(this.today, offset));
  }

  /** An entry `offset` days from today, by a person, on a machine. */
  log(kind: EntryKind, applianceId: string, offset: number, by: string, rest: object = {}): string {
    const number = this.entries.length;
    const on = this.date(offset);
    // Later on the page is later in the day, so that a test never comes before its repair.
    const ms = (this.today + offset) * MS_PER_DAY + FIRST_VISIT_HOUR * 3_600_000 + number * ENTRY_GAP_MS;
    const at = new Date(ms).toISOString();
    const id = idAt(ms, number);
    this.entries.push({ id, kind, on, at, recordedAt: at, by, applianceId, ...rest } as Entry);
    return id;
  }

  logbook(): Logbook {
    const { company, owners, sites, spaces, people, appliances, cylinders, entries, revisions } = this;
    return {
      format: FORMAT,
      version: FORMAT_VERSION,
      company,
      owners,
      sites,
      spaces,
      people,
      appliances,
      cylinders,
      entries,
      revisions,
    };
  }
}

/** A UUID of version 7 for an instant, with a running number where chance would stand. */
function idAt(ms: number, number: number): string {
  const time = ms.toString(16).padStart(12, '0');
  const tail = number.toString(16).padStart(12, '0');
  return `${time.slice(0, 8)}-${time.slice(8)}-7000-8000-${tail}`;
}

export const mass = (value: number, unit: MassUnit): Mass => ({ value: Math.round(value * 100) / 100, unit });
