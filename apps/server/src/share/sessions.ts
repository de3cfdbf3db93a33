import { hashed, newToken } from './token'

/** Days a device stays let in, while the server runs. */
const DAYS = 30
/** Devices that are let in at once; the one longest ago gives way. */
const MOST = 50

/** Devices that said the phrase: only hashes of their tokens are held, and only as long as the server runs. */
export class Sessions {
  private readonly until = new Map<string, number>()

  constructor(private readonly clock: () => number = Date.now) {}

  open(): string {
    const token = newToken()
    if (this.until.size >= MOST) this.until.delete(this.until.keys().next().value!)
    this.until.set(hashed(token), this.clock() + DAYS * 86_400_000)
    return token
  }

  holds(token: string | undefined): boolean {
    const until = token === undefined ? undefined : this.until.get(hashed(token))
    return until !== undefined && until > this.clock()
  }

  close(token: string | undefined): void {
    if (token !== undefined) this.until.delete(hashed(token))
  }
}
