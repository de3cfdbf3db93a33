/** Somebody who may write: where, and as whom. */
export interface Door {
  url: string
  cookie?: string
}

export interface State {
  id: string
  revision: number
  build: { budget?: number }
}

export async function ask<T = State>(door: Door, path: string, body?: object): Promise<T> {
  const headers = { 'content-type': 'application/json', ...(door.cookie ? { cookie: door.cookie } : {}) }
  const answer = await fetch(`${door.url}/api${path}`, body ? { method: 'POST', headers, body: JSON.stringify(body) } : { headers })
  if (!answer.ok) throw new Error(`${answer.status} ${path}: ${await answer.text()}`)
  return (await answer.json()) as T
}

/** Builds that are written to without pause, each by one writer, and what was answered of them. */
export class Load {
  /** Highest revision that was answered, by build. */
  readonly answered = new Map<string, number>()
  private stopping = false
  private running: Promise<void>[] = []

  static async on(door: Door, builds: number): Promise<Load> {
    const load = new Load()
    for (let n = 0; n < builds; n++) {
      const { id } = await ask(door, '/builds', { name: `Load ${n}`, handedness: 'right', strings: 6, scale: 647.7 })
      load.answered.set(id, 0)
    }
    return load
  }

  get total(): number {
    return [...this.answered.values()].reduce((a, b) => a + b, 0)
  }

  /** Begins to write; each writer ends by itself when it is not answered any more. */
  begin(door: Door): void {
    this.stopping = false
    this.running = [...this.answered.keys()].map((id) => this.write(door, id))
  }

  async end(): Promise<void> {
    this.stopping = true
    await Promise.all(this.running)
  }

  private async write(door: Door, id: string): Promise<void> {
    while (!this.stopping) {
      const revision = this.answered.get(id)!
      const edits = [{ path: ['budget'], ...(revision ? { from: revision } : {}), to: revision + 1 }]
      try {
        const state = await ask(door, `/builds/${id}/changes`, { revision, label: 'count', edits })
        this.answered.set(id, state.revision)
      } catch {
        return
      }
    }
  }

  /**
   * What is there now against what was answered before. One more may be there: written, but its answer never arrived.
   * @returns builds of which something answered is missing
   */
  async compare(door: Door): Promise<{ lost: number; odd: string[] }> {
    let lost = 0
    const odd: string[] = []
    for (const [id, answered] of this.answered) {
      const { revision, build } = await ask(door, `/builds/${id}`)
      lost += Math.max(0, answered - revision)
      if (revision > answered + 1) odd.push(`${id}: revision ${revision}, answered ${answered}`)
      if ((build.budget ?? 0) !== revision) odd.push(`${id}: revision ${revision} says ${build.budget}`)
      this.answered.set(id, revision)
    }
    return { lost, odd }
  }
}
