import { spawn } from 'node:child_process'
import { mkdir, mkdtemp, readdir, rm, symlink, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { FolderTaken, takeFolder } from './lock'

let home: string
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-lock-'))
})
afterAll(() => rm(home, { recursive: true, force: true }))
const folder = async (name: string) => {
  const path = join(home, name)
  await mkdir(path, { recursive: true })
  return path
}

/** A folder left as a killed process leaves it: a claim whose socket nobody listens on. */
async function stale(name: string) {
  const path = await folder(name)
  const dead = spawn(process.execPath, [
    '-e',
    `require('net').createServer().listen(process.argv[1], () => process.kill(process.pid, 'SIGKILL'))`,
    join(path, 'lock-dead.sock'),
  ])
  await new Promise((done) => dead.once('exit', done))
  await symlink('lock-dead.sock', join(path, 'lock.3'))
  return path
}

describe('a data folder belongs to one process', () => {
  it('of several starters at one moment on a stale lock exactly one gets it, fifty times', async () => {
    for (let round = 0; round < 50; round++) {
      const path = await stale(`race-${round}`)
      const tries = await Promise.allSettled([takeFolder(path), takeFolder(path), takeFolder(path)])
      const got = tries.flatMap((t) => (t.status === 'fulfilled' ? [t.value] : []))
      expect(got).toHaveLength(1)
      for (const t of tries) if (t.status === 'rejected') expect(t.reason).toBeInstanceOf(FolderTaken)
      await got[0]!()
    }
  })
  it('it is free again after its holder let go, and is then held by the next', async () => {
    const path = await folder('again')
    for (let n = 0; n < 3; n++) {
      const release = await takeFolder(path)
      await expect(takeFolder(path)).rejects.toThrow(/already has the data folder .* open/)
      await release()
    }
    expect((await readdir(path)).filter((f) => f.startsWith('lock')).length).toBeLessThanOrEqual(1)
  })
  it('a short link to a long path is the same folder', async () => {
    const path = await folder('x'.repeat(120))
    await symlink(path, join(home, 'short'))
    const release = await takeFolder(path)
    await expect(takeFolder(join(home, 'short'))).rejects.toThrow(FolderTaken)
    await release()
  })
  it('rubbish beside it changes nothing', async () => {
    const path = await folder('rubbish')
    await writeFile(join(path, 'lock.9'), 'not a link')
    await writeFile(join(path, 'lock.x'), '')
    await (await takeFolder(path))()
  })
})
