/** The foot of a sheet: what the server refused, what is still to mend, and the one main action. */
import type { ReactNode } from 'react';
import { ApiError } from './ApiError';
import { Button } from '../parts/Button';

export function SaveBar({
  words,
  saving,
  onSave,
  children,
}: {
  words: string;
  saving: { error: Error | null; isPending: boolean };
  onSave: () => void;
  children?: ReactNode;
}) {
  return (
    <>
      <ApiError error={saving.error} />
      {children}
      <Button weight="main" className="w-full" onClick={onSave} disabled={saving.isPending}>
        {saving.isPending ? 'Saving…' : words}
      </Button>
    </>
  );
}
