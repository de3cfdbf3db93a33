import { randomUUID } from 'node:crypto'

/** A readable id from the name; twelve random digits (48 bits) keep a thousand builds of one name apart. */
export function idFor(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40)
  return `${plain || 'build'}-${randomUUID().replaceAll('-', '').slice(0, 12)}`
}
