import { EventEmitter } from 'node:events'
import type { News } from '../db/news'

/** Passes news that came through the database to the open windows of the bench it is for. */
export class NewsHub {
  private readonly emitter = new EventEmitter().setMaxListeners(0)

  /** @param payload as the database passed it on */
  pass = (payload: string): void => {
    const { bench, news } = JSON.parse(payload) as { bench: string; news: News }
    if ('signedIn' in news) return void this.emitter.emit(SIGNED_IN, bench)
    if ('handed' in news) this.emitter.emit(HANDED, news.build)
    this.emitter.emit(bench, news)
  }

  /** Something may have been missed: every window is to ask anew. */
  missed = (): void => {
    this.emitter.emit(SIGNED_IN)
    this.emitter.emit(HANDED)
    this.emitter.emit(MISSED)
  }

  /** Who is signed in has changed. @param forget of one bench, or of any */
  onSignedIn(forget: (bench?: string) => void): void {
    this.emitter.on(SIGNED_IN, forget)
  }

  /** @param end called when something may have been missed @returns to stop */
  hear(bench: string, listener: (news: News) => void, end: () => void): () => void {
    this.emitter.on(bench, listener)
    this.emitter.on(MISSED, end)
    return () => {
      this.emitter.off(bench, listener)
      this.emitter.off(MISSED, end)
    }
  }

  /** A build belongs to another bench now. @param forget that one, or any */
  onHanded(forget: (build?: string) => void): void {
    this.emitter.on(HANDED, forget)
  }
}

const MISSED = Symbol('missed')
const SIGNED_IN = Symbol('signed in')
const HANDED = Symbol('handed')
