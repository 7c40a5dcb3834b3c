import { BlockList, isIP } from 'node:net';

/** Networks that lead to no site of the world: this machine, its neighbours, and addresses for other uses. */
const INNER: readonly (readonly [network: string, bits: number])[] = [
  // IANA IPv4 Special-Purpose Address Registry (RFC 6890), and multicast (RFC 5771).
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.88.99.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
];
/** Of IPv6 only what is given out for use between networks leads anywhere (RFC 4291, 2000::/3). */
const GLOBAL_6: readonly (readonly [network: string, bits: number])[] = [['2000::', 3]];
/** Of that, what is for documents, tunnels and other uses, in which an inner IPv4 address may stand. */
const SPECIAL_6: readonly (readonly [network: string, bits: number])[] = [
  ['2001::', 23],
  ['2001:db8::', 32],
  ['2002::', 16],
  ['3fff::', 20],
];

const listOf = (networks: typeof INNER, family: 'ipv4' | 'ipv6'): BlockList => {
  const list = new BlockList();
  for (const [network, bits] of networks) list.addSubnet(network, bits, family);
  return list;
};
const inner = listOf(INNER, 'ipv4');
const global6 = listOf(GLOBAL_6, 'ipv6');
const special6 = listOf(SPECIAL_6, 'ipv6');

/** Whether an IP address leads to the world, and not to this machine or its neighbours. */
export function isPublicAddress(address: string): boolean {
  switch (isIP(address)) {
    case 4:
      return !inner.check(address, 'ipv4');
    case 6:
      return global6.check(address, 'ipv6') && !special6.check(address, 'ipv6');
    default:
      return false;
  }
}
