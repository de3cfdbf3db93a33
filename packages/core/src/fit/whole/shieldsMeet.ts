import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { traitIn } from '../../judge/known'
import { settled } from '../../judge/settled'

/** Foil on the guard and lining in the cavity are one box only when they touch. */
export function shieldsMeetJoint(build: Build): JudgedJoint {
  const cavity = traitAt(build, 'body', 'shield') ?? 'none'
  const guard = traitAt(build, 'guard', 'shield') ?? 'none'
  const tab = traitAt(build, 'shielding', 'tab') === 'tab'
  return judged(build, {
    id: 'shields-meet',
    condition: true,
    title: 'Shields make one box',
    slots: ['shielding', 'guard', 'body'],
    at: () => pt(datums(build).heelEnd + 180, -40),
    draw: () =>
      framed(
        'Cavity and guard, cut across',
        'copper: lining · gap: not joined yet',
        [
          {
            mark: 'area',
            role: 'body-wood',
            points: [pt(-50, 0), pt(-38, 0), pt(-38, 30), pt(38, 30), pt(38, 0), pt(50, 0), pt(50, 38), pt(-50, 38)],
          },
          { mark: 'area', role: 'plastic', points: rectangle(-50, -4, 50, -1.4) },
          ...(cavity !== 'none'
            ? [
                {
                  mark: 'line',
                  role: 'hot',
                  points: [pt(-44, -0.2), pt(-38, -0.2), pt(-38, 30), pt(38, 30), pt(38, -0.2), pt(44, -0.2)],
                } as Mark,
              ]
            : []),
          ...(guard !== 'none' ? [{ mark: 'line', role: 'hot', points: [pt(-46, -1.2), pt(46, -1.2)] } as Mark] : []),
          ...(tab ? [{ mark: 'line', role: 'hot', points: [pt(41, -1.2), pt(41, 0)] } as Mark] : []),
        ],
        [
          { label: 'Cavity lined with', value: traitAt(build, 'body', 'shield') ?? 'not said' },
          { label: 'Guard backed with', value: traitAt(build, 'guard', 'shield') ?? 'not said' },
          { label: 'Joined by a tab', value: tab ? 'yes' : 'no' },
        ],
      ),
    asks: [boxClosed],
  })
}

function boxClosed(build: Build): Question {
  const cavity = traitIn(build, 'body', 'shield')
  const guard = traitIn(build, 'guard', 'shield')
  const tab = traitIn(build, 'shielding', 'tab') === 'tab'
  const closed = cavity !== 'none' && guard !== 'none' && tab
  const lacks = [
    cavity === 'none' ? 'the cavity is not lined' : '',
    guard === 'none' ? 'the guard’s back is bare' : '',
    tab ? '' : 'nothing joins the two',
  ].filter(Boolean)
  return settled(
    'closed',
    'Box closed',
    closed,
    'tight',
    closed ? 'Cavity and guard are one box; check it: foil to jack sleeve under 1 ohm.' : `The box is open: ${lacks.join(', ')}.`,
    [
      {
        id: 'join-shields',
        job: 'Line both and join them: a tab of foil folded over the cavity’s edge, or a wire.',
        how: 'Each part keeps its own ground wire; foil alone is fragile. A long unscreened run hums more than an unlined cavity.',
        gives: 'nothing',
        tools: ['foil', 'soldering iron'],
      },
    ],
  )
}
