/** How each type of part is drawn on the circuit map, in a cell of 40 by 40 about its middle. */
import type { ReactNode } from 'react';
import type { PartTypeName } from '../../core/visit/circuit/parts';

const valve = (stem: boolean): ReactNode => (
  <>
    <path d="M-11 -7V7L11 -7V7Z" />
    {stem && <path d="M0 0V-12M-5 -12H5" />}
  </>
);
const coil = <path d="M-15 8V-8H-9V8H-3V-8H3V8H9V-8H15V8" />;
const bends = <path d="M-12 9V-3A6 6 0 0 1 0 -3V3A6 6 0 0 0 12 3V-9" />;
const vessel = <rect x={-8} y={-13} width={16} height={26} rx={8} />;
const barrel = (
  <>
    <rect x={-16} y={-8} width={32} height={16} rx={8} />
    <path d="M-10 -2H10M-10 3H10" />
  </>
);
const joint = (
  <>
    <path d="M-14 0H14" />
    <rect x={-4} y={-5} width={8} height={10} />
  </>
);

export const GLYPHS: Record<PartTypeName, ReactNode> = {
  compressor: (
    <>
      <circle r={13} />
      <path d="M-8 7L0 -9L8 7Z" />
    </>
  ),
  serviceValveSuction: valve(true),
  serviceValveDischarge: valve(true),
  dischargeLine: joint,
  oilSeparator: (
    <>
      {vessel}
      <path d="M-5 5H5M-3 -5V0" />
    </>
  ),
  condenser: coil,
  condenserBends: bends,
  waterCondenser: barrel,
  headControl: (
    <>
      {valve(false)}
      <circle cy={-11} r={4} />
    </>
  ),
  receiver: vessel,
  receiverValve: valve(true),
  relief: (
    <>
      <path d="M-7 10H7L0 -2ZM0 -2V-12M-4 -8L0 -12L4 -8" />
    </>
  ),
  drier: (
    <>
      <rect x={-13} y={-7} width={26} height={14} />
      <path d="M-7 -7L-1 7M0 -7L6 7" />
    </>
  ),
  sightGlass: (
    <>
      <circle r={10} />
      <circle r={4} />
    </>
  ),
  liquidLine: joint,
  header: (
    <>
      <rect x={-5} y={-15} width={10} height={30} rx={2} />
      <path d="M5 -8H13M5 0H13M5 8H13" />
    </>
  ),
  solenoid: (
    <>
      {valve(false)}
      <rect x={-5} y={-15} width={10} height={8} />
    </>
  ),
  ballValve: (
    <>
      {valve(false)}
      <circle r={3.5} />
    </>
  ),
  flareNut: <path d="M-8 -9H4L10 0L4 9H-8Z" />,
  expansionValve: (
    <>
      {valve(false)}
      <path d="M0 0V-9M-8 -9A8 5 0 0 1 8 -9Z" />
    </>
  ),
  capillary: <path d="M-14 0C-14 -10 -6 -10 -6 0S2 10 2 0S10 -10 10 0H15" />,
  evaporator: coil,
  evaporatorBends: bends,
  evaporatorBarrel: barrel,
  buriedPipe: (
    <>
      <rect x={-14} y={-9} width={28} height={18} strokeDasharray="3 3" />
      <path d="M-14 0H14" />
    </>
  ),
  drainPan: <path d="M-15 -5L-11 6H11L15 -5M0 6V12" />,
  suctionLine: joint,
  accessPort: (
    <>
      <path d="M0 12V-2M-7 -2H7V-10H-7Z" />
    </>
  ),
  accumulator: (
    <>
      {vessel}
      <path d="M-4 8V-4A4 4 0 0 1 4 -4V8" />
    </>
  ),
  vibrationAbsorber: <path d="M-14 0H-10M10 0H14M-10 -6H10V6H-10ZM-6 -6V6M-2 -6V6M2 -6V6M6 -6V6" />,
  hotGasValve: (
    <>
      {valve(false)}
      <path d="M-4 -14Q0 -9 -4 -5M4 -14Q8 -9 4 -5" />
    </>
  ),
  checkValve: <path d="M-11 0H-5M5 0H11M5 -8V8M5 0L-5 -8V8Z" />,
  pressureControl: (
    <>
      <rect x={-11} y={-11} width={22} height={22} />
      <path d="M-5 6L0 -5L5 6M-11 -4H-6" />
    </>
  ),
};
