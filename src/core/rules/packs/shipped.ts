/** The packs that ship, by id: a new rule set is one more file and one more line here. */
import type { PackId } from '../../logbook/packNames';
import type { Pack } from '../pack';
import { usCa } from './california';
import { eu, gb } from './europe';
import { house } from './house';
import { usHfc, usOds } from './us';

export type Packs = Readonly<Record<PackId, Pack>>;

export const SHIPPED_PACKS: Packs = { 'us-ods': usOds, 'us-hfc': usHfc, 'us-ca': usCa, eu, gb, house };
