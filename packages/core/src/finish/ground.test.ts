import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { isFinished, throughFinish } from './ground'
import { coatId, WHOLE, zoneGroups } from './zones'

const came = (body: string, neck: string) => changed(fullBuild(), {}, { 'body/surface': body, 'neck/surface': neck })
/** The first coat of every group lies. */
const coated = (build: Build): Build => ({
  ...build,
  finish: {
    ...build.finish,
    laid: Object.fromEntries(
      zoneGroups(build).map(({ id, layers: [layer] }) => [
        coatId(id, layer!.key, 1),
        { product: layer!.product, at: '2026-12-01T19:00:00Z', ...(id === WHOLE ? {} : { zone: id }) },
      ]),
    ),
  },
})

describe('wood that is finished', () => {
  it('came so, or has a coat by now; sealed wood is neither', () => {
    for (const body of ['raw', 'sealed', 'coated'])
      for (const neck of ['raw', 'sealed', 'coated']) {
        const build = came(body, neck)
        expect([isFinished(build, 'body'), isFinished(build, 'neck')]).toEqual([body === 'coated', neck === 'coated'])
        // A neck that came coated gets no coats of its own, and is finished all the same.
        expect([isFinished(coated(build), 'body'), isFinished(coated(build), 'neck')]).toEqual([true, true])
      }
  })
  it('on any of its faces: a neck’s back with a stack of its own too', () => {
    const build = came('raw', 'raw')
    const own: Build = {
      ...build,
      finish: {
        ...build.finish,
        zones: { 'neck-back': { layers: [{ product: 'wipe-on-poly', coats: 4 }] } },
        laid: { 'neck-back/top-1': { product: 'wipe-on-poly', at: '2026-12-01T19:00:00Z', zone: 'neck-back' } },
      },
    }
    expect([isFinished(own, 'body'), isFinished(own, 'neck')]).toEqual([false, true])
  })
  it('a dye leaves no film', () => {
    const build = came('raw', 'raw')
    const dyed: Build = {
      ...build,
      finish: {
        ...build.finish,
        layers: [
          { product: 'water-dye', coats: 1 },
          { product: 'lacquer-clear', coats: 3 },
        ],
      },
    }
    expect(isFinished(coated(dyed), 'body')).toBe(false)
  })
})

describe('wood is cut through its film', () => {
  const TAPE = 'tape along what is worked, the film cut through with a knife before any bit or cutter.'
  it('that it came with, or that lies by now; of the parts that are worked and no others', () => {
    const both = ['body', 'neck']
    expect(throughFinish(came('raw', 'coated'), both)).toEqual([`The neck came finished: ${TAPE}`])
    expect(throughFinish(came('raw', 'raw'), both)).toEqual([])
    const late = (part: string) => `Coats lie on the ${part} by now, so that it is too late to do it before them: ${TAPE}`
    expect(throughFinish(coated(came('raw', 'raw')), both)).toEqual([late('body'), late('neck')])
    expect(throughFinish(coated(came('raw', 'raw')), ['neck', 'guard'])).toEqual([late('neck')])
    // Said once of each part.
    expect(throughFinish(coated(came('coated', 'raw')), both)).toEqual([`The body came finished: ${TAPE}`, late('neck')])
  })
})
