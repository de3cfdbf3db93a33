import { existsSync, statfsSync } from 'node:fs'
import { open, rm } from 'node:fs/promises'
import { join } from 'node:path'

/** Free room, bytes, under which nothing is written any more: three pieces of the database's log and an ordinary import. [ours] */
export const ROOM_TO_WRITE = 64e6
/** What a new database takes, with room to grow. [ours] */
export const ROOM_TO_START = 160e6
/** Kept back in a file of the data folder, given up so that a database that ran out of room can be opened again and read. */
const RESERVE = 40e6

/** The disk is full: nothing was written, reading goes on. */
export class NoRoom extends Error {
  constructor(folder: string, free: number, wanted: number) {
    super(
      `The disk of the data folder ${folder} is full: ${Math.max(0, Math.floor(free / 1e6))} MB are free and ${wanted / 1e6} MB are needed. Nothing was written, and nothing is lost. Make room, then do it again.`,
    )
  }
}

const freeIn = (folder: string): number => {
  const { bavail, bsize } = statfsSync(folder)
  return bavail * bsize
}

/** @throws NoRoom */
export function wantRoom(folder: string, wanted = ROOM_TO_WRITE): void {
  const free = freeIn(folder)
  if (free < wanted) throw new NoRoom(folder, free, wanted)
}

const reserveOf = (folder: string) => join(folder, 'room-kept-back')

/** Lays the reserve by where there is plenty of room; real bytes, since a hole in a file keeps nothing back. */
export async function keepReserve(folder: string): Promise<void> {
  if (existsSync(reserveOf(folder)) || freeIn(folder) < ROOM_TO_WRITE + 2 * RESERVE) return
  const file = await open(reserveOf(folder), 'w')
  try {
    const piece = Buffer.alloc(1e6, 0x5b)
    for (let written = 0; written < RESERVE; written += piece.length) await file.write(piece)
  } finally {
    await file.close()
  }
}

export const giveUpReserve = (folder: string): Promise<void> => rm(reserveOf(folder), { force: true })
