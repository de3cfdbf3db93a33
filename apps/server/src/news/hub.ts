import { EventEmitter } from 'node:events'
import type { News } from '../db/news'

/** Passes news that came through the database to the open windows of the bench it is for. */
export class NewsHub {
  private readonly emitter = new EventEmitter().setMaxListeners(0)

  /** @param payload as the database passed it on */
  pass = (payload: string): void => {
    const { bench, news } = JSON.parse(payload) as { bench: string; news: News }
    this.emitter.emit(bench, news)
  }

  /** Something may have been missed: every window is to ask anew. */
  missed = (): void => void this.emitter.emit(MISSED)

  /** @param end called when something may have been missed @returns to stop */
  hear(bench: string, listener: (news: News) => void, end: () => void): () => void {
    this.emitter.on(bench, listener)
    this.emitter.on(MISSED, end)
    return () => {
      this.emitter.off(bench, listener)
      this.emitter.off(MISSED, end)
    }
  }
}

const MISSED = Symbol('missed')
