import { describe, expect, it } from 'vitest'
import { untold } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { findJoints } from '../findJoints'

describe('controls within reach', () => {
  judgeRows([
    {
      what: 'knobs 28 mm apart',
      joint: 'control-reach',
      check: 'knob',
      verdict: 'tight',
      job: 'Take a new guard with these holes at least 30 mm apart, or smaller knobs.',
      sizes: { 'guard/tone.x': 216 },
      says: /fingers want 30/,
    },
    {
      what: 'volume 10 mm from the string',
      joint: 'control-reach',
      check: 'string',
      verdict: 'tight',
      says: 'Volume and outer string are 10 mm apart; fingers want 15.',
      job: 'Take a new guard with its hole at least 15 mm beside the outer string, or smaller knobs.',
      sizes: { 'guard/volume.y': -36 },
    },
    {
      what: 'pot bodies meet',
      joint: 'control-reach',
      check: 'bodies',
      verdict: 'wont-go',
      says: 'The pots’ bodies lie 6.9 mm over each other.',
      job: 'Take pots with a smaller body, 16 or 17 mm.',
      sizes: { 'guard/tone.x': 208, 'guard/tone.y': -76 },
    },
    // Shafts stand sqrt(32^2 + 14^2) = 34.9 apart.
    {
      what: 'wide knobs, 2.9 mm between them',
      joint: 'control-reach',
      check: 'edges',
      verdict: 'tight',
      says: 'Between knobs of 32 mm 2.9 mm are left; a fingertip wants 4.',
      job: 'Take knobs of 30 mm or less.',
      sizes: { 'guard/tone.x': 224, 'knobs/diameter': 32 },
    },
    {
      what: 'knobs wider than their shafts are apart',
      joint: 'control-reach',
      check: 'edges',
      verdict: 'wont-go',
      says: 'Knobs of 36 mm overlap by 1.1 mm: one cannot turn beside the other.',
      job: 'Take knobs of 30 mm or less.',
      sizes: { 'guard/tone.x': 224, 'knobs/diameter': 36 },
    },
  ])
  // Counted from the pocket's mouth; the outer string runs 26.25 mm beside the centre line.
  const inTop = () =>
    changed(without(fullBuild(), 'guard'), {
      'body/volume.x': 260,
      'body/volume.y': -70,
      'body/tone.x': 296,
      'body/tone.y': -84,
    })
  judgeRows(
    [
      {
        what: 'in the top, 38.6 mm apart',
        joint: 'control-reach',
        check: 'knob',
        verdict: 'snug',
        says: 'Knobs stand 39 mm apart.',
      },
      {
        what: 'in the top, 20 mm apart',
        joint: 'control-reach',
        check: 'knob',
        verdict: 'tight',
        says: 'Knobs stand 20 mm apart; fingers want 30.',
        job: 'Move one of the two holes, at least 30 mm from the other, or take smaller knobs.',
        sizes: { 'body/tone.x': 276, 'body/tone.y': -82 },
      },
      {
        what: 'bodies over each other under the top',
        joint: 'control-reach',
        check: 'bodies',
        verdict: 'wont-go',
        says: 'The pots’ bodies lie 4 mm over each other.',
        sizes: { 'body/tone.x': 276, 'body/tone.y': -82 },
      },
      {
        what: 'in the top, 10 mm from the string',
        joint: 'control-reach',
        check: 'string',
        verdict: 'tight',
        says: 'Volume and outer string are 10 mm apart; fingers want 15.',
        sizes: { 'body/volume.y': -36 },
      },
      {
        what: 'in the top, under the strings',
        joint: 'control-reach',
        check: 'string',
        verdict: 'wont-go',
        says: 'The volume comes up under the strings, 6.3 mm inside the outer one; fingers want 15 beside it.',
        sizes: { 'body/volume.y': -20 },
        // No knob is small enough there.
        job: 'Move the volume’s hole, at least 15 mm beside the outer string.',
      },
    ],
    inTop,
  )
  it('whether the top is drilled nobody is asked: how it is done says both', () => {
    const near = { 'body/tone.x': 276, 'body/tone.y': -82 }
    const cures = [near, { ...near, 'body/pot.hole': 9.6 }].map((sizes) => checkIn(changed(inTop(), sizes), 'control-reach', 'knob').cures)
    expect(cures[1]).toEqual(cures[0])
    expect(cures[0]![0]!.how).toMatch(/^While the top is not drilled only its mark; where it is, the hole is plugged/)
    expect(cures[0]![0]!.gives).toBe('body')
  })
  it('two volumes and no tone are asked as well; a pot alone is not', () => {
    const b = inTop()
    const { 'pot-tone': tone, ...parts } = b.parts
    const two = { ...changed({ ...b, parts: { ...parts, 'pot-volume-2': tone! } }, { 'body/volume-2.x': 280, 'body/volume-2.y': -70 }) }
    expect(checkIn(two, 'control-reach', 'knob').says).toBe('Knobs stand 20 mm apart; fingers want 30.')
    expect(findJoints(without(inTop(), 'pot-tone')).map((j) => j.id)).not.toContain('control-reach')
  })
  it.each([-70, 70])('the outer string that is drawn is the one that is judged, whichever side the volume is on: at %d', (y) => {
    const b = changed(fullBuild(), { 'guard/volume.y': y, 'guard/tone.y': y })
    // 70 off the centre line, the outer string half of 52.5.
    expect(checkIn(b, 'control-reach', 'string').says).toBe('Volume and outer string are 44 mm apart.')
    const told = jointIn(b, 'control-reach').draw()
    expect(told.marks.flatMap((m) => (m.mark === 'dimension' ? [m.text] : []))).toContain('44')
    expect(told.numbers).toContainEqual({ label: 'Volume to outer string', value: '43.8 mm' })
  })
  it('knobs nobody has measured are not asked for', () => {
    const bare = untold(fullBuild(), 'sizes', 'knobs', 'diameter')
    expect(jointIn(bare, 'control-reach').missing).toEqual([])
    expect(jointIn(bare, 'control-reach').checks.map((c) => c.id)).not.toContain('edges')
  })
})
