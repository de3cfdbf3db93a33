import { EventEmitter } from 'node:events'

/** What other windows hear of: a build got a new revision, was put away or brought back; or the stock changed. */
export type News = { build: string; revision?: number; away?: boolean } | { stock: true }

/** Passes news from whoever writes to every open window. */
export class NewsHub {
  private readonly emitter = new EventEmitter().setMaxListeners(0)
  tell = (news: News): void => void this.emitter.emit('news', news)
  hear(listener: (news: News) => void): () => void {
    this.emitter.on('news', listener)
    return () => void this.emitter.off('news', listener)
  }
}
