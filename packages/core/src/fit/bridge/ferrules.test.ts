import { describe } from 'vitest'
import type { Build } from '../../document/build'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('string ferrules', () => {
  const through = (): Build => {
    const b = changed(fullBuild(), { 'body/ferrule.bore': 7.93 }, { 'bridge/mount': 'string-through' })
    return {
      ...b,
      parts: { ...b.parts, ferrules: aPart('ferrules', { count: 6, diameter: [8, 'calipers', 0.02], length: 9, 'string.hole': 2.2 }) },
    }
  }
  judgeRows(
    [
      {
        what: 'a press fit',
        joint: 'ferrules',
        check: 'press',
        verdict: 'snug',
        says: 'Ferrules press in, 0.07 mm larger than their bores.',
      },
      {
        what: 'bores 0.2 too large',
        joint: 'ferrules',
        check: 'press',
        verdict: 'loose',
        says: 'The bores are 0.2 mm larger than the ferrules: they drop out when the strings are off.',
        sizes: { 'body/ferrule.bore': 8.2 },
        job: /^Wrap each ferrule/,
      },
      // (0.55 + 0.07)/2 = 0.31 all round: no wrap.
      {
        what: 'bores 0.55 too large',
        joint: 'ferrules',
        check: 'press',
        verdict: 'loose',
        says: 'The bores are 0.55 mm larger than the ferrules: they drop out when the strings are off.',
        sizes: { 'body/ferrule.bore': 8.55 },
        job: /^Plug the bores with dowel and drill them anew, 7\.93 mm/,
      },
      {
        what: 'bores 0.3 too small',
        joint: 'ferrules',
        check: 'press',
        verdict: 'tight',
        says: 'The ferrules are 0.3 mm larger than their bores; forced, the back chips.',
        sizes: { 'body/ferrule.bore': 7.7 },
        job: /^Drill the bores out to 7\.93/,
      },
      {
        what: 'bores 1 mm too small',
        joint: 'ferrules',
        check: 'press',
        verdict: 'wont-go',
        says: 'The ferrules are 1 mm larger than their bores; forced, the back chips.',
        job: 'Drill the bores out to 7.93 mm, all with one stop.',
        sizes: { 'body/ferrule.bore': 7 },
      },
      {
        what: 'five for six strings',
        joint: 'ferrules',
        check: 'count',
        verdict: 'wont-go',
        says: '5 ferrules for 6 strings.',
        sizes: { 'ferrules/count': 5 },
        job: /1 more/,
      },
    ],
    through,
  )
})
