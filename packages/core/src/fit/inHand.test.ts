import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { untold, knownBuild } from '../testing/anyBuild'
import { fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { takenFrom } from '../testing/takenFrom'
import { JOINT_KINDS } from './jointKinds'
import { drawJoint, tablesOf } from './inHand'
import { existsIn } from './kind'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

/** All that is shown of a joint beside its words. */
function shown(build: Build, id: string): string[] {
  const drawing = drawJoint(build, id)!
  return [
    ...drawing.marks.flatMap((m) => ('text' in m ? [`${m.mark}: ${m.text}`] : [])),
    ...drawing.numbers.map((n) => `${n.label}: ${n.value}`),
    ...tablesOf(build, id).flatMap((t) => [t.title, ...t.rows.flatMap((row) => row.map((cell, j) => `${t.columns[j]}: ${cell}`))]),
  ]
}

const FIGURE = '(?:[−-]?[\\d.]+|\\?)'
const openly = (text: string) => new RegExp(`^${text.replace(/[.*+^${}()|[\]\\]/g, '\\$&').replace(/\?/g, FIGURE)}$`)

/** Could it be said so of what is shown: the same but for the figures left open, here or there? */
const agrees = (said: string, all: readonly string[]): boolean => {
  const like = openly(said)
  return all.some((a) => a === said || like.test(a) || openly(a).test(said))
}

describe('what is shown of the joint in hand', () => {
  it(
    'a size or trait taken away and then found: every figure that was still given is the one found',
    () => {
      const met = { figures: 0, open: 0 }
      holds(
        fc.property(fc.record({ build: knownBuild, kind: fc.nat(), taken: fc.nat() }), ({ build, kind, taken }) => {
          const here = JOINT_KINDS.filter((k) => existsIn(k, build))
          const k = here[kind % here.length]!
          const out = takenFrom(build, k, taken)
          if (!out || !existsIn(k, out.less)) return
          const less = shown(out.less, k.id).filter((t) => /\d|\?/.test(t.replace(/^[^:]*:/, '')))
          for (const build of out.found.filter((b) => existsIn(k, b))) {
            const found = shown(build, k.id)
            // What was found may ask for a size of its own before anything can be drawn: then no figure is another.
            if (found.some((f) => f.startsWith('label: not enough sizes'))) continue
            for (const said of less) {
              met[said.includes('?') ? 'open' : 'figures']++
              // Where the words themselves are others, no figure is left in them.
              if (said.includes('?') && !/\d/.test(said)) continue
              expect(agrees(said, found), `${k.id} without ${out.at}: ${said}\n${found.join('\n')}`).toBe(true)
            }
          }
        }),
        400,
      )
      for (const [what, n] of Object.entries(met)) expect(n, what).toBeGreaterThan(3)
    },
    LONG,
  )

  it('a board nobody measured stands at no height over the body; all else of the drawing is said as before', () => {
    const known = fullBuild()
    const less = untold(known, 'sizes', 'neck', 'heel.thickness')
    const [was, now] = [shown(known, 'pocket-depth'), shown(less, 'pocket-depth')]
    // 25.4 mm of heel in a pocket 15.9 deep: 9.5 over the body, and 7 over a guard of 2.5.
    const [heel, pocket, over] = ['dimension: 25.4', 'dimension: 15.9', 'dimension: 9.5']
    const end = 'Overhang of the board: 8 mm'
    expect(was).toEqual([heel, pocket, over, 'Board above the body: 9.5 mm', 'Board above the guard: 7 mm', end])
    const open = 'dimension: ?'
    expect(now).toEqual([open, pocket, open, 'Board above the body: ? mm', 'Board above the guard: ? mm', end])
    expect(drawJoint(less, 'pocket-depth')!.note).toMatch(/^\?: not known yet · /)
    expect(drawJoint(known, 'pocket-depth')!.note ?? '').not.toMatch(/not known/)
  })
  it('leads are cut to no length while nobody knows where the pots sit', () => {
    const cut = (build: Build) => tablesOf(build, 'leads')[0]!.rows.find(([name]) => name === 'Controls to jack')!
    expect(cut(fullBuild()).join()).not.toContain('?')
    const less = untold(fullBuild(), 'sizes', 'guard', 'volume.x')
    expect(cut(less).slice(1)).toEqual(['? mm', '? mm', '? mm'])
  })
})
