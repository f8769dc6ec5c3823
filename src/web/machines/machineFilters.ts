/** Search, filters and order of the machines list, as they stand in its address and as they are asked for. */
import { MACHINE_SORTS, type MachineSort } from '../../contract/machines';
import { APPLIANCE_KINDS } from '../../core/logbook/tables';
import { MACHINE_STATES } from '../../core/rules/machineState';
import type { MachinesAsked } from '../data/api/queries';

export interface Filters {
  text: string;
  site: string;
  kind: string;
  state: string;
  sort: MachineSort;
  descending: boolean;
}

export const NO_FILTERS: Filters = {
  text: '',
  site: '',
  kind: '',
  state: '',
  sort: 'state',
  descending: false,
};

const known = <Value extends string>(values: readonly Value[], text: string): Value | undefined =>
  values.find((each) => each === text);

export const filtersOf = (address: URLSearchParams): Filters => ({
  text: address.get('q') ?? '',
  site: address.get('site') ?? '',
  kind: address.get('kind') ?? '',
  state: address.get('state') ?? '',
  sort: known(MACHINE_SORTS, address.get('sort') ?? '') ?? NO_FILTERS.sort,
  descending: address.get('down') !== null,
});

/** Only what differs from the plain list. */
export const filteredAddress = ({ text, site, kind, state, sort, descending }: Filters): [string, string][] =>
  Object.entries({
    q: text,
    site,
    kind,
    state,
    sort: sort === NO_FILTERS.sort ? '' : sort,
    down: descending ? '1' : '',
  }).filter(([, value]) => value !== '');

export const askedBy = ({ text, site, kind, state, sort, descending }: Filters): MachinesAsked => ({
  text: text.trim(),
  ...(site === '' ? {} : { site }),
  kind: known(APPLIANCE_KINDS, kind),
  state: known(MACHINE_STATES, state),
  sort,
  descending: descending ? '1' : '0',
});

export const isNarrowed = ({ text, site, kind, state }: Filters): boolean =>
  [text, site, kind, state].some((each) => each.trim() !== '');
