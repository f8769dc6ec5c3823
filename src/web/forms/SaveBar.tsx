/** The foot of a sheet: what the server refused, what is still to mend, and the one main action. */
import type { ReactNode } from 'react';
import { ApiError } from './ApiError';
import { Button } from '../parts/Button';

export function SaveBar({
  words,
  saving,
  waits = false,
  onSave,
  children,
}: {
  words: string;
  saving: { error: Error | null; isPending: boolean };
  /** what it needs is still being read */
  waits?: boolean;
  onSave: () => void;
  children?: ReactNode;
}) {
  return (
    <>
      <ApiError error={saving.error} />
      {children}
      <Button weight="main" className="w-full" onClick={onSave} disabled={saving.isPending || waits}>
        {saving.isPending ? 'Saving…' : words}
      </Button>
    </>
  );
}
