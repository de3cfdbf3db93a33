// Where headless Chromium is; installs Debian's package when it is missing and this may be done. The build of it that has no
// window system in it is looked for first: the same engine, with which the browser tests take a quarter less time.
import { existsSync } from 'node:fs'
import { install } from './install.mjs'

const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
]

export function chromium() {
  const found = () => PLACES.find((p) => p && existsSync(p))
  if (found()) return found()
  console.log('Installing Chromium for the browser tests…')
  // Older releases have only the whole browser.
  if (!install('chromium-headless-shell')) install('chromium')
  const now = found()
  if (!now)
    throw new Error('No Chromium was found and none could be installed. Install the package "chromium" or set CHROMIUM to its path.')
  return now
}
