import 'reflect-metadata'
import { command } from '../db/command'
import { openFolder } from '../db/open'
import { openServer } from '../db/server'
import { addBench, listBenches, newPhraseFor, renameBench } from './store'

const USE = `Say one of:
  npm run benches -- list
  npm run benches -- add "Name" ["Another"]   makes a bench, or several, each with its pass-phrase
  npm run benches -- phrase "Name"            gives it a new one; whoever is signed in has to sign in again
  npm run benches -- rename "Name" "Another"  for instance "own", which is what a data folder begins with`

/** Benches of a database server (DATABASE_URL), or of a data folder (SNUG_DATA) that no running Snug Bolt has open. */
async function main([act, ...names]: string[]): Promise<string> {
  const url = process.env.DATABASE_URL
  const opened = url === undefined ? await openFolder(process.env.SNUG_DATA ?? 'data') : await openServer(url)
  const { db } = opened
  try {
    if (act === 'list') return (await listBenches(db)).map((b) => `${b.name}${b.open ? '' : ' (nobody can sign in to it)'}`).join('\n')
    const [name, to] = names
    if (act === 'add' && name !== undefined) {
      const said: string[] = []
      for (const each of names) said.push(`${each} signs in with: ${await addBench(db, each)}`)
      return said.join('\n')
    }
    if (act === 'phrase' && name !== undefined) return `${name} signs in with: ${await newPhraseFor(db, name)}`
    if (act === 'rename' && name !== undefined && to !== undefined) {
      await renameBench(db, name, to)
      return `${name} is called ${to} now`
    }
    throw new Error(USE)
  } finally {
    await opened.close()
  }
}

command(main)
