import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { filmToCome } from '../../finish/film'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, gapOf, landing, sizeIn, sizesIn } from '../../judge/known'
import { WRAPPED_AT_MOST } from './press'
import type { Band } from '../../judge/verdict'
import { certain, likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { counted } from '../../quantity/words'

/** A ferrule larger than its bore by up to this is pressed in, mm. [practice] */
const PRESSED = 0.14
/** Ferrule minus bore, mm: thin metal presses in by less than a bushing does. [practice] */
const PRESS: readonly Band[] = [
  { upTo: -0.6, is: 'wont-go' },
  { upTo: 0, is: 'loose' },
  { upTo: PRESSED, is: 'snug' },
  { upTo: 0.8, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
const AIM = 0.07

const refs = { ferrule: sizeRef('ferrules', 'diameter'), bore: sizeRef('body', 'ferrule.bore') }

/** String ferrules in the back of the body, and as many as there are strings. */
export function ferrulesJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'ferrules',
    title: 'String ferrules in the body',
    slots: ['ferrules', 'body'],
    at: () => pt(datums(build).studs + 30, -12),
    draw: drawnOnceKnown(build, 'Ferrule in the back', refs, ({ ferrule, bore }) =>
      boreSection({
        pressed: PRESSED,
        title: 'Ferrule in the back',
        into: 'body-wood',
        thickness: 20,
        bore: bore.value,
        boreDepth: drawnAt(build, sizeRef('ferrules', 'length')) + 1,
        plug: {
          label: 'Ferrule',
          diameter: ferrule.value,
          length: drawnAt(build, sizeRef('ferrules', 'length')),
          flange: ferrule.value + 1.5,
        },
      }),
    ),
    asks: [pressed, enough],
  })
}

function pressed(build: Build): Question {
  const { ferrule, bore } = sizesIn(build, refs)
  const c = gapOf([
    [1, ferrule],
    [-1, bore],
  ])
  const v = likelyOf(c)
  return {
    id: 'press',
    label: 'Ferrule minus bore',
    clearance: c,
    bands: PRESS,
    // Film in the bore makes it smaller.
    coats: -filmToCome(build, refs.bore),
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Ferrules press in, ${printMm(v)} mm larger than their bores.`
        : v < 0
          ? `The bores are ${printMm(-v)} mm larger than the ferrules: they drop out when the strings are off.`
          : `The ferrules are ${printMm(v)} mm larger than their bores; forced, the back chips.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : v > AIM
          ? [
              {
                id: 'drill-ferrules',
                job: `Drill the bores out to ${printMm(ferrule.value - AIM)} mm, all with one stop.`,
                how: 'A row of bores by a template clamped on; backing scrap, tape over the finish. A wavy row shows.',
                gives: 'body',
                tools: ['bit of that size', 'drill stand'],
                plan: { slot: 'body', size: 'ferrule.bore', delta: ferrule.value - AIM - bore.value, doubt: 0.04 },
              },
            ]
          : (AIM - v) / 2 > WRAPPED_AT_MOST
            ? [
                {
                  id: 'plug-ferrules',
                  job: `Plug the bores with dowel and drill them anew, ${printMm(ferrule.value - AIM)} mm; or take larger ferrules.`,
                  how: 'An evening to dry. A row of bores by a template clamped on; backing scrap. Before any coat goes on.',
                  gives: 'nothing',
                  tools: ['dowel', 'wood glue', 'drill stand'],
                  plan: { slot: 'body', size: 'ferrule.bore', delta: ferrule.value - AIM - bore.value, doubt: 0.04 },
                },
              ]
            : [
                {
                  id: 'wrap-ferrules',
                  job: `Wrap each ferrule with ${printMm((AIM - v) / 2)} mm of paper, or set it with a dot of shellac.`,
                  how: 'String pull holds them; the wrap only keeps them while strings are off.',
                  gives: 'nothing',
                  tools: ['paper strip'],
                  plan: { slot: 'body', size: 'ferrule.bore', delta: v - AIM, doubt: Math.min(0.03, landing(c, 0)) },
                },
              ],
  }
}

function enough(build: Build): Question[] {
  const ref = sizeRef('ferrules', 'count')
  const count = sizeIn(build, ref)
  const short = build.strings - count.value
  return [
    {
      id: 'count',
      label: 'As many as strings',
      clearance: certain(short > 0 ? -1 : 1),
      unit: 'none',
      bands: [
        { upTo: 0, is: 'wont-go' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () => (short > 0 ? `${counted(count.value, 'ferrule')} for ${build.strings} strings.` : 'There is a ferrule for every string.'),
      cures: () =>
        short > 0
          ? [
              {
                id: 'more-ferrules',
                job: `Find ${short} more of the same diameter.`,
                how: 'Most are sold in sixes.',
                gives: 'nothing',
                toGet: true,
                tools: [],
              },
            ]
          : [],
    },
  ]
}
