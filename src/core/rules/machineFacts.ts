/** What the sense check of an entry asks of its machine, read off its record without the entry that it replaces. */
import { type MachineHistory, foldHistory, isReadByLaw } from '../logbook/history';
import type { Entry } from '../logbook/entry';
import { supersededIds } from '../logbook/order';
import type { MachineFacts } from '../logbook/sense';
import type { Appliance, Site } from '../logbook/tables';
import { type Day, dayOf } from '../quantity/day';
import { foldGas } from './gasDays';
import { type InForce, inForce, periodOn } from './inForce';
import type { Packs } from './packs/shipped';
import type { Standing } from './standing';

function factsOf(entry: Entry, history: MachineHistory, force: InForce): MachineFacts {
  const periodInForce = periodOn(force, dayOf(entry.on));
  return {
    history,
    refrigerant: periodInForce.refrigerant?.name ?? null,
    fullCharge: periodInForce.fullCharge,
    repairBalance: () => foldGas(history.gas).balances.repair,
  };
}

export const machineFacts = (entry: Entry, { history, force }: Standing): MachineFacts =>
  factsOf(entry, history, force);

/** The record of a machine while entries are checked one after the other: each finds those before it written already. */
export class GrowingRecord {
  private readonly entries: Entry[];
  private superseded: ReadonlySet<string>;
  /** null: to be folded anew */
  private folded: { history: MachineHistory; force: InForce } | null = null;

  /** `bearing`: entries of the machine, and those elsewhere that correct or rival them; `asOf`: today at the site. */
  constructor(
    private readonly machine: { appliance: Appliance; site: Site },
    bearing: readonly Entry[],
    private readonly asOf: Day,
    private readonly packs: Packs,
  ) {
    this.entries = [...bearing];
    this.superseded = supersededIds(this.entries);
  }

  isSuperseded = (id: string): boolean => this.superseded.has(id);

  /** The facts that an entry is held against. */
  factsFor(entry: Entry): MachineFacts {
    const { supersedes } = entry;
    const { history, force } = this.fold();
    const replaced =
      supersedes == null ? undefined : history.entries.find(({ entry: each }) => each.id === supersedes);
    if (!replaced) return factsOf(entry, history, force);
    if (!isReadByLaw(replaced.entry.kind) || isGas(replaced.entry))
      return factsOf(
        entry,
        { ...history, gas: history.gas.filter((each) => each.entry.id !== supersedes) },
        force,
      );
    const without = this.foldOf(this.entries.filter(({ id }) => id !== supersedes));
    return factsOf(entry, without.history, without.force);
  }

  /** Goes on as if the entry were written. */
  take(entry: Entry): void {
    this.entries.push(entry);
    if (entry.supersedes != null) this.superseded = supersededIds(this.entries);
    if (isReadByLaw(entry.kind) || entry.supersedes != null) this.folded = null;
  }

  private fold(): { history: MachineHistory; force: InForce } {
    this.folded ??= this.foldOf(this.entries);
    return this.folded;
  }

  private foldOf(entries: readonly Entry[]): { history: MachineHistory; force: InForce } {
    const { appliance, site } = this.machine;
    const own = entries.filter(({ applianceId }) => applianceId === appliance.id);
    const history = foldHistory(appliance, own, this.asOf, this.superseded);
    return { history, force: inForce(history, site, this.packs) };
  }
}

const isGas = ({ kind }: Entry): boolean => kind === 'refrigerantAdded' || kind === 'refrigerantRecovered';
