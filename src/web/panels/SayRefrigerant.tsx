/** Asks for the refrigerant of a machine where something hangs on it, and opens the record to say it. */
import { useState } from 'react';
import { RowDialog } from '../forms/rows/RowDialog';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';

export function SayRefrigerant({ machineId, forWhat }: { machineId: string; forWhat: string }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="my-4 border-l-4 border-ochre pl-3">
      <p className="font-semibold text-ochre">◐ Say the refrigerant {forWhat}: nobody knows it yet.</p>
      <ForWriters>
        <Button className="no-print mt-2" onClick={() => setOpen(true)}>
          Say the refrigerant
        </Button>
      </ForWriters>
      {open && <RowDialog table="appliances" id={machineId} onClose={() => setOpen(false)} />}
    </div>
  );
}
