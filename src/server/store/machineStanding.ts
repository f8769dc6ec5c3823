/** A machine's standing as the store keeps it. */
import type { PartTypeName } from '../../core/circuit/parts';

/** As the store keeps it: figures in columns, the rest as text of JSON. */
export interface MachineStanding {
  applianceId: string;
  siteId: string;
  timezone: string;
  stamp: string;
  fingerprint: string;
  words: string;
  kind: string;
  state: number;
  unjudged: 0 | 1;
  byName: string;
  bySite: string;
  charge: number;
  room: number;
  due: string;
  summary: string;
  leaking: string;
  /** each with its text */
  duties: { kind: string; due: string; document: string }[];
  leakParts: { type: PartTypeName; times: number }[];
}
