import { execFileSync, spawnSync } from 'node:child_process'
import { chmodSync, copyFileSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { join } from 'node:path'

/** A disk in a file: what a program has brought to it stands in the file, what it has only written does not. */
export interface Disk {
  /** Where it is to be seen. */
  at: string
  /** What is on it at this moment, and nothing else, is what there is from now on. */
  losePower: (processesGone: () => Promise<void>) => Promise<void>
  remove: () => void
}

/** The file lies in memory where it can: what counts is what the disk's own file system does, not how fast the file is. */
const PLACE = existsSync('/dev/shm') ? '/dev/shm' : '/tmp'
const run = (command: string, ...args: string[]) => execFileSync(command, args, { stdio: 'ignore' })

/** @returns nothing where this machine does not let us mount one */
export function makeDisk(megabytes: number): Disk | undefined {
  const home = mkdtempSync(join(PLACE, 'snug-disk-'))
  const [file, image, at] = [join(home, 'disk'), join(home, 'image'), join(home, 'mounted')]
  mkdirSync(at)
  // A database server runs as somebody else, who has to get through to it.
  chmodSync(home, 0o711)
  // Nothing is brought to it by itself: its own commits come once in ten hours.
  const mount = () => run('mount', '-o', 'loop,commit=36000', file, at)
  const remove = () => {
    spawnSync('umount', ['-l', at])
    rmSync(home, { recursive: true, force: true })
  }
  try {
    run('truncate', '-s', `${megabytes}M`, file)
    run('mkfs.ext4', '-q', '-E', 'lazy_itable_init=0,lazy_journal_init=0', file)
    mount()
    run('chmod', '777', at)
  } catch {
    remove()
    return undefined
  }
  return {
    at,
    losePower: async (processesGone) => {
      copyFileSync(file, image)
      await processesGone()
      // What a process had open is let go a moment after it is gone.
      for (let tries = 0; spawnSync('umount', [at]).status !== 0; tries++) {
        if (tries > 200) throw new Error(`${at} is still in use`)
        await new Promise((done) => setTimeout(done, 25))
      }
      copyFileSync(image, file)
      mount()
    },
    remove,
  }
}
