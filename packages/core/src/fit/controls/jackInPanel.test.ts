import { describe, expect, it } from 'vitest'
import { harnessOf } from '../../circuit/schemes/harnessOf'
import { holeCards } from '../../drill/holes'
import type { Build } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { controlPlace } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { idleFor } from '../../instrument/idleParts'
import { leadRun } from '../../instrument/leads'
import { wantedFor } from '../../instrument/wantedParts'
import { JACK_PLATE } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { drillable } from '../../testing/drillable'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { onAPlate } from '../../testing/onAPlate'
import { checkIn, judgeRows } from '../../testing/rows'

/** Plate 1.8 thick, its jack's hole 9.8; jack 9.5, 8 mm of thread, 30 deep with its plug in; route 38. */
const onPlate = (): Build =>
  changed(
    onAPlate(),
    {
      'control-plate/jack.x': 142,
      'control-plate/jack.y': 0,
      'control-plate/jack.hole': 9.8,
      'jack/depth': 30,
      'jack/nut.thickness': 2.2,
      'jack/washer.thickness': 0.6,
    },
    { 'jack/held': 'panel' },
  )
const inGuard = (): Build =>
  changed(
    fullBuild(),
    {
      'guard/jack.x': 232,
      'guard/jack.y': -88,
      'guard/jack.hole': 9.8,
      'jack/depth': 30,
      'jack/nut.thickness': 2.2,
      'jack/washer.thickness': 0.6,
    },
    { 'jack/held': 'panel' },
  )

describe('a jack of which nobody has said where it sits', () => {
  // Bored 9.8 with room for its plug it goes into the wood; 45 deep it meets the floor of a control route of 38.
  const open = (depth: number) => jointIn(changed(onPlate(), { 'jack/depth': depth }, { 'jack/held': undefined }), 'jack')
  const told = (depth: number, held: string) => jointIn(changed(onPlate(), { 'jack/depth': depth }, { 'jack/held': held }), 'jack').verdict
  it('is held to the wood and to what carries the controls: what only the one lets through is asked', () => {
    expect([told(45, 'thread'), told(45, 'panel')]).toEqual(['snug', 'wont-go'])
    expect(open(45).verdict).toBe('cant-tell')
    expect(open(45).untold).toContainEqual({ slot: 'jack', trait: 'held' })
  })
  it('what both let through is told without', () => {
    expect([told(30, 'thread'), told(30, 'panel')]).toEqual(['snug', 'snug'])
    expect(open(30).verdict).toBe('snug')
  })
})

describe('a jack beside the controls', () => {
  judgeRows(
    [
      {
        what: 'hole for a smaller jack',
        joint: 'jack',
        check: 'hole',
        verdict: 'tight',
        says: 'The hole is 9.3 mm and the jack needs 9.5 mm.',
        job: 'Ream the jack’s hole in the control plate to 9.8 mm.',
        sizes: { 'control-plate/jack.hole': 9.3 },
      },
      {
        what: 'hole 1.5 too wide',
        joint: 'jack',
        check: 'hole',
        verdict: 'loose',
        says: 'The hole is 11 mm and the jack needs 9.5 mm.',
        job: 'Put a flat washer wider than the hole on either face.',
        sizes: { 'control-plate/jack.hole': 11 },
      },
      // 4 - 1.8 - 0.6 - 2.2 = -0.6; half a millimetre and a little is kept over the nut.
      {
        what: 'thread too short',
        joint: 'jack',
        check: 'thread',
        verdict: 'wont-go',
        says: 'The thread is 0.6 mm too short for control plate, washer and nut.',
        job: /^Take a jack with at least \d+(\.\d)? mm of thread\.$/,
        sizes: { 'jack/thread.length': 4 },
      },
      // 38 - 52.
      {
        what: 'plug deeper than the route',
        joint: 'jack',
        check: 'room',
        verdict: 'wont-go',
        says: 'The jack with its plug in is 52 mm deep and the control route 38 mm: the plug meets its floor.',
        // 38 + 16.5 would come out at the back of a 44 mm body.
        job: 'Take a jack no deeper than 36 mm with its plug in.',
        sizes: { 'jack/depth': 52 },
      },
      {
        what: '1 mm under the plug',
        joint: 'jack',
        check: 'room',
        verdict: 'tight',
        says: 'The plug ends 1 mm above the control route’s floor.',
        job: 'Deepen the control route under the jack by 1.5 mm, to 39.5 mm.',
        sizes: { 'jack/depth': 37 },
      },
    ],
    onPlate,
  )
  it('is judged by its hole in the guard as well', () => {
    expect(jointIn(inGuard(), 'jack')).toMatchObject({ title: 'Jack in the guard', verdict: 'snug' })
    expect(checkIn(changed(inGuard(), { 'guard/jack.hole': 9.3 }), 'jack', 'hole').cures[0]!.job).toBe(
      'Ream the jack’s hole in the guard to 9.8 mm.',
    )
  })
  it('stands where its hole is, in the drawing and in the harness; its lead goes with what carries it', () => {
    const b = onPlate()
    // 190 + 142, and 78 out; the volume 58 before it, and 40 of slack, whichever way the plate lies.
    const at = controlPlace(b, 'jack')
    expect([at.x - datums(b).mouth, at.y]).toEqual([332, -78])
    expect(leadRun(b, 'jack')).toMatchObject({ closed: 98, open: 98 })
    const wired = harnessOf(b)
    const harness = wired.ok ? wired.harness : undefined
    expect(harness!.components.find((c) => c.is === 'jack')!.at).toEqual(at)
    const guard = inGuard()
    expect([controlPlace(guard, 'jack').x - datums(guard).heelEnd, controlPlace(guard, 'jack').y]).toEqual([232, -88])
    expect(leadRun(guard, 'jack')!.open).toBe(leadRun(guard, 'jack')!.closed)
  })
  it('wants no bore in the rim, no passage and no plate of its own; its hole is made in what carries it', () => {
    for (const [build, where] of [
      [onPlate(), 'control plate'],
      [inGuard(), 'guard'],
    ] as const) {
      const cards = holeCards(drillable(build))
      expect(cards.filter((c) => /^jack-(bore|passage)$/.test(c.id))).toEqual([])
      expect(cards.find((c) => c.id === 'jack-hole')).toMatchObject({ title: `Jack hole in the ${where}`, side: where, work: 'keep' })
    }
    const plated = { ...onPlate(), parts: { ...onPlate().parts, 'jack-plate': JACK_PLATE } }
    expect(idleFor(plated.parts, 'jack-plate')).toBe('the jack is held by its own thread')
    expect(holeCards(drillable(plated)).some((c) => c.id === 'jack-plate')).toBe(false)
  })
  it('a new route on a plate has room for the plug', () => {
    const uncut = Object.fromEntries(['x', 'y', 'length', 'width', 'depth'].map((s) => [`body/control.${s}`, undefined]))
    const b = changed(drillable(onPlate()), { ...uncut, 'jack/width': 21 }, { 'body/routed.control': 'none', 'body/access': 'front' })
    const c = holeCards(b).find((k) => k.id === 'route-control')!
    // The plug is the tallest, 30, and 4 for wires; to the tail it reaches 142 + 10.5 where the tone pot ended at 132.
    expect(c.depth).toBe(34)
    expect(c.from.some((f) => f.startsWith('jack: 332 mm'))).toBe(true)
  })
  it('is soldered with them: no passage is spoken of, and nothing but the plate goes in', () => {
    const steps = evaluate(onPlate(), '2026-11-28').plan.steps
    expect(steps.find((s) => s.id === 'harness-in')!.title).toBe('Harness into the body: leads through, pickups and control plate in')
    expect(steps.find((s) => s.id === 'solder')!.why).toContain('grounds; jack; pickups where their wires must pass first')
    const guard = evaluate(inGuard(), '2026-11-28').plan.steps
    expect(guard.find((s) => s.id === 'solder')!.why).toMatch(/the jack last\.$/)
  })
  it('where nothing carries it a plate is wanted, and it is judged by no bore meanwhile', () => {
    const hung = { 'pickup-neck/mount': 'body', 'pickup-middle/mount': 'body', 'pickup-bridge/mount': 'body' }
    const bare = changed(without(inGuard(), 'guard'), {}, { ...hung, 'body/access': 'back' })
    expect(wantedFor(bare.parts, 'control-plate')).toBe('the jack sits beside the controls, in a plate or a guard')
    expect(jointIn(bare, 'jack').checks.map((c) => c.id)).toEqual(['carried'])
    expect(checkIn(bare, 'jack', 'carried')).toMatchObject({
      raw: { verdict: 'cant-tell' },
      says: 'Not known yet: the guard or plate it sits in.',
    })
  })
})
