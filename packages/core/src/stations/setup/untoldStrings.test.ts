import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { Size } from '../../quantity/size'
import { careSheet } from '../log/careSheet'
import { fullBuild } from '../../testing/fullBuild'
import { balanceWork, USUAL_VIBRATO } from '../../setup/balance'
import { setupResult } from '../../setup/setupResult'
import { setupSheets } from '../../setup/setupSheets'
import { stringsThen } from '../../setup/stringsThen'

/** A vibrato measured all over, with strings whose gauges are known as said. */
function strung(known: Size['known']): Build {
  const b = structuredClone(fullBuild())
  const sizes = b.parts.strings!.sizes
  for (const key of Object.keys(sizes)) if (key.startsWith('gauge.')) sizes[key] = { ...sizes[key]!, known }
  // Measured to be just as such bridges usually are.
  b.setup.vibrato = { ...USUAL_VIBRATO }
  return b
}
const told = strung('listed')
const untold = strung('assumed')
const textOf = (page: object) => JSON.stringify(page)

describe('strings whose gauge nobody has said', () => {
  it('a setup sheet and a care sheet print no gauge of theirs', () => {
    const sheet = (b: Build) => textOf(setupSheets(b, setupResult(b)))
    expect(sheet(told)).toMatch(/Strings 1: 0\.25/)
    expect(sheet(untold)).toMatch(/Strings of unknown gauge/)
    const care = (b: Build) => textOf(careSheet(b, setupResult(b)))
    expect(care(told)).toMatch(/Gauges 0\.25/)
    expect(care(untold)).not.toMatch(/Gauges/)
  })
  it('the claw’s turns hang on them', () => {
    expect(balanceWork(told)!.assumed).toEqual([])
    expect(balanceWork(told)!.says.join(' ')).not.toMatch(/not known/)
    expect(balanceWork(untold)!.assumed).toEqual(['gauges of the strings'])
    expect(balanceWork(untold)!.says[0]).toMatch(/^Its turns are not known: nobody has measured gauges of the strings/)
  })
  it('springs counted on the part need not be counted again', () => {
    const { springs: _, ...vibrato } = told.setup.vibrato!
    const counted = (known: Size['known']): Build => ({
      ...told,
      setup: { ...told.setup, vibrato },
      parts: {
        ...told.parts,
        springs: { kind: 'springs', name: 'Springs', state: 'in hand', sizes: { count: { value: 3, doubt: 0, known } }, traits: {} },
      },
    })
    expect(balanceWork(counted('calipers'))!.assumed).toEqual([])
    expect(balanceWork(counted('assumed'))!.assumed).toEqual(['number of springs'])
  })
  it('what other strings change is told with what they are compared to', () => {
    const says = (b: Build) => stringsThen(b, { gauges: [0.28, 0.36, 0.46, 0.71, 0.97, 1.24] }).says[0]
    expect(says(told)).toMatch(/^All together/)
    expect(says(untold)).toMatch(/^What gauges are on it nobody has said/)
  })
})
