/** What can be brought in from a spreadsheet: tables, their fields by the names of the format, and how lists head them. */
import { looseKey } from './cells';
import { remembered } from './remembered';

export const SHEET_TABLES = ['sites', 'people', 'appliances', 'cylinders', 'gas', 'inspections'] as const;
export type WorksheetTable = (typeof SHEET_TABLES)[number];

export interface WorksheetField {
  field: string;
  /** said on the screen */
  words: string;
  /** without it no row can be understood */
  needed?: true;
  /** how lists head it, in the order of likelihood */
  headings: readonly string[];
}

/** `headings`: with a bar between, the likeliest first. */
const of = (field: string, words: string, headings: string, needed = false): WorksheetField => ({
  field,
  words,
  ...(needed ? { needed: true } : {}),
  headings: headings.split('|'),
});

const by = (words: string): WorksheetField =>
  of(
    'by',
    words,
    'technician|tech|by|engineer|mechanic|done by|person|serviced by|inspector|logged by|worker|name of technician|techniker|monteur|ausgefuhrt von|bearbeiter|prufer|mitarbeiter',
  );
const note: WorksheetField = of(
  'note',
  'Note',
  'note|notes|remark|remarks|comment|comments|description|bemerkung|bemerkungen|notiz|notizen|anmerkung|anmerkungen',
);
const on: WorksheetField = of(
  'on',
  'Day',
  'date|day|on|service date|date of service|date added|when|visit date|work date|inspection date|date of inspection|datum|tag|prufdatum|servicedatum|datum der prufung',
  true,
);
const machine: WorksheetField = of(
  'applianceId',
  'Machine',
  'machine|appliance|unit|system|equipment|asset|machine name|unit name|system name|equipment name|appliance name|anlage|maschine|gerat|anlagenname|kalteanlage|anlagenbezeichnung|bezeichnung|circuit|applianceid',
  true,
);
const site: WorksheetField = of(
  'siteId',
  'Site',
  'site|store|location|building|facility|site name|customer|premises|shop|branch|siteid|store name|standort|filiale|markt|betrieb|objekt|niederlassung|liegenschaft|kunde',
);
const refrigerant: WorksheetField = of(
  'refrigerant',
  'Refrigerant',
  'refrigerant|gas|refrigerant type|gas type|type of refrigerant|ref|type of gas|kaltemittel|kaltemitteltyp|kaltemittelart|typ des kaltemittels',
);
const owner: WorksheetField = of(
  'ownerId',
  'Owner',
  'owner|ownerid|customer name|client|eigentumer|betreiber',
);
/** Beside the name: what tells two machines of one name apart. */
const machineTag: WorksheetField = of(
  'machineTag',
  'Tag or serial number of the machine',
  'tag|asset tag|unit id|equipment id|machine id|asset id|asset number|tag number|tag no|serial|serial number|serial no|sn|anlagennummer|anlagen nr|inventarnummer|seriennummer|serien nr',
);

export const FIELDS: Readonly<Record<WorksheetTable, readonly WorksheetField[]>> = {
  sites: [
    of(
      'name',
      'Name of the site',
      'site|site name|name|store|facility|location|store name|building|standort|filiale|markt',
      true,
    ),
    of('timezone', 'Time zone', 'timezone|time zone|zone|tz|zeitzone'),
    of('packs', 'Rules', 'packs|rules|rule packs|regulation|regulations|rule'),
    of('address', 'Address', 'address|street|site address|adresse|anschrift|strasse'),
    of('country', 'Country', 'country|land'),
    of('altitudeM', 'Height above sea, m', 'altitude|altitudem|altitude m|height|elevation|elevation m'),
    owner,
    of('access', 'Access', 'access|key|parking'),
  ],
  people: [
    of('name', 'Name of the person', 'name|person|technician|full name|employee|mitarbeiter|techniker', true),
    of('role', 'Role', 'role|position|job|job title|rolle|funktion'),
    of(
      'certificates.scheme',
      'Certificate: scheme',
      'scheme|certificate|certification|certificate type|certificate scheme',
    ),
    of(
      'certificates.number',
      'Certificate: number',
      'certificate number|cert number|certificate no|cert no|number|license number|licence number',
    ),
    of(
      'certificates.expires',
      'Certificate: valid until',
      'expires|expiry|valid until|expiration|expiry date|expiration date',
    ),
  ],
  appliances: [
    { field: 'name', words: 'Name of the machine', needed: true, headings: [...machine.headings, 'name'] },
    site,
    { ...refrigerant, needed: true },
    of(
      'kind',
      'Kind of machine',
      'kind|type|machine type|equipment type|unit type|system type|anlagenart|anlagentyp|art der anlage|art|typ',
    ),
    of(
      'category',
      'Category',
      'category|use|application|appliance category|kategorie|verwendung|anwendung|einsatzbereich',
    ),
    of(
      'fullCharge',
      'Full charge',
      'full charge|charge|refrigerant charge|charge size|system charge|nominal charge|capacity|fullcharge|total charge|fullmenge|kaltemittelfullmenge|fullung|sollfullmenge',
    ),
    of('fullChargeMethod', 'Method of the full charge', 'full charge method|charge method|method'),
    of('unit', 'Unit of the charge', 'unit of charge|charge unit|uom|unit of measure|units'),
    of(
      'installedOn',
      'Installed',
      'installed|installedon|installed on|installation date|install date|date installed|commissioned|in service since|installiert|installiert am|inbetriebnahme|in betrieb seit|installationsdatum',
    ),
    of(
      'tag',
      'Tag at the unit',
      'tag|asset tag|tag at the unit|tag number|tag no|label|plate|unit id|equipment id|asset id|asset number|anlagennummer|anlagen nr|inventarnummer',
    ),
    of('maker', 'Maker', 'maker|make|manufacturer|brand|mfr|hersteller|fabrikat'),
    of('model', 'Model', 'model|model number|model no|make and model|modell|typenbezeichnung'),
    of(
      'serialNumber',
      'Serial number',
      'serial|serial number|serial no|serialnumber|sn|s n|seriennummer|serien nr|fabriknummer',
    ),
    of(
      'inspectedOn',
      'Last inspected',
      'last inspected|last inspection|last leak inspection|last leak check|last inspected on|letzte dichtheitsprufung|letzte prufung',
    ),
    of(
      'hermetic',
      'Hermetically sealed and labelled',
      'hermetic|sealed|hermetically sealed|hermetisch|hermetisch geschlossen',
    ),
    of(
      'automaticDetection',
      'Automatic leak detection',
      'automatic detection|automaticdetection|automatic leak detection|leak detection|detection|ald|leckageerkennung|leckerkennung|leckwarnsystem',
    ),
    of('assembly', 'Circuit of', 'assembly|part of|circuit of'),
    of(
      'location',
      'Where it stands',
      'where|place|room|position|area|location|aufstellort|aufstellungsort|raum',
    ),
    of('access', 'Access', 'access'),
  ],
  cylinders: [
    of(
      'serial',
      'Serial of the bottle',
      'serial|cylinder|bottle|serial number|cylinder number|bottle number|cylinder id|bottle id|flasche|flaschennummer|flaschen nr',
      true,
    ),
    { ...refrigerant, needed: true },
    of('purpose', 'For', 'purpose|use|for|kind|type'),
    of('tare', 'Tare', 'tare|tare weight|empty weight|tara|leergewicht'),
    of('unit', 'Unit of the tare', 'unit|units|uom|tare unit'),
    of(
      'waterCapacityL',
      'Water capacity, L',
      'water capacity|watercapacityl|water capacity l|volume|capacity|wc|litres|liters',
    ),
    owner,
    of('retestOn', 'Retest', 'retest|reteston|retest date|test date|next test|retest on'),
    of('place', 'Where it is', 'place|location|where|van|store'),
  ],
  gas: [
    on,
    machine,
    machineTag,
    site,
    of(
      'mass',
      'Amount',
      'amount|quantity|qty|mass|weight|gas amount|amount of refrigerant|refrigerant amount|charge|menge|gewicht|kaltemittelmenge',
    ),
    of(
      'added',
      'Added',
      'added|gas added|amount added|quantity added|qty added|charged|refrigerant added|in|put in|nachgefullt|eingefullt|zugefuhrt|hinzugefugt|zugang|nachfullmenge|eingefullte menge|nachgefullte menge',
    ),
    of(
      'recovered',
      'Recovered',
      'recovered|gas recovered|amount recovered|quantity recovered|qty recovered|removed|refrigerant recovered|taken out|out|entnommen|abgesaugt|entnahme|abgang|ruckgewonnen|entnommene menge|abgesaugte menge',
    ),
    of('unit', 'Unit', 'unit of measure|uom|units|unit|measure|einheit|masseinheit'),
    of(
      'kind',
      'Added or recovered',
      'kind|action|what|in out|in or out|direction|operation|added or recovered|added recovered|movement|transaction|activity|type|what was done|richtung|vorgang|aktion|was|art|art der arbeit|tatigkeit',
    ),
    of('reason', 'Reason', 'reason|why|purpose|reason for addition|cause|work type|grund|anlass|ursache'),
    of('leakId', 'Leak', 'leak|leakid|leak id|leak number|leak no|leck|leckage|lecknummer'),
    of(
      'cylinderId',
      'Bottle',
      'bottle|cylinder|cylinder number|bottle number|cylinderid|cylinder serial|cylinder id|flasche|flaschennummer|flaschen nr|gasflasche',
    ),
    refrigerant,
    by('Who did it'),
    note,
  ],
  inspections: [
    on,
    machine,
    machineTag,
    site,
    of(
      'methods',
      'Methods',
      'method|methods|inspection method|how|leak check method|test method|methode|methoden|prufmethode|prufverfahren',
    ),
    of(
      'allAccessibleInspected',
      'All accessible parts inspected',
      'all accessible inspected|allaccessibleinspected|all parts|complete|all inspected|all accessible parts',
    ),
    of(
      'leaksFound',
      'Leaks found',
      'leaks found|leaksfound|leaks|result|leak found|findings|befund|ergebnis|lecks|leckagen',
    ),
    by('Who inspected'),
    note,
  ],
};

/** A heading without its unit and brackets, as headings are compared. */
export const headingKey = remembered((heading: string): string =>
  looseKey(heading.replace(/\(.*?\)|\[.*?\]/g, ' ').replace(/([a-z])([A-Z])/g, '$1 $2'))
    .replace(/ (?:in )?(?:lbs?|kgs?|oz|g|pounds|ounces|kilograms|kilogramm|grams|gramm)$/, '')
    .replace(/^(?:lbs?|kgs?|oz|pounds|ounces|kilograms|grams) (?:of )?/, '')
    .trim(),
);
