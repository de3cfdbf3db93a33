// Installs the packages when node_modules does not match the lockfile. File times mean nothing after a clone, so a stamp
// inside node_modules holds the lockfile's own hash; an install cut short leaves no stamp and is done again.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'

const root = new URL('../', import.meta.url)
const stamp = new URL('node_modules/.snug-stamp', root)
const wanted = createHash('sha256')
  .update(readFileSync(new URL('package-lock.json', root)))
  .digest('hex')
const have = existsSync(stamp) ? readFileSync(stamp, 'utf8') : ''

if (have !== wanted) {
  console.log('Installing packages, about a minute…')
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] })
  if (done.status !== 0) process.exit(done.status ?? 1)
  writeFileSync(stamp, wanted)
}
