// Where headless Chromium is; installs Debian's package when it is missing and this may be done.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

const PLACES = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']

export function chromium() {
  const found = () => PLACES.find((p) => p && existsSync(p))
  if (found()) return found()
  console.log('Installing Chromium for the browser tests…')
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', 'chromium'],
  ]) {
    const [command, ...rest] = [...sudo, 'apt-get', ...args]
    spawnSync(command, rest, { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
  }
  const now = found()
  if (!now)
    throw new Error('No Chromium was found and none could be installed. Install the package "chromium" or set CHROMIUM to its path.')
  return now
}
