/** Gas: the bottles, by what they hold, with what the logbook knows of them; added, put right, scrapped. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { HERE } from '../data/device/here';
import type { Cylinder } from '../../core/logbook/tables';
import { dayOf } from '../../core/quantity/day';
import { useCylinderFlows, useCylinderPages, useOwners, useToday } from '../data/api/queries';
import { useTable } from '../data/api/useTable';
import { cylinderFlowWords } from '../panels/CylinderList';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { Empty, Page, Section } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';
import { HistoryDialog } from '../forms/rows/RowHistory';
import { RowDialog } from '../forms/rows/RowDialog';
import { PURPOSE_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';
import { massWords } from '../../words/weights';

export default function GasPage() {
  const cylinders = useCylinderPages();
  const [adding, setAdding] = useState<string | null>(null);
  const [scrapped, setScrapped] = useState(false);
  return (
    <Page
      title="Gas"
      subtitle="Bottles: what they hold, where they are, what went in and out by the logbook."
      main={
        <ForWriters>
          <Button weight="main" onClick={() => setAdding(uuidv7())}>
            Add a bottle
          </Button>
        </ForWriters>
      }
    >
      <LoadedPages pages={cylinders} more="Show more bottles">
        {(rows) => {
          const shown = rows.filter((each) => scrapped || each.scrappedOn == null);
          const gases = [...new Set(shown.map((each) => each.refrigerant))].sort();
          const gone = rows.length - rows.filter((each) => each.scrappedOn == null).length;
          return (
            <>
              {rows.length === 0 && (
                <Empty title="No bottle yet">
                  Each bottle has a serial, a tare and a water capacity; then every gram into and out of it is
                  told, and no recovery bottle is filled beyond 80 %.
                </Empty>
              )}
              {gases.map((gas) => (
                <Holding key={gas} gas={gas} cylinders={shown.filter((each) => each.refrigerant === gas)} />
              ))}
              {gone > 0 && (
                <Button weight="quiet" onClick={() => setScrapped(!scrapped)}>
                  {scrapped ? 'Hide scrapped bottles' : `Show ${String(gone)} scrapped`}
                </Button>
              )}
            </>
          );
        }}
      </LoadedPages>
      {adding !== null && (
        <RowDialog table="cylinders" id={adding} fresh={{ id: adding }} onClose={() => setAdding(null)} />
      )}
    </Page>
  );
}

function Holding({ gas, cylinders }: { gas: string; cylinders: readonly Cylinder[] }) {
  const flows = useCylinderFlows(gas).data;
  const table = useTable(gas).data ?? null;
  const owners = useOwners().data ?? [];
  const today = useToday(HERE);
  const [opened, setOpened] = useState<{ cylinder: Cylinder; how: 'change' | 'history' } | null>(null);
  return (
    <Section title={gas} aside={<span className="text-soft">{cylinders.length}</span>}>
      <ul>
        {cylinders.map((cylinder) => {
          const flow = flows?.find((each) => each.cylinderId === cylinder.id);
          const late = cylinder.retestOn != null && today !== null && dayOf(cylinder.retestOn) < today;
          const owner = owners.find((each) => each.id === cylinder.ownerId)?.name ?? cylinder.ownerId;
          return (
            <li key={cylinder.id} className="rule-b flex flex-wrap items-center gap-x-4 py-2">
              <div className="min-w-0 flex-1 basis-64">
                <p>
                  <span className="font-semibold">{cylinder.serial}</span>{' '}
                  <span className="text-soft">
                    {[
                      cylinder.purpose ? PURPOSE_WORDS[cylinder.purpose] : 'purpose not recorded',
                      cylinder.place,
                      owner && `of ${owner}`,
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                </p>
                <p className="text-soft">
                  {cylinder.tare ? `tare ${massWords(cylinder.tare, 'kilograms')}` : 'tare not recorded'},{' '}
                  {cylinder.waterCapacityL == null
                    ? 'water capacity not recorded'
                    : `${String(cylinder.waterCapacityL)} L`}
                  {flow && ` · ${cylinderFlowWords(cylinder, flow, table, 'pounds')}`}
                </p>
                {cylinder.retestOn != null && (
                  <p className={late ? 'font-semibold text-brick' : 'text-soft'}>
                    {late ? '▲ retest was due ' : 'retest due '}
                    {dateWords(cylinder.retestOn)}
                  </p>
                )}
                {cylinder.scrappedOn != null && (
                  <p className="text-soft">✕ scrapped {dateWords(cylinder.scrappedOn)}</p>
                )}
              </div>
              <div className="flex">
                <ForWriters>
                  <Button
                    weight="quiet"
                    className="px-2"
                    aria-label={`Change bottle ${cylinder.serial}`}
                    onClick={() => setOpened({ cylinder, how: 'change' })}
                  >
                    Change
                  </Button>
                </ForWriters>
                <Button
                  weight="quiet"
                  className="px-2"
                  aria-label={`History of bottle ${cylinder.serial}`}
                  onClick={() => setOpened({ cylinder, how: 'history' })}
                >
                  History
                </Button>
              </div>
            </li>
          );
        })}
      </ul>
      {opened?.how === 'change' && (
        <RowDialog table="cylinders" id={opened.cylinder.id} onClose={() => setOpened(null)} />
      )}
      {opened?.how === 'history' && (
        <HistoryDialog
          table="cylinders"
          id={opened.cylinder.id}
          title={opened.cylinder.serial}
          onClose={() => setOpened(null)}
        />
      )}
    </Section>
  );
}
