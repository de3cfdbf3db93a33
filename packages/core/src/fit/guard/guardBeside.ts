import type { Build } from '../../document/build'
import { asTold, sizeRef, traitAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { PLACES } from '../../instrument/guardPlace'
import { judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt } from '../../judge/known'
import { settled } from '../../judge/settled'
import { printMm } from '../../quantity/length'
import { listed } from '../../quantity/words'
import { guardLies, guardScrews } from './guardOnWood'

const hangsFromGuard = (build: Build) =>
  PLACES.filter((p) => build.parts[`pickup-${p}`] && traitAt(asTold(build), `pickup-${p}`, 'mount') === 'guard')

/** A small guard beside the pickups: nothing hangs from it, its screws find wood, it lies down. */
export const guardBesideJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'guard-beside',
    title: 'Guard beside the pickups',
    slots: ['guard', 'body'],
    at: () => pt(datums(build).heelEnd + 110, -58),
    draw: () => besideDrawing(build),
    asks: [hung, guardScrews, guardLies],
  })

/** What is told of a pickup and of the guard cannot both be so. */
function hung(build: Build): Question[] {
  const hanging = hangsFromGuard(build)
  if (!hanging.length) return []
  const many = hanging.length > 1
  // Nobody sells a ring for a pickup between two others.
  const ringed = !hanging.includes('middle')
  const pickups = `${listed(hanging)} ${many ? 'pickups' : 'pickup'}`
  return [
    settled(
      'hung',
      'What hangs from it',
      false,
      'wont-go',
      `The ${pickups} ${many ? 'are' : 'is'} told to hang from the guard, and the guard to lie beside the pickups: one of the two is not so.`,
      [
        {
          id: 'hang-otherwise',
          job: `Hang the ${pickups} ${ringed ? `from ${many ? 'rings' : 'a ring'}, or ` : ''}straight in the wood.`,
          how: 'Or the guard goes round the pickups after all: then say so at the guard.',
          gives: 'nothing',
          tools: [],
        },
      ],
    ),
  ]
}

/** Guard, its screw and the nearest route, cut across. */
function besideDrawing(build: Build) {
  const thick = drawnAt(build, sizeRef('guard', 'thickness'))
  const edge = drawnAt(build, sizeRef('guard', 'screw.edge'))
  const [head, shank] = [2.6, 1.2]
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: rectangle(-45, 0, edge, 26) },
    { mark: 'area', role: 'cavity', points: rectangle(edge, 0, edge + 18, 26) },
    { mark: 'area', role: 'plastic', points: rectangle(-40, -thick, 4, 0) },
    { mark: 'area', role: 'metal', points: rectangle(-head, -thick - 1.5, head, -thick) },
    { mark: 'area', role: 'metal', points: rectangle(-shank, -thick, shank, 9) },
    { mark: 'dimension', from: pt(0, 18), to: pt(edge, 18), text: printMm(edge, 1) },
  ]
  return framed('Guard and its nearest screw, cut across', 'cavity: the nearest route', marks, [
    { label: 'Guard', value: `${printMm(thick)} mm thick` },
  ])
}
