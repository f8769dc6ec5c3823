/** What a standing is folded from in the browser: the machine as it was sent, and the packs in force. */
import { useMemo } from 'react';
import type { z } from 'zod';
import type { machineAnswer } from '../../../contract/machines';
import { packsWith } from '../../../core/rules/amend';
import { type Packs, SHIPPED_PACKS } from '../../../core/rules/packs/shipped';
import { useRules } from './queries';

export type Machine = z.infer<typeof machineAnswer>;

/** The packs in force with the company's own figures. */
export function usePacks(): Packs {
  const amendments = useRules().data?.amendments;
  return useMemo(
    () =>
      amendments
        ? packsWith(
            SHIPPED_PACKS,
            amendments.map(({ recordedAt: _, ...amendment }) => amendment),
          )
        : SHIPPED_PACKS,
    [amendments],
  );
}
