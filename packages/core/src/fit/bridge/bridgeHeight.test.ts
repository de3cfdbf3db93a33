import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { untold } from '../../testing/anyBuild'
import { checkIn, judgeRows } from '../../testing/rows'

describe('neck angle and bridge height', () => {
  judgeRows([
    {
      what: 'the bridge ends 3 mm too low',
      joint: 'bridge-height',
      check: 'high-stop',
      verdict: 'wont-go',
      sizes: { 'bridge/height.max': 10.5 },
      says: /Strings lie too low/,
      job: /^Tip the neck/,
    },
    {
      what: 'the bridge at its stop',
      joint: 'bridge-height',
      check: 'low-stop',
      verdict: 'wont-go',
      sizes: { 'bridge/height.min': 14.5, 'bridge/height.max': 20 },
      says: /at its stop the action stays/,
      job: /^Tilt the neck/,
    },
    {
      what: 'a hair over the stop',
      joint: 'bridge-height',
      check: 'low-stop',
      verdict: 'tight',
      says: 'Saddles stand 13.3 mm above the body, only 0.3 mm over the bridge’s lowest stop.',
      job: 'Tilt the neck 0.09° back: a tapered shim, 0.12 mm at the pocket’s end.',
      sizes: { 'bridge/height.min': 13.02 },
    },
    {
      what: 'a bridge cover 12 mm tall',
      joint: 'bridge-height',
      check: 'cover-bridge',
      verdict: 'wont-go',
      says: 'Run right down the bridge cover still stands 1.8 mm into the strings held at the last fret; 1.6 of air is wanted.',
      job: 'Let the bridge pickup 3.6 mm deeper: deepen its route, or raise the strings with a plate under the heel.',
      sizes: { 'pickup-bridge/above': 12 },
    },
  ])
  it('strings too low: a plate, or the neck tipped forward; both land inside', () => {
    const low = changed(fullBuild(), { 'bridge/height.max': 12.6 })
    expect(jointIn(low, 'bridge-height').cures.map((c) => c.id)).toEqual(['less-tilt', 'deepen-pocket', 'taller-bridge'])
    const flat = jointIn(changed(low, {}, { 'bridge/mount': 'six-screw' }), 'bridge-height')
    expect(flat.cures.map((c) => c.id)).toEqual(['bridge-plate', 'less-tilt', 'deepen-pocket', 'taller-bridge'])
  })
  it('a heel with its own tilt screw is turned before anything is cut', () => {
    const stop = changed(fullBuild(), { 'bridge/height.min': 14.5, 'bridge/height.max': 20 }, { 'neck/tiltScrew': 'screw' })
    expect(jointIn(stop, 'bridge-height').cures[0]!.id).toBe('tilt-screw')
  })
  it('the bridge as it was set: action at fret 12 from its height, and the turns that bring it right', () => {
    const at = (saddle: number): Build => ({ ...fullBuild(), setup: { ...fullBuild().setup, saddle } })
    const wanted = Number(/needs|stand ([\d.]+) mm/.exec(jointIn(fullBuild(), 'bridge-height').says)![1])
    expect(checkIn(at(wanted), 'bridge-height', 'as-set').raw.verdict).toBe('snug')
    const high = checkIn(at(wanted + 1.4), 'bridge-height', 'as-set')
    expect(high.raw.verdict).toBe('loose')
    expect(high.clearance[0]!.mean).toBeCloseTo(0.7, 1)
    // A two-stud vibrato hangs from its studs: 1.4 mm down on threads of 0.5 mm are 2.8 turns into the body, clockwise.
    const job = (build: Build) => checkIn(build, 'bridge-height', 'as-set').cures[0]!
    expect(job(at(wanted + 1.4)).job).toBe('Saddles down by 1.4 mm: the studs 2 7/8 turns clockwise, seen from above.')
    // Grub screws through the saddles lift them clockwise.
    const grub = changed(at(wanted + 1.4), {}, { 'bridge/mount': 'screws' })
    expect(job(grub).job).toBe('Saddles down by 1.4 mm: the saddle screws 2 7/8 turns counter-clockwise, seen from above.')
    expect(job(grub).how).toMatch(/both screws of each saddle/)
    // Nobody has said its thread: which way, and no figure by what is only usual.
    const threadless = (build: Build) => untold(build, 'sizes', 'bridge', 'height.pitch')
    expect(job(threadless(at(wanted + 1.4))).job).toBe('Saddles down by 1.4 mm: the studs clockwise, seen from above.')
    expect(job(threadless(grub)).job).toBe('Saddles down by 1.4 mm: the saddle screws counter-clockwise, seen from above.')
    expect(job(threadless(at(wanted - 1))).job).toBe('Saddles up by 1 mm: the studs counter-clockwise, seen from above.')
    expect(job(threadless(grub)).how).toMatch(/half a turn at a time, measured after each/)
    // Nobody has said what carries them: no turns.
    expect(job(untold(grub, 'traits', 'bridge', 'mount')).job).toBe('Saddles down by 1.4 mm, by the screws that carry them.')
    expect(checkIn(at(wanted - 1), 'bridge-height', 'as-set').raw.verdict).toBe('tight')
    expect(checkIn(at(wanted - 1), 'bridge-height', 'as-set').cures[0]!.job).toMatch(/up by 1 mm/)
  })
})
