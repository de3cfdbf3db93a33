import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { coatId, WHOLE } from '../finish/zones'
import { layersOf } from '../finish/stack'
import { jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { afterCoatsSays } from './afterCoats'
import { judgeJoints } from './findJoints'

const says = (build: Build, id: string) => afterCoatsSays(build, jointIn(build, id))
const first = (build: Build): Build => ({
  ...build,
  finish: {
    ...build.finish,
    laid: { [coatId(WHOLE, layersOf(build)[0]!.key, 1)]: { product: layersOf(build)[0]!.product, at: '2026-12-01T19:00' } },
  },
})

describe('what the coats make of a joint', () => {
  it('worse: mask it or leave room; nothing where it stays as it is', () => {
    expect(says(fullBuild(), 'bridge-on-body')).toBe('After the planned coats: tight. Mask the joint, or leave room for the film.')
    for (const j of judgeJoints(fullBuild()))
      expect(!!afterCoatsSays(fullBuild(), j), j.id).toBe(j.coated !== undefined && j.coated !== j.verdict)
  })
  it('better: nobody is told to keep off what helps', () => {
    // Bushings of 10 mm fall out of bores of 10.1 mm; 0.19 mm of film hold them.
    const loose = changed(fullBuild(), { 'body/studBore': 10.1 })
    expect(jointIn(loose, 'bridge-on-body').verdict).not.toBe('snug')
    expect(says(loose, 'bridge-on-body')).toMatch(/^After the planned coats: snug\. The film makes up for some of it\.$/)
  })
  it('once some of them lie it is read again, not masked', () => {
    expect(says(first(fullBuild()), 'bridge-on-body')).toBe(
      'After the planned coats: tight. Some of them lie by now: read stud bore diameter again, film and all.',
    )
  })
})
