import { aMm } from '../../quantity/words'
import { printMm } from '../../quantity/length'
import type { Build } from '../../document/build'
import { sizeRef, traitAt, isThrough } from '../../document/read'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, traitIn } from '../../judge/known'
import { willBeGlued } from '../bridge/neckTaper'
import { settled } from '../../judge/settled'

const KEY = sizeRef('neck', 'truss.key')

/** Can the truss tool reach its nut, with room to swing? */
export function trussAccessJoint(build: Build): JudgedJoint {
  const end = traitAt(build, 'neck', 'truss')
  const heel = end === 'heel'
  const notch = traitAt(build, 'body', 'notch') === 'yes'
  const key = drawnAt(build, KEY)
  return judged(build, {
    id: 'truss-access',
    condition: true,
    title: 'Truss tool reaches its nut',
    slots: ['neck', 'body'],
    at: () => (heel ? pt(datums(build).heelEnd + 8, 12) : pt(-14, 0)),
    draw: () =>
      end === undefined
        ? nothingYet('Adjuster from above', 'at which end it turns nobody has said', 'not drawn')
        : framed(
            heel
              ? `${isThrough(build) ? 'Adjuster at the board’s end' : 'Heel-end adjuster'}, from above`
              : 'Adjuster at the headstock, from above',
            'true proportion',
            heel
              ? [
                  { mark: 'area', role: 'body-wood', points: rectangle(-20, -34, 60, 34) },
                  { mark: 'area', role: 'neck-wood', points: rectangle(-20, -28, 0, 28) },
                  { mark: 'circle', role: 'metal', at: pt(-2, 0), r: key },
                  { mark: 'area', role: notch ? 'cavity' : 'remove', points: rectangle(0, -key - 2, 26, key + 2) },
                ]
              : [
                  { mark: 'area', role: 'neck-wood', points: rectangle(-50, -20, 0, 20) },
                  { mark: 'area', role: 'cavity', points: rectangle(-28, -5, -4, 5) },
                  { mark: 'circle', role: 'metal', at: pt(-8, 0), r: key },
                ],
            [{ label: 'Tool across flats', value: `${printMm(key)} mm` }],
          ),
    asks: [access],
  })
}

function access(build: Build): Question {
  const heel = traitIn(build, 'neck', 'truss') === 'heel'
  const notch = heel && traitIn(build, 'body', 'notch') === 'yes'
  const key = drawnAt(build, KEY)
  const glued = willBeGlued(build)
  const through = isThrough(build)
  return settled(
    'access',
    'Way for the tool',
    !heel || notch,
    'wont-go',
    !heel
      ? `The truss nut sits at the headstock; ${aMm(key)} tool reaches it under its cover.`
      : notch
        ? 'The body has its notch; the tool swings.'
        : `The truss nut sits at ${through ? 'the board’s end' : 'the heel'} and the body has no notch: ${through ? 'nothing reaches it.' : glued ? 'with the neck glued in nothing reaches it again.' : 'the neck would have to come off for every turn.'}`,
    [
      {
        id: 'cut-notch',
        job: `Cut a notch ${Math.ceil(2 * key + 4)} mm wide and 26 mm long at ${through ? 'the board’s end' : 'the pocket’s end'}.`,
        how: `Drill and chisel before ${glued && !through ? 'the neck is glued in' : 'any finish'}; keep clear of the neck pickup’s route${build.parts.guard ? '; the guard may need the same' : ''}.`,
        gives: 'body',
        tools: ['drill', 'chisel'],
      },
    ],
  )
}
