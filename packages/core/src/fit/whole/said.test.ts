import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { aPart } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.
const withPart = (slot: Slot, part: Part): Build => ({ ...fullBuild(), parts: { ...fullBuild().parts, [slot]: part } })

describe('said, not measured', () => {
  judgeRows([
    {
      what: 'pickups in a flat guard, arched front',
      joint: 'guard-cover',
      check: 'lies',
      verdict: 'tight',
      says: 'The guard is flat and the front is arched: screwed down it bends, draws its screws and cracks.',
      job: 'Hang the pickups from rings with curved feet, or take a body with a flat top.',
      traits: { 'body/top': 'arched' },
    },
    {
      what: 'a screwed plate, arched front',
      joint: 'bridge-on-body',
      check: 'lies',
      verdict: 'tight',
      says: 'The bridge’s plate is flat and the front is arched: it rocks, and its screws pull it crooked.',
      job: 'Let a flat seat into the arch under the whole plate, level with the rim.',
      traits: { 'body/top': 'arched', 'bridge/mount': 'screws' },
    },
    {
      what: 'heel end, no notch',
      joint: 'truss-access',
      check: 'access',
      verdict: 'wont-go',
      says: 'The truss nut sits at the heel and the body has no notch: the neck would have to come off for every turn.',
      job: 'Cut a notch 12 mm wide and 26 mm long at the pocket’s end.',
      traits: { 'neck/truss': 'heel', 'body/notch': 'no' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-body',
      verdict: 'wont-go',
      says: 'The body is made for the other hand.',
      job: 'Find a body for a right-handed build.',
      traits: { 'body/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-neck',
      verdict: 'wont-go',
      says: 'The neck is made for the other hand.',
      job: 'Find a neck for a right-handed build.',
      traits: { 'neck/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-bridge',
      verdict: 'wont-go',
      says: 'The bridge is made for the other hand.',
      job: 'Find a bridge for a right-handed build.',
      traits: { 'bridge/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-guard',
      verdict: 'wont-go',
      says: 'The pickguard is made for the other hand.',
      job: 'Find a pickguard for a right-handed build.',
      traits: { 'guard/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-tuners',
      verdict: 'wont-go',
      says: 'This head takes 6 for the left side of the head, seen from the front; these tuners are 6 for the right side of the head.',
      job: 'Take tuners made for this head, 6 for the left side of the head, or ones that go on either side.',
      traits: { 'tuners/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-nut',
      verdict: 'wont-go',
      says: 'The nut is made for the other hand.',
      job: 'Find a nut for a right-handed build.',
      traits: { 'nut/hand': 'left' },
    },
  ])
  judgeRows(
    [
      {
        what: 'left',
        joint: 'hands',
        check: 'hand-tailpiece',
        verdict: 'wont-go',
        says: 'The tailpiece is made for the other hand.',
        job: 'Find a tailpiece for a right-handed build.',
        traits: { 'tailpiece/hand': 'left', 'bridge/mount': 'post' },
      },
    ],
    () => withPart('tailpiece', aPart('tailpiece', {}, { type: 'stop' })),
  )
  judgeRows(
    [
      {
        what: 'heel end, no notch, neck to be glued',
        joint: 'truss-access',
        check: 'access',
        verdict: 'wont-go',
        says: /with the neck glued in nothing reaches it again\.$/,
        job: 'Cut a notch 12 mm wide and 26 mm long at the pocket’s end.',
        traits: { 'neck/truss': 'heel', 'body/notch': 'no', 'neck/joint': 'set' },
      },
    ],
    () => without(fullBuild(), 'neck-screws'),
  )
  it('gold tuners among nickel are told, not forbidden', () => {
    const b = structuredClone(fullBuild())
    b.parts.tuners!.metal = 'gold'
    expect(checkIn(b, 'metals', 'metals').raw.verdict).toBe('loose')
    expect(checkIn(changed(fullBuild()), 'metals', 'metals').raw.verdict).toBe('snug')
  })
})
