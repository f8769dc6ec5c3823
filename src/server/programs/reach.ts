/**
 * Which addresses a message of ours may go to: where the server is open to others, none of this computer and none of the
 * networks that stand behind it, whatever name is given for them.
 */
import { lookup } from 'node:dns';
import { BlockList, type LookupFunction, isIP } from 'node:net';
import { wrong } from '../problem';

const WITHIN = new BlockList();
for (const [network, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['224.0.0.0', 3],
] as const)
  WITHIN.addSubnet(network, bits, 'ipv4');
for (const [network, bits] of [
  ['::', 127],
  ['64:ff9b::', 96],
  ['fc00::', 7],
  ['fe80::', 10],
  ['ff00::', 8],
] as const)
  WITHIN.addSubnet(network, bits, 'ipv6');

const MAPPED = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i;

/** Whether a number of the network stands for this computer or a network behind it. */
export function isWithin(address: string): boolean {
  const mapped = MAPPED.exec(address)?.[1];
  if (mapped !== undefined) return isWithin(mapped);
  // Mapped in hexadecimal, too: nobody has such an address of his own.
  if (/^::ffff:/i.test(address)) return true;
  return WITHIN.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4');
}

const REFUSED =
  'leads to this computer or into its own network; that is not told from a server that others reach';

/** Throws where an address is plainly within; what a name leads to is looked at when it is called. */
export function refuseAddress(url: string, nearby: boolean): void {
  const { hostname, username, password } = new URL(url);
  if (username !== '' || password !== '')
    throw wrong('url', 'holds a password; leave it out, each message is signed');
  if (nearby) return;
  const bare = hostname.replace(/^\[|\]$/g, '');
  if (bare === 'localhost' || (isIP(bare) !== 0 && isWithin(bare))) throw wrong('url', REFUSED);
}

/** Finds the address of a name, and refuses one that is within: between two looks it cannot change. */
export const lookupBeyond: LookupFunction = (hostname, options, callback) => {
  lookup(hostname, { ...options, all: true }, (error, found) => {
    if (error) {
      callback(error, []);
      return;
    }
    if (found.some(({ address }) => isWithin(address))) {
      callback(new Error(`${hostname} ${REFUSED}`), []);
      return;
    }
    const [first] = found;
    if (options.all === true || !first) callback(null, found);
    else callback(null, first.address, first.family);
  });
};
