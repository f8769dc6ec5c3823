/** Which way gas went, and why, by the phrases that lists use. */
import type { AddedReason, RecoveredReason } from '../core/logbook/entry';
import { ADDED_WORDS, RECOVERED_WORDS } from '../words/codes';
import { codePhrases, meaningsOf, saidBy } from './phrases';

export type Direction = 'refrigerantAdded' | 'refrigerantRecovered';

export const DIRECTION_WORDS: Readonly<Record<Direction, string>> = {
  refrigerantAdded: 'added',
  refrigerantRecovered: 'recovered',
};

const ADDED_PHRASES: readonly (readonly [string, AddedReason])[] = [
  [
    'top off|topoff|topped off|topping off|top up|topup|topped up|topping up|leak top off|top off leak|low charge|low on gas|low on charge|short of gas|undercharged|low refrigerant|low level|leak|leaking|leaked|leakage|refrigerant leak|gas leak|nachgefüllt|nachfüllung|ergänzt|kältemittelmangel|leck|leckage|undicht|undichtigkeit',
    'topOff',
  ],
  [
    'recharge|recharged|recharge after repair|recharge after a repair|recharged after repair|recharged after a repair|charge after repair|charged after repair|charged after a repair|charge after a repair|refill after repair|refilled after repair|after repair|after a repair|after the repair|after leak repair|recharge after leak repair|put back|put back after repair|returned after repair|nach reparatur|nach der reparatur|wiederbefüllt|wiederbefüllung|neubefüllung nach reparatur',
    'recharge',
  ],
  [
    'seasonal|season|seasonal charge|seasonal put back|put back for the season|winter charge|summer charge|winter|summer|saisonal|winterfüllung|sommerfüllung',
    'seasonal',
  ],
  [
    'commission|commissioning|commissioned|initial charge|initial fill|first charge|first fill|start up|startup|new machine|new system|new installation|new install|charged at installation|erstbefüllung|erstfüllung|inbetriebnahme|neuanlage',
    'commission',
  ],
  [
    'retrofit|retrofitted|conversion|converted|after conversion|after a conversion|after retrofit|refrigerant change|change of refrigerant|umrüstung|umgerüstet|umstellung',
    'retrofit',
  ],
  [
    'moved|moved here|moved from another machine|moved here from another machine|transferred in|transfer in|moved in',
    'moved',
  ],
];

const RECOVERED_PHRASES: readonly (readonly [string, RecoveredReason])[] = [
  [
    'repair|for repair|for a repair|for the repair|recovered for repair|recovered for a repair|leak repair|for leak repair|to repair|before repair|leak|leaking|leakage|service|for service|for maintenance|leck|leckage|undichtigkeit|reparatur|für reparatur|zur reparatur|vor reparatur|wartung',
    'repair',
  ],
  [
    'seasonal|season|seasonal taken out|taken out for the season|winter|summer|seasonal charge|saisonal',
    'seasonal',
  ],
  [
    'retrofit|conversion|for conversion|for a conversion|for retrofit|refrigerant change|umrüstung|umstellung',
    'retrofit',
  ],
  [
    'retire|retired|retirement|for retirement|scrap|scrapped|disposal|disposed|decommission|decommissioned|decommissioning|end of life|stilllegung|stillgelegt|verschrottung|außerbetriebnahme',
    'retire',
  ],
  ['moved|moved away|moved to another machine|transferred out|transfer out|moved out', 'moved'],
];

export const ADDED_MEANINGS = meaningsOf([...codePhrases(ADDED_WORDS), ...ADDED_PHRASES]);
export const RECOVERED_MEANINGS = meaningsOf([...codePhrases(RECOVERED_WORDS), ...RECOVERED_PHRASES]);

const DIRECTIONS = meaningsOf<Direction>([
  [
    'refrigerantAdded|added|add|addition|adding|additions|charge|charged|charging|in|put in|fill|filled|gas added|refrigerant added|gas in|into machine|to machine|to system|zugang|eingefüllt|gefüllt|befüllt|zugefüllt|zugegeben|füllung|befüllung|hinzugefügt|einfüllung|füllen|add gas',
    'refrigerantAdded',
  ],
  [
    'refrigerantRecovered|recovered|recover|recovery|recovering|removed|remove|removal|out|taken out|take out|gas recovered|refrigerant recovered|gas out|reclaim|reclaimed|withdrawn|withdrawal|from machine|from system|abgang|entnommen|entnahme|abgesaugt|absaugung|rückgewonnen|rückgewinnung|ausgebaut|entfernt',
    'refrigerantRecovered',
  ],
]);

const added = new Set(ADDED_MEANINGS.keys());
const recovered = new Set(RECOVERED_MEANINGS.keys());
/** Phrases that say why, and by that which way: “charged after repair”, “topped up”. */
const BY_REASON = meaningsOf<Direction>([
  ...[...added]
    .filter((phrase) => !recovered.has(phrase))
    .map((phrase) => [phrase, 'refrigerantAdded'] as const),
  ...[...recovered]
    .filter((phrase) => !added.has(phrase))
    .map((phrase) => [phrase, 'refrigerantRecovered'] as const),
]);

/** Which way a word of a list says; null: neither, or not known. */
export const directionSaid = (text: string): Direction | null =>
  saidBy(DIRECTIONS, text) ?? saidBy(BY_REASON, text);

/** Which way the reason says, where it can only be one. */
export const directionOfReason = (text: string): Direction | null => saidBy(BY_REASON, text);

export const addedReasonSaid = (text: string): AddedReason | null => saidBy(ADDED_MEANINGS, text);
export const recoveredReasonSaid = (text: string): RecoveredReason | null => saidBy(RECOVERED_MEANINGS, text);

/** A word of a direction says no reason: “added” as the reason of an addition. */
export const isBareDirection = (text: string): boolean => saidBy(DIRECTIONS, text) !== null;
