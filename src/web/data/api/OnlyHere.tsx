/** Says so where an address would be carried to another device, and leads to this computer alone. */
import { useAddress } from './session';

export const OnlyHere = ({ what }: { what: string }) =>
  useAddress().onlyHere && (
    <p className="mb-3 max-w-prose text-ochre">
      ◐ {what} opens on this computer alone, for the server was not told how others reach it (
      <code className="whitespace-nowrap">--address</code>).
    </p>
  );
