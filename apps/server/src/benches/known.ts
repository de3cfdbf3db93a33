import { hashed } from '../share/token'
import type { Db } from '../db/open'
import { signedIn } from './store'

/** Longest a session is not looked up again, ms; a process hears of a change sooner. [ours] */
const HOLDS = 30_000
const MOST = 5000

interface Who {
  id: string
  name: string
}

/**
 * Who is signed in, looked up once in a while and not at every request. Whatever process ends a session tells the others through the
 * database; a process that may have missed that forgets everything.
 */
export class Known {
  private readonly held = new Map<string, { who: Who; until: number }>()

  constructor(private readonly db: Db) {}

  async who(token: string | undefined): Promise<Who | undefined> {
    if (!token) return undefined
    const key = hashed(token)
    const held = this.held.get(key)
    if (held && held.until > Date.now()) return held.who
    const who = await signedIn(this.db, token)
    if (this.held.size >= MOST) this.held.clear()
    if (who) this.held.set(key, { who, until: Date.now() + HOLDS })
    else this.held.delete(key)
    return who
  }

  /** @param bench whose devices are to be looked up again; without it, everybody's */
  forget = (bench?: string): void => {
    for (const [key, { who }] of this.held) if (bench === undefined || who.id === bench) this.held.delete(key)
  }
}
