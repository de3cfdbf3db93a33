import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

const withParts = (parts: Partial<Record<Slot, Part>>, build = fullBuild()): Build => ({ ...build, parts: { ...build.parts, ...parts } })

describe('leads and harness', () => {
  judgeRows([
    // Five wires of 1.4: 1.2 x 5^0.5 x 1.4 = 3.76. 19 - 16 = 3 mm under the pot.
    ...(['volume', 'tone'] as const).map((pot) => ({
      what: '3 mm under the pot',
      joint: 'wire-passage',
      check: `under-${pot}`,
      verdict: 'tight' as const,
      sizes: { 'body/control.depth': 19 },
      says: /are 3 mm and the leads laid together are 3\.8/,
    })),
  ])
  const harness = (sizes: Record<string, number> = {}, traits: Record<string, string> = {}) =>
    changed(
      withParts({
        harness: aPart(
          'harness',
          { 'pot.pitch': 46, 'lead.length': 200, 'bushing.diameter': 9.4, pickups: 3 },
          { frame: 'free', ground: 'yes' },
        ),
      }),
      sizes,
      traits,
    )
  judgeRows(
    [
      {
        what: 'a lead too few',
        joint: 'harness',
        check: 'pickup-leads',
        verdict: 'tight',
        says: 'The harness has leads for 2 pickups and 3 are here: 1 must be added.',
        job: 'Solder 1 more pickup lead to the selector.',
        sizes: { 'harness/pickups': 2 },
      },
      { what: 'as many', joint: 'harness', check: 'pickup-leads', verdict: 'snug', says: /a lead for each pickup/ },
      {
        what: 'no ground',
        joint: 'harness',
        check: 'ground-wire',
        verdict: 'tight',
        says: 'It has no wire for the string ground.',
        job: 'Solder a wire from a pot’s case and lead it to the bridge or the claw.',
        traits: { 'harness/ground': 'no' },
      },
    ],
    harness,
  )
  it('names the wires this body does not need', () => {
    const two = without(harness(), 'pickup-middle')
    const c = checkIn(two, 'harness', 'pickup-leads')
    expect([c.raw.verdict, c.says]).toEqual([
      'snug',
      'This body does not need one of its pickup leads: sleeve the end, fold it back and tape it down; do not let it touch foil.',
    ])
  })
  it('made to be sold, the pickups’ leads stay as long as they came', () => {
    const title = (b: Build) => jointIn(b, 'leads').tables()[0]!.title
    expect(title({ ...fullBuild(), sale: 900 })).toMatch(/made to be sold: leave the pickups’ own leads as long as they came/)
    expect(title(fullBuild())).not.toMatch(/sold/)
  })
})
