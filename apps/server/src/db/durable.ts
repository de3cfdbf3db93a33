import { PGlite, type PGliteOptions } from '@electric-sql/pglite'
import { NodeFS } from '@electric-sql/pglite/nodefs'
import { fsyncSync } from 'node:fs'

/** Brings one file to the disk itself. Tests hand in one that counts. */
export type Sync = (descriptor: number) => void

interface Stream {
  nfd: number
}
interface Mounts {
  NODEFS: { stream_ops: { fsync?: (stream: Stream) => number } }
}

/**
 * The data folder as the database's file system, with the one thing it lacks: what the database asks to be brought to the disk is
 * brought there, before it goes on. The database itself knows when (its write-ahead log at each commit, before the commit is
 * answered; its tables at each checkpoint, before the log they came from is given up), so power loss costs nothing acknowledged.
 */
class DurableFolder extends NodeFS {
  constructor(
    folder: string,
    private readonly sync: Sync,
  ) {
    super(folder)
  }
  override async init(...args: Parameters<NodeFS['init']>) {
    const made = await super.init(...args)
    made.emscriptenOpts.preRun = [
      ...(made.emscriptenOpts.preRun as ((module: object) => void)[]),
      (module: object) => {
        ;(module as Mounts).NODEFS.stream_ops.fsync = ({ nfd }) => {
          this.sync(nfd)
          return 0
        }
      },
    ]
    return made
  }
}

/** The database has stopped in the middle of something and must not be spoken to again: it would never answer. */
export class DatabaseStopped extends Error {
  constructor(readonly reason: unknown) {
    super('The database has stopped.')
  }
}

/** A database that remembers that it has stopped (severity PANIC: mostly no room for its log) and refuses every word after that. */
export class WatchedPGlite extends PGlite {
  stopped: DatabaseStopped | undefined
  override execProtocolRawSync(message: Uint8Array): Uint8Array {
    if (this.stopped) throw this.stopped
    return super.execProtocolRawSync(message)
  }
  override async execProtocolStream(...args: Parameters<PGlite['execProtocolStream']>) {
    return this.watching(() => super.execProtocolStream(...args))
  }
  override async execProtocol(...args: Parameters<PGlite['execProtocol']>) {
    return this.watching(() => super.execProtocol(...args))
  }
  private async watching<T>(speak: () => Promise<T>): Promise<T> {
    try {
      return await speak()
    } catch (e) {
      // An error that is not the database's own (no severity) came out of its machinery: its state is unknown.
      const severity = e instanceof Error && 'severity' in e ? e.severity : 'PANIC'
      if (severity === 'PANIC' || severity === 'FATAL') this.stopped ??= e instanceof DatabaseStopped ? e : new DatabaseStopped(e)
      throw e
    }
  }
}

/**
 * Never without syncing; the log in pieces that are given back early, so that a small disk is not filled by it; and the
 * synchronising call that reaches the folder.
 */
const SETTINGS = ['wal_sync_method=fsync', 'max_wal_size=64MB', 'min_wal_size=32MB']
const START = [...PGlite.defaultStartParams.filter((p) => p !== '-F'), ...SETTINGS.flatMap((s) => ['-c', s])]

/** Opens, or at first makes, the database in a folder. */
export async function durable(folder: string, sync: Sync = fsyncSync): Promise<WatchedPGlite> {
  return watched({ fs: new DurableFolder(folder, sync), startParams: START })
}

export async function watched(options: PGliteOptions): Promise<WatchedPGlite> {
  const client = new WatchedPGlite(options)
  await client.waitReady
  return client
}
