import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { watched } from '../db/durable'
import { openFolder } from '../db/open'

declare module 'vitest' {
  export interface ProvidedContext {
    /** Where an empty database lies, as an image for one in memory (`image`) and as a data folder (`folder`). */
    template: string
  }
}

/** Made once, for whichever kinds of tests begin with it. */
const made = globalThis as { snugTemplate?: Promise<string> }

async function make(): Promise<string> {
  const home = await mkdtemp(join(tmpdir(), 'snug-template-'))
  const memory = await watched({ dataDir: 'memory://' })
  const image = await memory.dumpDataDir('none')
  await writeFile(join(home, 'image'), Buffer.from(await image.arrayBuffer()))
  await memory.close()
  const folder = await openFolder(join(home, 'folder'))
  await folder.close()
  return home
}

/** Making a database takes seconds and is tested on its own; every other test begins with a copy of one made here. @public */
export default async function setup(project: TestProject) {
  const home = await (made.snugTemplate ??= make())
  project.provide('template', home)
  return () => rm(home, { recursive: true, force: true })
}
