import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { mountHeight } from '../../instrument/pickupFrame'
import { untold } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'
import { findJoints } from '../findJoints'
import { mockupSteps } from '../mockup/mockup'

const IN_WOOD = { 'pickup-neck/mount': 'body', 'pickup-middle/mount': 'body', 'pickup-bridge/mount': 'body' }
/** Controls in the back, every pickup in the wood, and a small guard beside them. */
const beside = (traits: Record<string, string> = IN_WOOD): Build =>
  changed(fullBuild(), {}, { 'guard/lies': 'beside', 'body/access': 'back', ...traits })
const ids = (b: Build) => findJoints(b).map((j) => j.id)

describe('a guard beside the pickups', () => {
  judgeRows(
    [
      {
        what: 'a pickup told to hang from it',
        joint: 'guard-beside',
        check: 'hung',
        verdict: 'wont-go',
        says: 'The middle pickup is told to hang from the guard, and the guard to lie beside the pickups: one of the two is not so.',
        job: 'Hang the middle pickup straight in the wood.',
        traits: { 'pickup-middle/mount': 'guard' },
      },
      {
        what: 'two of them',
        joint: 'guard-beside',
        check: 'hung',
        verdict: 'wont-go',
        says: 'The neck and bridge pickups are told to hang from the guard, and the guard to lie beside the pickups: one of the two is not so.',
        job: 'Hang the neck and bridge pickups from rings, or straight in the wood.',
        traits: { 'pickup-neck/mount': 'guard', 'pickup-bridge/mount': 'guard' },
      },
      {
        what: '1 mm of wood',
        joint: 'guard-beside',
        check: 'screws',
        verdict: 'tight',
        says: 'A guard screw lands 1 mm from a route; the wood there splits out under 3 mm.',
        job: 'Glue a block into the route’s corner so that 6 mm of wood stand beside that screw, or leave the screw out.',
        sizes: { 'guard/screw.edge': 1 },
      },
      {
        what: 'an arched front',
        joint: 'guard-beside',
        check: 'lies',
        verdict: 'tight',
        says: 'The guard is flat and the front is arched: screwed down it bends, draws its screws and cracks.',
        job: 'Carry the guard on a bracket at its edge and a foot near the neck, clear of the front.',
        traits: { 'body/top': 'arched' },
      },
    ],
    beside,
  )
  it('has no openings, no neck cut-out and no edge before the bridge: its screws and the front decide', () => {
    expect(ids(beside())).toContain('guard-beside')
    for (const id of ['guard-openings', 'guard-cover', 'shields-meet']) expect(ids(beside())).not.toContain(id)
    expect(ids(fullBuild())).toEqual(expect.arrayContaining(['guard-openings', 'guard-cover']))
    expect(ids(fullBuild())).not.toContain('guard-beside')
    const bare = changed(beside(), {
      'guard/neck.width': undefined,
      'guard/bridge.edge': undefined,
      'guard/opening.neck.centre': undefined,
    })
    expect(jointIn(bare, 'guard-beside').verdict).toBe('snug')
  })
  it('carries nothing and lifts nothing: pickups pass their own routes and stand in the wood', () => {
    const narrow = { 'guard/opening.neck.length': 30, 'guard/opening.neck.width': 60 }
    expect(jointIn(changed(beside(), narrow), 'room-neck').verdict).toBe(jointIn(beside(), 'room-neck').verdict)
    expect(jointIn(changed(fullBuild(), narrow), 'room-neck').verdict).toBe('wont-go')
    expect(mountHeight(fullBuild(), 'neck')).toEqual([[1, { slot: 'guard', size: 'thickness' }]])
    expect(mountHeight(beside({ 'pickup-neck/mount': 'guard' }), 'neck')).toEqual([])
  })
  it('does not lie under the board’s end', () => {
    const over = (b: Build) => changed(b, { 'neck/boardLength': 498 })
    const under = (b: Build) => jointIn(over(b), 'pocket-depth')
    expect(under(fullBuild()).says).toMatch(/guard/)
    expect(under(beside()).says).not.toMatch(/guard/)
    expect(under(beside()).says).toBe(under(changed(without(fullBuild(), 'guard'), {}, { 'body/access': 'back' })).says)
  })
  it('the trial by hand speaks of no openings and of no neck pushed to it', () => {
    const how = (b: Build) => mockupSteps(b).find((s) => s.id === 'guard-on')!.how
    expect(how(fullBuild())).toMatch(/pushed tight to it.*Openings/)
    expect(how(beside())).not.toMatch(/pushed|opening/i)
  })
  it('a guard of which nobody has said goes round them', () =>
    expect(ids(untold(fullBuild(), 'traits', 'guard', 'lies'))).toContain('guard-openings'))
})
