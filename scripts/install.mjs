import { spawnSync } from 'node:child_process'

let updated = false

/** Installs one of Debian's packages where this may be done. @returns whether it went well */
export function install(name) {
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args]
    return spawnSync(command, rest, { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }).status === 0
  }
  if (!updated) updated = apt('update', '-qq')
  return apt('install', '-y', '-qq', name)
}
