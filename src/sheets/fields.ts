/** What can be brought in from a spreadsheet: tables, their fields by the names of the format, and how lists head them. */
import { nameKey } from './cells';

export const SHEET_TABLES = ['sites', 'people', 'appliances', 'cylinders', 'gas', 'inspections'] as const;
export type SheetTable = (typeof SHEET_TABLES)[number];

export interface SheetField {
  field: string;
  /** said on the screen */
  words: string;
  /** without it no row can be understood */
  needed?: true;
  /** how lists head it, in the order of likelihood */
  headings: readonly string[];
}

/** `headings`: with a bar between, the likeliest first. */
const of = (field: string, words: string, headings: string, needed = false): SheetField => ({
  field,
  words,
  ...(needed ? { needed: true } : {}),
  headings: headings.split('|'),
});

const by = (words: string): SheetField =>
  of(
    'by',
    words,
    'technician|tech|by|engineer|mechanic|done by|person|serviced by|inspector|logged by|worker|name of technician',
  );
const note: SheetField = of('note', 'Note', 'note|notes|remark|remarks|comment|comments|description');
const on: SheetField = of(
  'on',
  'Day',
  'date|day|on|service date|date of service|date added|when|visit date|inspection date|date of inspection',
  true,
);
const machine: SheetField = of(
  'applianceId',
  'Machine',
  'machine|appliance|unit|system|equipment|asset|machine name|unit name|system name|equipment name|appliance name|asset tag|tag|unit id|circuit|applianceid',
  true,
);
const site: SheetField = of(
  'siteId',
  'Site',
  'site|store|location|building|facility|site name|customer|premises|shop|branch|siteid|store name',
);
const refrigerant: SheetField = of(
  'refrigerant',
  'Refrigerant',
  'refrigerant|gas|refrigerant type|gas type|type of refrigerant|ref|type of gas',
);
const owner: SheetField = of('ownerId', 'Owner', 'owner|ownerid|customer name|client');

export const FIELDS: Readonly<Record<SheetTable, readonly SheetField[]>> = {
  sites: [
    of('name', 'Name of the site', 'site|site name|name|store|facility|location|store name|building', true),
    of('timezone', 'Time zone', 'timezone|time zone|zone|tz'),
    of('packs', 'Rules', 'packs|rules|rule packs|regulation|regulations|rule'),
    of('address', 'Address', 'address|street|site address'),
    of('country', 'Country', 'country'),
    of('altitudeM', 'Height above sea, m', 'altitude|altitudem|altitude m|height|elevation|elevation m'),
    owner,
    of('access', 'Access', 'access|key|parking'),
  ],
  people: [
    of('name', 'Name of the person', 'name|person|technician|full name|employee', true),
    of('role', 'Role', 'role|position|job|job title'),
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
    of('kind', 'Kind of machine', 'kind|type|machine type|equipment type|unit type|system type'),
    of('category', 'Category', 'category|use|application|appliance category'),
    of(
      'fullCharge',
      'Full charge',
      'full charge|charge|refrigerant charge|charge size|system charge|nominal charge|capacity|fullcharge',
    ),
    of('fullChargeMethod', 'Method of the full charge', 'full charge method|charge method|method'),
    of('unit', 'Unit of the charge', 'unit of charge|charge unit|uom|unit of measure|units'),
    of(
      'installedOn',
      'Installed',
      'installed|installedon|installed on|installation date|install date|date installed|commissioned|in service since',
    ),
    of('tag', 'Tag at the unit', 'label|plate|tag at the unit'),
    of('model', 'Model', 'model|model number|model no|make and model'),
    of('serialNumber', 'Serial number', 'serial|serial number|serial no|serialnumber|sn|s n'),
    of('hermetic', 'Hermetically sealed and labelled', 'hermetic|sealed|hermetically sealed'),
    of(
      'automaticDetection',
      'Automatic leak detection',
      'automatic detection|automaticdetection|leak detection|detection|ald',
    ),
    of('assembly', 'Circuit of', 'assembly|part of|circuit of'),
    of('location', 'Where it stands', 'where|place|room|position|area|location'),
    of('access', 'Access', 'access'),
  ],
  cylinders: [
    of(
      'serial',
      'Serial of the bottle',
      'serial|cylinder|bottle|serial number|cylinder number|bottle number|cylinder id|bottle id',
      true,
    ),
    { ...refrigerant, needed: true },
    of('purpose', 'For', 'purpose|use|for|kind|type'),
    of('tare', 'Tare', 'tare|tare weight|empty weight'),
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
    site,
    of(
      'mass',
      'Amount',
      'amount|quantity|qty|mass|weight|gas amount|amount of refrigerant|refrigerant amount|charge',
    ),
    of(
      'added',
      'Added',
      'added|gas added|amount added|quantity added|qty added|charged|refrigerant added|in|put in',
    ),
    of(
      'recovered',
      'Recovered',
      'recovered|gas recovered|amount recovered|quantity recovered|qty recovered|removed|refrigerant recovered|taken out|out',
    ),
    of('unit', 'Unit', 'unit of measure|uom|units|unit|measure'),
    of(
      'kind',
      'Added or recovered',
      'kind|action|in out|direction|operation|added or recovered|movement|type',
    ),
    of('reason', 'Reason', 'reason|why|purpose|reason for addition|cause|work type'),
    of('leakId', 'Leak', 'leak|leakid|leak number|leak no'),
    of(
      'cylinderId',
      'Bottle',
      'bottle|cylinder|cylinder number|bottle number|cylinderid|cylinder serial|cylinder id',
    ),
    refrigerant,
    by('Who did it'),
    note,
  ],
  inspections: [
    on,
    machine,
    site,
    of('methods', 'Methods', 'method|methods|inspection method|how|leak check method|test method'),
    of(
      'allAccessibleInspected',
      'All accessible parts inspected',
      'all accessible inspected|allaccessibleinspected|all parts|complete|all inspected|all accessible parts',
    ),
    of('leaksFound', 'Leaks found', 'leaks found|leaksfound|leaks|result|leak found|findings'),
    by('Who inspected'),
    note,
  ],
};

/** A heading without its unit and brackets, as headings are compared. */
export const headingKey = (heading: string): string =>
  nameKey(heading.replace(/\(.*?\)|\[.*?\]/g, ' ').replace(/([a-z])([A-Z])/g, '$1 $2'))
    .replace(/ (?:in )?(?:lbs?|kgs?|oz|g|pounds|ounces|kilograms|grams)$/, '')
    .replace(/^(?:lbs?|kgs?|oz|pounds|ounces|kilograms|grams) (?:of )?/, '')
    .trim();
