import { applyChange, mergeOnto, putOnTop, type Build, type Change, type Merged } from '@snug/core'
import { api, ApiProblem, type BuildState } from './api'
import { keepUnsent } from './unsentStore'

/** Where what was changed here stands on its way to the server. */
export type Sending =
  | { is: 'quiet' }
  | { is: 'sending' }
  /** Not taken yet; tried again by itself. */
  | { is: 'waiting'; why: string }
  /** The build was put away elsewhere; nothing goes on until it is brought back. */
  | { is: 'put away'; why: string }
  /** It belongs to another bench now. */
  | { is: 'handed'; why: string }

/** Changes of mine that touch a place another window set to something else meanwhile. */
export type Conflict = Merged['clashing']

const FIRST_RETRY = 2000
const LAST_RETRY = 30_000

interface Ears {
  /** Something about the build or its way changed. */
  tell: () => void
  /** One sentence for the person. */
  say: (sentence: string) => void
}

/**
 * The unsent changes of one build. It belongs to that build alone, whichever is open, and lives until all are acknowledged: one
 * after the other, each on the revision of the last. What fails is kept, merged with what others changed, or asked about.
 */
export class Outbox {
  private queue: Change[] = []
  /** Taken back here before they were sent. */
  private undone: Change[] = []
  private line: Promise<void> = Promise.resolve()
  private busy = 0
  private retry: ReturnType<typeof setTimeout> | undefined
  private wait = FIRST_RETRY
  private heardOf = 0
  sending: Sending = { is: 'quiet' }
  conflict: Conflict = []

  constructor(
    private saved: BuildState,
    private readonly ears: Ears,
  ) {}

  /** Nothing is sent now, and waiting does not help. */
  private get held(): boolean {
    return this.sending.is === 'put away' || this.sending.is === 'handed'
  }
  get id(): string {
    return this.saved.id
  }
  get revision(): number {
    return this.saved.revision
  }
  get unsent(): number {
    return this.queue.length + this.conflict.length
  }
  get canUndo(): boolean {
    return this.queue.length > 0 || this.saved.canUndo
  }
  get canRedo(): boolean {
    return this.undone.length > 0 || (this.saved.canRedo && !this.queue.length)
  }
  /** The build as a person sees it: what the server has, with what is on its way. */
  get shown(): Build {
    return this.queue.reduce(applyChange, this.saved.build)
  }

  push(change: Change): void {
    this.queue.push({ ...change, at: new Date().toISOString() })
    this.undone = []
    this.keep()
    this.send()
  }

  /** Changes another window left behind; they go on top of what is here, or are asked about. */
  adopt(changes: readonly Change[]): void {
    this.queue.push(...changes)
    this.take(this.saved)
    this.send()
  }

  /** Sends what waits, now. */
  send(): void {
    clearTimeout(this.retry)
    if (this.held) return this.ears.tell()
    this.say({ is: 'sending' })
    this.inLine(async () => {
      while (this.queue.length && !this.held) if (!(await this.sendFirst())) return
      if (this.sending.is === 'sending') this.say({ is: 'quiet' })
      this.wait = FIRST_RETRY
    })
  }

  async undo(): Promise<void> {
    await this.line
    const last = this.queue.pop()
    if (!last) return this.step('undo')
    this.undone.push(last)
    this.keep()
    this.ears.tell()
  }

  async redo(): Promise<void> {
    await this.line
    const next = this.undone.pop()
    if (!next) return this.step('redo')
    this.queue.push(next)
    this.keep()
    this.send()
  }

  /** Another window wrote this revision. */
  heard(revision: number): void {
    this.heardOf = Math.max(this.heardOf, revision)
    // While something of mine is under way its own answer says the same, or a conflict does.
    if (!this.busy) this.catchUp()
  }

  heardAway(away: boolean): void {
    if (away) this.say({ is: 'put away', why: `${this.saved.build.name} was put away in another window.` })
    else if (this.sending.is === 'put away') {
      this.sending = { is: 'quiet' }
      this.send()
    }
  }

  /** It belongs to another bench now; what was not sent stays in this browser. */
  heardHanded(to: string): void {
    clearTimeout(this.retry)
    this.say({ is: 'handed', why: `${this.saved.build.name} was handed to ${to}.` })
  }

  /** Fetches the build when others have gone on. */
  private catchUp(): void {
    if (this.heardOf <= this.revision) return
    this.inLine(async () => {
      if (this.heardOf <= this.revision) return
      try {
        const now = await api.build(this.id)
        if (now.revision > this.revision) this.take(now)
        this.ears.tell()
      } catch {
        // Not reachable now; the next change or news finds out.
      }
      this.heardOf = 0
    })
  }

  settle(take: 'theirs' | 'mine'): void {
    const asked = this.conflict
    this.conflict = []
    if (take === 'mine')
      for (const { change } of asked) {
        const again = putOnTop(this.shown, change)
        if (again.edits.length) this.queue.push(again)
        else this.ears.say(`“${change.label}” has no place any more: what it belonged to was taken out in the other window.`)
      }
    this.keep()
    this.send()
  }

  private async sendFirst(): Promise<boolean> {
    const [change] = this.queue
    try {
      const state = await api.change(this.id, this.revision, { label: change!.label, edits: change!.edits })
      this.queue.shift()
      this.saved = { ...state, build: applyChange(this.saved.build, change!) }
      this.keep()
      this.ears.tell()
      return true
    } catch (e) {
      return this.failed(e)
    }
  }

  /** What becomes of the first change after it was not taken. @returns whether to go on with the next */
  private failed(e: unknown): boolean {
    const { status, message, body } = e instanceof ApiProblem ? e : { status: 500, message: String(e), body: {} as ApiProblem['body'] }
    if (status === 409 && body.current) {
      this.take(body.current)
      this.ears.tell()
      return true
    }
    if (status === 410) {
      this.say({ is: 'put away', why: message })
      return false
    }
    if (status === 400 || status === 413 || status === 422) {
      // This one can never be; the others are not to blame.
      const refused = this.queue.shift()
      this.ears.say(`“${refused?.label}” was not taken: ${message}`)
      this.take(this.saved)
      this.ears.tell()
      return true
    }
    this.putOff(message)
    return false
  }

  private putOff(why: string): void {
    clearTimeout(this.retry)
    this.retry = setTimeout(() => this.send(), this.wait)
    this.wait = Math.min(2 * this.wait, LAST_RETRY)
    this.say({ is: 'waiting', why })
  }

  /** The server's state is this now: what waits goes on top of it where it can, and is asked about where it cannot. */
  private take(state: BuildState): void {
    this.saved = state
    const merged = mergeOnto(state.build, this.queue)
    this.queue = merged.kept
    this.conflict = [...this.conflict, ...merged.clashing]
    this.keep()
  }

  private step(kind: 'undo' | 'redo'): Promise<void> {
    this.inLine(async () => {
      // Asked for by a key where there is nothing: no error, and only known once all before it is through.
      if (!(kind === 'undo' ? this.saved.canUndo : this.saved.canRedo)) return
      try {
        this.saved = await api[kind](this.id, this.revision)
        this.ears.tell()
      } catch (e) {
        if (e instanceof ApiProblem && e.status === 409 && e.body.current) {
          this.take(e.body.current)
          this.ears.say(
            'Another window changed this build meanwhile, so nothing was taken back. Look at what is there now, then undo again.',
          )
          this.ears.tell()
        } else this.ears.say(e instanceof Error ? e.message : String(e))
      }
    })
    return this.line
  }

  /** One after the other. Nothing that goes wrong in one keeps the next from its turn: what waits would never be sent. */
  private inLine(work: () => Promise<void>): void {
    this.busy++
    this.line = this.line
      .then(work)
      .catch((e: unknown) => this.putOff(String(e)))
      // Whoever should hear of it cannot; it is tried again all the same.
      .catch(() => undefined)
      .then(() => {
        this.busy--
        if (!this.busy) this.catchUp()
      })
  }

  private say(sending: Sending): void {
    this.sending = sending
    this.ears.tell()
  }

  private keep(): void {
    keepUnsent(this.id, [...this.queue, ...this.conflict.map((c) => c.change)])
  }
}
