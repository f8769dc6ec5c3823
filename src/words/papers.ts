/** What documents are called. */
import type { DocumentKind } from '../contract/papers';

export const DOCUMENT_WORDS: Record<DocumentKind, string> = {
  serviceRecord: 'Service record',
  leakRepairFile: 'Leak-repair file',
  machineRecord: 'Record of a machine',
  inspection: 'Leak inspection',
  plan: 'Plan to convert or retire',
  extension: 'Request for more time',
  chronicReport: 'Report of refrigerant lost in a year',
  fullCharge: 'Determination of the full charge',
  yearly: 'Yearly report',
  seasonal: 'Seasonal moves of refrigerant',
};
