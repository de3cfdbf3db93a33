import type { Build } from '../document/build'
import { aPart } from './bench'
import { changed, fullBuild } from './fullBuild'

/** The full build with its bridge on posts and a tailpiece on studs 45 mm behind; the saddles stand 13.3 mm above the body. */
export function tailed(): Build {
  const build = changed(
    fullBuild(),
    { 'body/tail.toBridge': 45, 'body/tail.bore': 11.4, 'body/tail.spacing': 82, 'bridge/back.height': undefined },
    { 'bridge/mount': 'post' },
  )
  const tailpiece = aPart(
    'tailpiece',
    { height: 4, studDiameter: [11.5, 'calipers', 0.02], studLength: 25, studSpacing: 82, 'string.hole': 1.8 },
    { type: 'stop', hand: 'either' },
    { metal: 'nickel' },
  )
  return { ...build, parts: { ...build.parts, tailpiece } }
}
