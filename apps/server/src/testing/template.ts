import { cp, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setFlagsFromString } from 'node:v8'
import type { TestProject } from 'vitest/node'
import { durable } from '../db/durable'
import { openFolder } from '../db/open'

declare module 'vitest' {
  export interface ProvidedContext {
    /** Where an empty database lies, as an image for one in memory (`image`), as a data folder (`folder`), and without a table (`blank`). */
    template: string
  }
}

/** Made once, for whichever kinds of tests begin with it. */
const made = globalThis as { snugTemplate?: Promise<string> }

async function make(): Promise<string> {
  // The database's program is run once here: compiled for a quick start, not for a long life.
  for (const flag of ['--liftoff-only', '--wasm-lazy-compilation']) setFlagsFromString(flag)
  const home = await mkdtemp(join(tmpdir(), 'snug-template-'))
  await (await durable(join(home, 'blank'))).close()
  const folder = join(home, 'folder')
  await cp(join(home, 'blank'), join(folder, 'database'), { recursive: true })
  await (await openFolder(folder)).close()
  const made = await durable(join(folder, 'database'))
  const image = await made.dumpDataDir('none')
  await made.close()
  await writeFile(join(home, 'image'), Buffer.from(await image.arrayBuffer()))
  return home
}

/** Making a database takes seconds and is tested on its own; every other test begins with a copy of one made here. @public */
export default async function setup(project: TestProject) {
  const home = await (made.snugTemplate ??= make())
  project.provide('template', home)
  return () => rm(home, { recursive: true, force: true })
}
