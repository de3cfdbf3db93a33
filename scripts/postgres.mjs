// Debian's PostgreSQL, for the tests of the database server; installed when it is missing and this may be done. Without it those
// tests are left out, and that is said.
import { existsSync } from 'node:fs'
import { install } from './install.mjs'

const there = () => existsSync('/usr/lib/postgresql')

export function postgres() {
  if (there()) return
  console.log('Installing PostgreSQL for the tests of the database server…')
  install('postgresql')
  if (!there())
    console.log('LEFT OUT: no PostgreSQL is on this machine and none could be installed; the tests of the database server are skipped.')
}
