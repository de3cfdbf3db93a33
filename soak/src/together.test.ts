import { edit, type Build } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { toBundle } from '@snug/formats'
import { mkdtemp, rm, chmod } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { Draw } from '../../apps/server/src/fuzz/mutate'
import { builtServer, killAll } from '../../apps/server/src/testing/serverProcess'
import type { Outbox } from '../../apps/web/src/state/outbox'
import { PATIENCE, report, rounds, SEED } from './length'
import { folderPlace, hasPostgres, serverPlace } from './places'
import { ask, type Door } from './writers'

let home: string
let makeOutbox: typeof Outbox
const directly = globalThis.fetch
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-soak-together-'))
  await chmod(home, 0o711)
  await builtServer()
  // What a window of the interface has round it and this program has not.
  Object.assign(globalThis, { localStorage: { setItem() {}, removeItem() {}, getItem: () => null, length: 0 } })
  if (!('navigator' in globalThis)) Object.assign(globalThis, { navigator: {} })
  makeOutbox = (await import('../../apps/web/src/state/outbox')).Outbox
})
afterAll(async () => {
  await killAll()
  await rm(home, { recursive: true, force: true })
})
beforeEach(() => void (globalThis.fetch = directly))

/** From now on the interface's own requests go to these, one after the other, as behind something that spreads them. */
function spreadOver(doors: Door[]): void {
  let turn = 0
  globalThis.fetch = (path, init) => {
    if (!String(path).startsWith('/api')) return directly(path, init)
    const { url, cookie } = doors[turn++ % doors.length]!
    return directly(`${url}${String(path)}`, { ...init, headers: { ...(init?.headers as object), ...(cookie ? { cookie } : {}) } })
  }
}

/** A window on a build: its unsent changes, what it is asked, and news it hears like any other window. */
async function windowOn(door: Door, id: string, n: number) {
  const state = await ask<ConstructorParameters<typeof Outbox>[0]>(door, `/builds/${id}`)
  const said: string[] = []
  let asked = 0
  const outbox = new makeOutbox(state, {
    tell: () => undefined,
    say: (sentence) => void said.push(sentence),
  })
  const ending = new AbortController()
  const news = await directly(`${door.url}/api/news`, { signal: ending.signal, headers: door.cookie ? { cookie: door.cookie } : {} })
  const hearing = (async () => {
    const text = new TextDecoder()
    for await (const chunk of news.body!)
      for (const [, line] of text.decode(chunk as Uint8Array).matchAll(/data: (.*)\n/g)) {
        const { build, revision } = JSON.parse(line!) as { build?: string; revision?: number }
        if (build === id && revision !== undefined) outbox.heard(revision)
      }
  })().catch(() => undefined)
  return {
    outbox,
    said,
    asked: () => asked,
    /** Answers what it is asked, if it is. */
    settle: (take: 'mine' | 'theirs') => {
      if (!outbox.conflict.length) return
      for (const { clashes } of outbox.conflict)
        for (const { mine, theirs } of clashes) {
          // Asked for a reason: they are different, and what stands there is not this window's own.
          expect(theirs).not.toBe(mine)
          expect(Math.floor(Number(theirs) / 1000)).not.toBe(n)
          asked++
        }
      outbox.settle(take)
    },
    close: async () => {
      ending.abort()
      await hearing
    },
  }
}

const SLOTS = ['body', 'neck', 'bridge', 'tuners'] as const
const price = (build: Build, slot: string) => (build.parts as Record<string, { price?: number }>)[slot]!.price

const KINDS = [
  ['PGlite', (at: string) => folderPlace(at), true, 1],
  ['PostgreSQL', (at: string) => serverPlace(at), hasPostgres(), 2],
] as const

describe.each(KINDS)('two benches with two windows each on one build, on %s', (name, make, here, processes) => {
  it.skipIf(!here)(
    'end up with the same, nothing lost, and were asked nothing where they did not meet',
    { timeout: PATIENCE },
    async () => {
      const place = await make(join(home, name))
      const doors = [await place.start()]
      if (processes === 2) doors.push(await place.another!())
      spreadOver(doors)
      const build = fullBuild()
      const { id } = await ask(doors[0]!, '/import', toBundle(build, [], new Date().toISOString()))
      const windows = await Promise.all(SLOTS.map((_, n) => windowOn(doors[n % doors.length]!, id, n)))
      const times = rounds(20, 10_000)
      const began = performance.now()

      // Each its own price first: they never meet.
      const own = async (n: number, count: number) => {
        const { outbox } = windows[n]!
        for (let i = 1; i <= count; i++) {
          outbox.push({ label: `${SLOTS[n]} ${i}`, edits: [edit(outbox.shown, ['parts', SLOTS[n]!, 'price'], i)] })
          // A person takes a moment now and then; the queue empties.
          if (i % 5 === 0) while (outbox.unsent && !outbox.conflict.length) await sleep(1)
        }
      }
      await Promise.all(SLOTS.map((_, n) => own(n, times)))
      const settled = async () => {
        while (windows.some((w) => w.outbox.unsent || w.outbox.sending.is === 'sending')) await sleep(5)
      }
      await settled()
      expect(windows.map((w) => w.outbox.conflict.length)).toEqual([0, 0, 0, 0])
      expect(windows.flatMap((w) => w.said)).toEqual([])
      const after = await ask<{ revision: number; build: Build }>(doors[0]!, `/builds/${id}`)
      expect(SLOTS.map((slot) => price(after.build, slot))).toEqual([times, times, times, times])
      expect(after.revision).toBe(4 * times)
      report(
        `${name}: four windows, ${4 * times} changes of one build in ${Math.round((performance.now() - began) / 1000)} s, none lost, nothing asked`,
      )

      // Then all of them the same one: asked where two met, and whoever answers last has it.
      const draw = new Draw(SEED)
      const meetings = rounds(3, 500)
      const meet = async (n: number) => {
        const { outbox, settle } = windows[n]!
        for (let i = 1; i <= meetings; i++) {
          outbox.push({ label: `budget ${n}.${i}`, edits: [edit(outbox.shown, ['budget'], 1000 * n + i)] })
          while (outbox.unsent) {
            settle(draw.of(['mine', 'theirs']))
            await sleep(1)
          }
        }
      }
      await Promise.all(SLOTS.map((_, n) => meet(n)))
      await settled()
      const last = await ask<{ revision: number; build: Build }>(doors[0]!, `/builds/${id}`)
      for (const w of windows) {
        w.outbox.heard(last.revision)
        while (w.outbox.revision < last.revision) await sleep(5)
        expect(w.outbox.shown).toEqual(last.build)
        await w.close()
      }
      const questions = windows.reduce((sum, w) => sum + w.asked(), 0)
      report(`${name}: then ${4 * meetings} changes of one and the same size, ${questions} questions; all windows show the same`)
      await place.kill()
    },
  )
})
