import { networkInterfaces } from 'node:os'

/** Addresses this machine has on networks of its own, the usual home ones first. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => a.address)
    .toSorted((a, b) => rank(a) - rank(b))

const rank = (address: string): number => (address.startsWith('192.168.') ? 0 : address.startsWith('10.') ? 1 : 2)

/** Is the other end this very machine? */
export const isHere = (address: string | undefined): boolean =>
  address === '127.0.0.1' || address === '::1' || address === '::ffff:127.0.0.1'
