import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { inject } from 'vitest'
import { EMPTY } from './postgres'

/** A database of its own on the tests' PostgreSQL. @param copied of an empty one that is up to date; otherwise there is nothing in it @returns its address */
export async function newDatabase(copied = true): Promise<string> {
  const address = inject('postgres')
  const admin = new pg.Client({ connectionString: address })
  await admin.connect()
  const name = `snug_${randomUUID().replaceAll('-', '')}`
  await admin.query(`create database ${name} template ${copied ? EMPTY : 'template0'}`)
  await admin.end()
  return Object.assign(new URL(address), { pathname: `/${name}` }).href
}
