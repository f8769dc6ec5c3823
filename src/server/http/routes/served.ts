/** What the server knows of itself, beside the company that it serves. */
import type { ContinuousCopy } from '../../backups/continuous';
import type { DailyBackups } from '../../backups/daily';

export interface Served {
  /** how others reach it; null: nobody said */
  address: string | null;
  /** null: none are made */
  backups: DailyBackups | null;
  /** null: none is made */
  copy: ContinuousCopy | null;
}
