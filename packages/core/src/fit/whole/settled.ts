import type { Build } from '../../document/build'
import { sizeRef, traitAt, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, type JointBase } from '../../judge/assemble'
import { check, type Check, type JudgedJoint } from '../../judge/joint'
import type { Class } from '../../judge/verdict'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec, type Slot } from '../../parts/slots'
import { certain } from '../../quantity/distribution'

/** Joints that measure nothing: something is so or is not. */

/** A check that is settled by looking: +1 when it goes, -1 when it does not. */
function settled(id: string, label: string, goes: boolean, otherwise: Class, says: string, cures: Check['cures'] = []): Check {
  return check({
    id,
    label,
    clearance: certain(goes ? 1 : -1),
    unit: 'none',
    bands: [
      { upTo: 0, is: otherwise },
      { upTo: Infinity, is: 'snug' },
    ],
    reads: [],
    says: () => says,
    cures: () => (goes ? [] : cures),
  })
}

/** Every handed part against the build's hand. */
export function handsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const handed = (Object.keys(build.parts) as Slot[]).filter((s) => KINDS[slotSpec(s).kind].traits.hand)
  const wrong = handed.filter((s) => {
    const hand = traitAt(build, s, 'hand')
    return hand !== undefined && hand !== 'either' && hand !== build.handedness
  })
  const names = wrong.map((s) => slotSpec(s).label.toLowerCase()).join(', ')
  const base: JointBase = {
    id: 'hands',
    title: 'Right- and left-handed parts',
    slots: handed,
    at: pt(d.mouth - 30, 26),
    draw: () => handsDrawing(build, handed, wrong),
  }
  return jointOf(build, base, [
    settled(
      'hands',
      'Parts of the other hand',
      !wrong.length,
      'wont-go',
      wrong.length ? `Made for the other hand: ${names}.` : `Every handed part is for a ${build.handedness}-handed build, or for either.`,
      [
        {
          id: 'other-hand',
          job: `Find the ${names} for a ${build.handedness}-handed build.`,
          how: 'Tuners of the other hand turn backwards; a nut may be cut anew; a neck must be the right one.',
          gives: names,
          tools: [],
        },
      ],
    ),
  ])
}

function handsDrawing(build: Build, handed: readonly Slot[], wrong: readonly Slot[]) {
  const marks: Mark[] = handed.flatMap((s, i): Mark[] => [
    { mark: 'area', role: wrong.includes(s) ? 'remove' : 'good', points: rectangle(0, i * 9, 7, i * 9 + 6) },
    { mark: 'label', at: pt(10, i * 9 + 5), text: `${slotSpec(s).label}: ${traitAt(build, s, 'hand') ?? 'not said'}`, anchor: 'start' },
  ])
  marks.push({ mark: 'line', role: 'guide', points: [pt(90, 0), pt(91, 0)] })
  return framed(
    `For a ${build.handedness}-handed build`,
    'hatched: of the other hand',
    marks,
    handed.map((s) => ({ label: slotSpec(s).label, value: traitAt(build, s, 'hand') ?? 'not said' })),
  )
}

/** Can the truss tool reach its nut, with room to swing? */
export function trussAccessJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const heel = traitAt(build, 'neck', 'truss') === 'heel'
  const notch = traitAt(build, 'body', 'notch') === 'yes'
  const goes = !heel || notch
  const key = valueAt(build, sizeRef('neck', 'truss.key')) ?? 4
  const base: JointBase = {
    id: 'truss-access',
    title: 'Truss tool reaches its nut',
    slots: ['neck', 'body'],
    at: heel ? pt(d.heelEnd + 8, 12) : pt(-14, 0),
    draw: () =>
      framed(
        heel ? 'Heel-end adjuster from above' : 'Adjuster at the headstock, from above',
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
        [{ label: 'Tool across flats', value: `${key} mm` }],
      ),
  }
  return jointOf(build, base, [
    settled(
      'access',
      'Way for the tool',
      goes,
      'wont-go',
      !heel
        ? `The truss nut sits at the headstock; a ${key} mm tool reaches it under its cover.`
        : notch
          ? 'The body has its notch; the tool swings.'
          : 'The truss nut sits at the heel and the body has no notch: the neck would have to come off for every turn.',
      [
        {
          id: 'cut-notch',
          job: `Cut a notch ${Math.ceil(2 * key + 4)} mm wide and 26 mm long at the pocket’s end.`,
          how: 'Drill and chisel before any finish; keep clear of the neck pickup’s route; the guard may need the same.',
          gives: 'body',
          tools: ['drill', 'chisel'],
        },
      ],
    ),
  ])
}

/** Foil on the guard and lining in the cavity are one box only when they touch. */
export function shieldsMeetJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const cavity = traitAt(build, 'body', 'shield') ?? 'none'
  const guard = traitAt(build, 'guard', 'shield') ?? 'none'
  const tab = traitAt(build, 'shielding', 'tab') === 'tab'
  const closed = cavity !== 'none' && guard !== 'none' && tab
  const base: JointBase = {
    id: 'shields-meet',
    title: 'Shields make one box',
    slots: ['shielding', 'guard', 'body'],
    at: pt(d.heelEnd + 180, -40),
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
          { label: 'Cavity lined with', value: cavity },
          { label: 'Guard backed with', value: guard },
          { label: 'Joined by a tab', value: tab ? 'yes' : 'no' },
        ],
      ),
  }
  const lacks = [
    cavity === 'none' ? 'the cavity is not lined' : '',
    guard === 'none' ? 'the guard’s back is bare' : '',
    tab ? '' : 'nothing joins the two',
  ].filter(Boolean)
  return jointOf(build, base, [
    settled(
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
    ),
  ])
}

/** Metals and colours side by side: a soft joint, photographs lie. */
export function metalsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const metals = (Object.entries(build.parts) as [Slot, NonNullable<Build['parts'][Slot]>][]).flatMap(([slot, p]) =>
    p.metal ? [{ slot, metal: p.metal }] : [],
  )
  const kinds = [...new Set(metals.map((m) => m.metal))]
  const most = kinds.toSorted((a, b) => metals.filter((m) => m.metal === b).length - metals.filter((m) => m.metal === a).length)[0]
  const odd = metals.filter((m) => m.metal !== most)
  const base: JointBase = {
    id: 'metals',
    title: 'Metals match',
    slots: metals.map((m) => m.slot),
    at: pt(d.studs + 40, 50),
    draw: () =>
      framed(
        'Metals on this build',
        'hatched: the odd ones',
        [
          ...metals.flatMap((m, i): Mark[] => [
            { mark: 'area', role: m.metal === most ? 'metal' : 'remove', points: rectangle(0, i * 9, 12, i * 9 + 6) },
            { mark: 'label', at: pt(15, i * 9 + 5), text: `${slotSpec(m.slot).label}: ${m.metal}`, anchor: 'start' },
          ]),
          { mark: 'line', role: 'guide', points: [pt(90, 0), pt(91, 0)] },
        ],
        metals.map((m) => ({ label: slotSpec(m.slot).label, value: m.metal })),
      ),
  }
  return jointOf(build, base, [
    settled(
      'metals',
      'Parts of another metal',
      !odd.length,
      'loose',
      odd.length
        ? `Most parts are ${most}; not so: ${odd.map((o) => `${slotSpec(o.slot).label.toLowerCase()} (${o.metal})`).join(', ')}. It works; the eye decides, and photographs lie.`
        : `All ${most ?? 'metal'} parts match.`,
    ),
  ])
}
