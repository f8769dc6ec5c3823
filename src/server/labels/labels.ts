/** What stands on a label: machine with its code, charge, part, bottle, “do not add gas”. */
import type { QueryRead } from '../../contract/endpoints';
import type { Appliance, Cylinder, Site } from '../../core/logbook/tables';
import { grams, massText } from '../../core/quantity/mass';
import { chargedUnit, massSystemOf } from '../../core/rules/massSystem';
import type { Standing } from '../../core/rules/standing';
import { isFlammable } from '../../core/refrigerant/refrigerant';
import { PACK_WORDS } from '../../words/codes';
import { dateWords, dayWords } from '../../words/dates';
import { massWords } from '../../words/weights';
import { gasName } from '../../words/gas';

export interface Label {
  /** large, at the top */
  title: string;
  lines: readonly string[];
  /** address of its code; null: it has none */
  code: string | null;
  /** stands in a thick frame */
  warning: boolean;
}

export interface LabelledMachine {
  appliance: Appliance;
  site: Site;
  standing: Standing;
}

/** Where a machine opens on a phone. */
export const machineAddress = (base: string, id: string): string =>
  `${base.replace(/\/+$/, '')}/m/${encodeURIComponent(id)}`;

export function machineLabel({ appliance, site }: LabelledMachine, base: string): Label {
  return {
    title: appliance.name,
    lines: [
      site.name,
      appliance.tag ? `tag ${appliance.tag}` : '',
      'Scan: its logbook, and what is due',
    ].filter(Boolean),
    code: machineAddress(base, appliance.id),
    warning: false,
  };
}

export function chargeLabel({ appliance, site, standing }: LabelledMachine, base: string): Label {
  const { refrigerant, fullCharge } = standing.present;
  const system = massSystemOf(site, chargedUnit(standing.history));
  const set = standing.history.fullCharges.at(-1);
  const burns = refrigerant !== null && isFlammable(refrigerant.name);
  return {
    title: `${gasName(refrigerant)}${burns ? ', flammable' : ''}`,
    lines: [
      fullCharge === null ? 'Full charge not known' : `Full charge ${massText(grams(fullCharge), system)}`,
      set ? `determined ${dayWords(set.day)}` : '',
      refrigerant
        ? `GWP ${String(Math.round(refrigerant.gwp))}, safety class ${refrigerant.safetyClass}`
        : '',
      `${appliance.name}, ${site.name}`,
    ].filter(Boolean),
    code: machineAddress(base, appliance.id),
    warning: burns,
  };
}

export function partLabel(
  { appliance, site }: LabelledMachine,
  { part, on, base }: QueryRead<'labels'>,
): Label {
  return {
    title: part?.trim() || 'Part',
    lines: [on ? `fitted ${dateWords(on)}` : 'fitted: ____________', `${appliance.name}, ${site.name}`],
    code: machineAddress(base, appliance.id),
    warning: false,
  };
}

/** Null where no case runs: such a label on a sound machine would be believed. */
export function doNotAddLabel({ appliance, site, standing }: LabelledMachine, base: string): Label | null {
  const open = standing.cases.filter(({ state }) => state !== 'closed' && state !== 'verified');
  const [first] = open;
  if (!first) return null;
  return {
    title: 'Do not add gas: case open',
    lines: [
      `${appliance.name}, ${site.name}`,
      `since ${dayWords(first.case.openedOn)}, ${PACK_WORDS[first.case.pack.id]}`,
      `repair due ${dayWords(first.repairDue)}`,
      'Find the leak first; then scan and write what you do.',
    ],
    code: machineAddress(base, appliance.id),
    warning: true,
  };
}

export function cylinderLabel(cylinder: Cylinder): Label {
  const { serial, refrigerant, purpose, tare, waterCapacityL, retestOn } = cylinder;
  return {
    title: serial,
    lines: [
      `${refrigerant}${purpose ? `, ${purpose}` : ''}${isFlammable(refrigerant) ? ', flammable' : ''}`,
      tare
        ? `tare ${massWords(tare, tare.unit === 'lb' || tare.unit === 'oz' ? 'pounds' : 'kilograms')}`
        : 'tare not known',
      waterCapacityL == null ? 'water capacity not known' : `water capacity ${String(waterCapacityL)} L`,
      retestOn ? `retest ${dateWords(retestOn)}` : '',
    ].filter(Boolean),
    code: null,
    warning: isFlammable(refrigerant),
  };
}
