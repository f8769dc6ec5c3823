/** Words for machines as lists have them: kinds, categories, detection, how a charge is known, yes and no. */
import type { FullChargeMethod } from '../core/logbook/entry';
import type { Category, Detection } from '../core/logbook/fields';
import type { PURPOSES } from '../core/logbook/tables';
import { type ApplianceKind } from '../core/logbook/tables';
import {
  CATEGORY_WORDS,
  DETECTION_WORDS,
  FULL_CHARGE_WORDS,
  KIND_WORDS,
  PURPOSE_WORDS,
} from '../words/codes';
import { codePhrases, meaningsOf, namedIn, saidBy } from './phrases';

const KINDS = meaningsOf<ApplianceKind>([
  ...codePhrases(KIND_WORDS),
  [
    'reach in|reach in cooler|reach in freezer|reach in refrigerator|cabinet|display case|display cabinet|merchandiser|under counter|undercounter|under counter cooler|prep table|kühlschrank|kühlregal|kühltheke|gefrierschrank|kühlmöbel',
    'reachIn',
  ],
  [
    'rack|parallel rack|rack system|refrigeration rack|compressor rack|parallel system|central plant|verbund|verbundanlage|zentralanlage',
    'rack',
  ],
  ['condensing unit|verflüssigungssatz|verflüssigersatz', 'condensingUnit'],
  ['chiller|water chiller|process chiller|kaltwassersatz|flüssigkeitskühler', 'chiller'],
  ['milk tank|bulk milk tank|milchtank|milchkühltank', 'milkTank'],
  ['ice machine|ice maker|ice plant|eismaschine|eiswürfelbereiter', 'iceMachine'],
  [
    'walk in|walk in cooler|walk in freezer|walk in box|cold room|coldroom|cold store|cool room|freezer room|cooler|freezer|kühlraum|kühlzelle|tiefkühlraum|tiefkühlzelle|gefrierraum|tk zelle|tk raum',
    'walkIn',
  ],
]);

export const kindSaid = (text: string): ApplianceKind | null => saidBy(KINDS, text);
/** What a machine's name says by whole words; a kind decides no rule. */
export const kindInName = (text: string): ApplianceKind | null => namedIn(KINDS, text);

const CATEGORIES = meaningsOf<Category>([
  ...codePhrases(CATEGORY_WORDS),
  [
    'commercial|commercial refrigeration|refrigeration commercial|retail|retail food|retail refrigeration|supermarket|supermarket refrigeration|food retail|cold storage|food storage|gewerbe|gewerbekälte|gewerbliche kälte|gewerbliche kühlung|normalkühlung',
    'commercialRefrigeration',
  ],
  [
    'industrial|process|industrial process|industrial process refrigeration|process refrigeration|process cooling|ipr|food processing|food processing industrial|industrie|industriekälte|prozesskälte|industrielle prozesskälte',
    'industrialProcess',
  ],
  [
    'comfort|comfort cooling|air conditioning|commercial air conditioning|residential air conditioning|ac|a c|hvac|air con|comfort cooling air conditioning|klima|klimaanlage|klimatisierung|komfortklima|raumklima',
    'comfortCooling',
  ],
  ['other|sonstige|sonstiges|andere', 'other'],
]);
/** “Food processing (industrial)”: what stands in brackets belongs to it. */
export const categorySaid = (text: string): Category | null => saidBy(CATEGORIES, text);

/** The category that a kind of machine always has where nobody says one. */
export const usualCategory = (kind: ApplianceKind): Category | null =>
  kind === 'chiller' || kind === 'other' ? null : 'commercialRefrigeration';

const DETECTIONS = meaningsOf<Detection>([
  ...codePhrases(DETECTION_WORDS),
  [
    'no|n|none|not installed|not fitted|no detection|no detector|nein|nicht vorhanden|nicht installiert|ohne',
    'none',
  ],
  ['part|partly|partial|on part|part of it|in part|machine room only|teilweise|teil', 'part'],
  ['whole|full|all|entire|complete|whole machine|all of it|on all of it|vollständig|ganz|gesamt', 'whole'],
]);
export const detectionSaid = (text: string): Detection | null => saidBy(DETECTIONS, text);

const METHODS = meaningsOf<FullChargeMethod>([
  ...codePhrases(FULL_CHARGE_WORDS),
  [
    'maker|maker s figure|manufacturer|manufacturer s figure|manufacturer s data|nameplate|name plate|data plate|from nameplate|factory|factory charge|hersteller|herstellerangabe|typenschild',
    'maker',
  ],
  ['calculated|calculation|by calculation|computed|berechnet|berechnung', 'calculated'],
  ['weighed|weighed in|weighed out|measured|by weight|gewogen|eingewogen', 'weighed'],
]);
/** A range has two ends, which one cell of a list does not hold. */
export const methodSaid = (text: string): Exclude<FullChargeMethod, 'range'> | null => {
  const method = saidBy(METHODS, text);
  return method === 'range' ? null : method;
};

const PURPOSE_MEANINGS = meaningsOf<(typeof PURPOSES)[number]>([
  ...codePhrases(PURPOSE_WORDS),
  ['virgin|new|new gas|supply|neu|neuware|frischware', 'virgin'],
  ['recovery|recovered|recovered gas|used|recycling|recyclingflasche|rückgewinnung', 'recovery'],
  ['mixed|mixed gas|waste|contaminated|gemischt|altware', 'mixed'],
]);
export const purposeSaid = (text: string): (typeof PURPOSES)[number] | null => saidBy(PURPOSE_MEANINGS, text);

const FLAGS = meaningsOf<boolean>([
  ['yes|y|true|1|x|ja|j|wahr|complete|all', true],
  ['no|n|false|0|nein|falsch', false],
]);
export const flagSaid = (text: string): boolean | null => saidBy(FLAGS, text);
