import { DatabaseStopped, type WatchedPGlite } from './durable'

/** What the rest of the server speaks to: the part of a database client that queries go through. */
export type Client = Pick<WatchedPGlite, 'query' | 'exec' | 'transaction'>

/**
 * A client that outlives its database: when the one it had has stopped, the next call opens another on the same folder. Calls come
 * one after the other, so that none is under way in a database that has just stopped.
 */
export class LivingClient {
  private line: Promise<unknown> = Promise.resolve()
  private readonly heard: [channel: string, hear: (payload: string) => void, missed: () => void][] = []

  constructor(
    private current: WatchedPGlite,
    private readonly reopen: () => Promise<WatchedPGlite>,
  ) {}

  query = (...args: Parameters<Client['query']>) => this.next((db) => db.query(...args))
  exec = (...args: Parameters<Client['exec']>) => this.next((db) => db.exec(...args))
  transaction = <T>(run: Parameters<WatchedPGlite['transaction']>[0]) => this.next((db) => db.transaction(run) as Promise<T>)

  /** Hears what is told on a channel, also of a database opened later. @param missed a database stopped, and what it told last may be lost */
  listen(channel: string, hear: (payload: string) => void, missed: () => void): Promise<unknown> {
    this.heard.push([channel, hear, missed])
    return this.next((db) => db.listen(channel, hear))
  }

  /** Waits for what is under way, then ends it. */
  close = () => this.next(async (db) => void (db.stopped || (await db.close())))

  private next<T>(speak: (db: WatchedPGlite) => Promise<T>): Promise<T> {
    const turn = this.line.then(async () => {
      if (this.current.stopped) this.current = await this.revived(this.current.stopped)
      try {
        return await speak(this.current)
      } catch (e) {
        // What it says after stopping tells nothing; why it stopped does.
        throw this.current.stopped ?? e
      }
    })
    this.line = turn.catch(() => undefined)
    return turn
  }

  private async revived(stopped: DatabaseStopped): Promise<WatchedPGlite> {
    try {
      const next = await this.reopen()
      for (const [channel, hear, missed] of this.heard) {
        await next.listen(channel, hear)
        missed()
      }
      return next
    } catch (e) {
      throw new DatabaseStopped(e ?? stopped.reason)
    }
  }
}
