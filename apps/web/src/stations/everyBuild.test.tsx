import { anyBuild } from '@snug/core/testing/anyBuild'
import { drillable } from '@snug/core/testing/drillable'
import { anAct } from '@snug/core/testing/edits'
import { act, cleanup, fireEvent, waitFor } from '@testing-library/react'
import fc from 'fast-check'
import type { ComponentType } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { layOut, show } from '../testing/bench'
import Drill from './drill/DrillStation'
import Finish from './finish/FinishStation'
import Fit from './fit/FitStation'
import Log from './log/LogStation'
import Parts from './parts/PartsStation'
import Plan from './plan/PlanStation'
import Setup from './setup/SetupStation'
import Wire from './wire/WireStation'

vi.mock('../workers/compute', () => import('../testing/localCompute'))
vi.mock('../state/api', () => import('../testing/localApi'))
// jsdom draws nothing on a canvas.
vi.mock('react-chartjs-2', () => ({ Bar: () => null, Line: () => null }))

const STATIONS: Record<string, ComponentType> = {
  parts: Parts,
  fit: Fit,
  drill: Drill,
  wire: Wire,
  finish: Finish,
  setup: Setup,
  plan: Plan,
  log: Log,
}
const worked = fc
  .tuple(fc.oneof(anyBuild, anyBuild.map(drillable)), fc.array(anAct, { minLength: 5, maxLength: 25 }))
  .map(([build, acts]) => acts.reduce((b, one) => one(b), build))
/** What a tab is made of is fetched, and works itself out. */
const settled = async (where: string) => {
  await waitFor(() => expect(document.body.textContent!.length, where).toBeGreaterThan(100))
  await act(() => new Promise<void>((done) => setTimeout(done, 20)))
}
const tabs = () => [...document.querySelectorAll<HTMLElement>('[role=tab]')]

// Drawn anew each time: a few in a short run, many in a long one.
const builds = fc.sample(worked, { numRuns: globalThis.lawsAreLong ? 30 : 2, seed: globalThis.drawnSeed! })

describe(`every tab of every station shows a build somebody worked on, drawn by DRAWN_SEED=${globalThis.drawnSeed}`, () => {
  it.each(Object.entries(STATIONS))('%s', async (name, Station) => {
    for (const build of builds) {
      layOut(build)
      show(<Station />, name)
      await settled(name)
      for (let n = 0; n < Math.max(1, tabs().length); n++) {
        const where = `${name}, ${tabs()[n]?.textContent}`
        if (n) fireEvent.click(tabs()[n]!)
        await settled(where)
        expect(/.{0,60}(NaN|undefined|Infinity|\[object).{0,30}/.exec(document.body.textContent!)?.[0], where).toBeUndefined()
      }
      cleanup()
    }
  })
})
