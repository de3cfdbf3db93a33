import type { Build } from '../../document/build'
import type { Drawing } from '../../drawing/drawing'
import { sizeRef, traitAt } from '../../document/read'
import { rowsOver } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import type { PickupPlace } from '../../instrument/guardPlace'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, sizesIn, traitIn } from '../../judge/known'
import { certain } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A pole further from its string than this is heard, mm; a blade does not care. [practice] */
const POLE_OFF = 1.5

/** String spacing, first to last, at a place between nut and scale line, mm. [physics: straight lines] */
export const spreadAt = (x: number, scale: number, nut: number, bridge: number): number => nut + (bridge - nut) * (x / scale)

const refsOf = (place: PickupPlace) => ({
  nut: sizeRef('nut', 'spread'),
  bridge: sizeRef('bridge', 'spread'),
  centre: sizeRef('body', `route.${place}.centre`),
  poles: sizeRef(`pickup-${place}`, 'poles.spread'),
})
const slantOf = (build: Build, place: PickupPlace) => (drawnAt(build, sizeRef(`pickup-${place}`, 'slant')) * Math.PI) / 180

const TITLE = 'Strings over poles'
const rowOf = (build: Build, spread: number) => Array.from({ length: build.strings }, (_, i) => spread * (i / (build.strings - 1) - 0.5))

/** A blade from end to end of its cover, whose own length nobody measures, and the strings as they are known or usual. */
function bladeDrawing(build: Build, place: PickupPlace): Drawing {
  const { centre, nut, bridge } = refsOf(place)
  const { mouth, scale } = datums(build)
  const spread = spreadAt(mouth + drawnAt(build, centre), scale, drawnAt(build, nut), drawnAt(build, bridge))
  const half = drawnAt(build, sizeRef(`pickup-${place}`, 'width')) / 2
  return rowsOver('Strings over a blade, seen from the bridge', 'true proportion', [
    { label: 'strings', at: rowOf(build, spread), role: 'string', r: 0.8 },
    { label: 'blade', at: [-half, half], role: 'metal', r: 1.2, bar: true },
  ])
}

/** Do the poles lie under their strings at the pickup's place? */
export function polesUnderJoint(build: Build, place: PickupPlace): JudgedJoint {
  const slot = `pickup-${place}` as const
  const refs = refsOf(place)
  return judged(build, {
    id: `poles-${place}`,
    condition: true,
    title: `Poles under strings, ${place} pickup`,
    slots: [slot, 'nut', 'bridge', 'body'],
    at: () => pt(datums(build).mouth + drawnAt(build, refs.centre), 20),
    draw:
      traitAt(build, slot, 'poles') === 'blade'
        ? () => bladeDrawing(build, place)
        : drawnOnceKnown(build, TITLE, refs, (have) => {
            const row = (spread: number) => rowOf(build, spread)
            return rowsOver(`${TITLE}, seen from the bridge`, 'true proportion', [
              {
                label: 'strings',
                at: row(spreadAt(datums(build).mouth + have.centre.value, datums(build).scale, have.nut.value, have.bridge.value)),
                role: 'string',
                r: 0.8,
              },
              { label: 'poles', at: row(have.poles.value * Math.cos(slantOf(build, place))), role: 'metal', r: 2.4 },
            ])
          }),
    asks: [(b) => polesQuestion(b, place), (b) => bassSide(b, place)],
  })
}

/**
 * How far the middle of the strings lies beside the body's centre line at a place along them, mm, bass positive: nothing at the bridge, and at
 * the nut as far the other way as the neck's axis passes beside the bridge, by its length either side of the pocket's middle. [physics: levers]
 */
function stringsAside(build: Build, x: number): number {
  const { mouth, heelEnd, scale } = datums(build)
  const axis = drawnAt(build, sizeRef('body', 'axisAtBridge'))
  const middle = (mouth + heelEnd) / 2
  return (-axis * middle * (1 - x / scale)) / (scale - middle)
}

function polesQuestion(build: Build, place: PickupPlace): Question {
  if (traitIn(build, `pickup-${place}`, 'poles') === 'blade')
    return {
      id: 'poles',
      label: 'Spare before a pole is heard to miss',
      clearance: certain(1),
      unit: 'none',
      bands: [{ upTo: Infinity, is: 'snug' }],
      says: () => 'A blade runs under all strings wherever they lie.',
      cures: () => [],
    }
  const have = sizesIn(build, refsOf(place))
  const { mouth, scale } = datums(build)
  const slant = slantOf(build, place)
  const turned = Math.round((Math.abs(slant) * 180) / Math.PI)
  // A slanted row is narrower across the strings; its two ends lie at two places along them, which is the middle's on average.
  const x = mouth + have.centre.value
  const value = (spreadAt(x, scale, have.nut.value, have.bridge.value) - have.poles.value * Math.cos(slant)) / 2
  const aside = stringsAside(build, x) - drawnAt(build, sizeRef('body', `route.${place}.side`))
  const signed = certain(value)
  // Where the strings' middle alone misses the poles', no spacing mends it.
  const bySpacing = Math.abs(aside) <= POLE_OFF
  // The nearer limit decides, on the side to which the strings' middle lies.
  const spare = certain(POLE_OFF - Math.abs(value) - Math.abs(aside))
  return {
    id: 'poles',
    spread: true,
    label: 'Spare before a pole is heard to miss',
    clearance: spare,
    shown: signed,
    bands: [
      { upTo: -2, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      `${turned > 0 ? `Slanted by ${turned}°, bass end towards the ${slant > 0 ? 'neck' : 'bridge'}, the` : 'The'} outer strings pass ${printMm(Math.abs(value), 1)} mm ${value > 0 ? 'outside' : 'inside'} the outer poles${Math.abs(aside) >= 0.1 ? `, and ${printMm(Math.abs(aside), 1)} mm to the ${aside > 0 ? 'bass' : 'treble'} side of them` : ''}.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            ...(verdict === 'tight'
              ? [
                  {
                    id: 'slant-pickup',
                    job: 'Leave it: outer strings sound a little weaker over missed poles.',
                    how: 'Raise that side by half a turn after the strings are on and listen.',
                    gives: 'nothing',
                    tools: ['screwdriver'],
                  },
                ]
              : []),
            {
              id: 'other-spacing',
              job: `${verdict === 'tight' ? 'Or take' : 'Take'} a pickup with ${bySpacing ? `${printMm(have.poles.value + (2 * value) / Math.cos(slant), 1)} mm from first to last pole, or one with a blade` : 'a blade, which runs under all strings wherever they lie'}.`,
              how: bySpacing
                ? 'The bridge version of a pair has the wider spacing; turned round the pair may fit.'
                : 'The strings lie to one side of its middle: no other spacing of poles brings all of them over it.',
              gives: 'the pickup',
              tools: [],
            },
          ],
  }
}

/** A pickup whose poles are set for the wound strings on one side sits that side to the bass. */
function bassSide(build: Build, place: PickupPlace): Question[] {
  const way = traitIn(build, `pickup-${place}`, 'bassSide')
  if (way === 'same') return []
  const turned = way === 'turned'
  return [
    {
      id: 'bass-side',
      label: 'Bass end to the bass strings',
      clearance: certain(turned ? -1 : 1),
      unit: 'none',
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        turned
          ? `The ${place} pickup sits turned round: its bass end is under the high strings.`
          : 'Its bass end lies under the low strings.',
      cures: () =>
        turned
          ? [
              {
                id: `turn-pickup-${place}`,
                job: `Turn the ${place} pickup round in its opening.`,
                how: 'Before soldering: see on which side the leads leave. A left-handed build turns what was made for the other hand.',
                gives: 'nothing',
                tools: ['screwdriver'],
                minutes: 10,
              },
            ]
          : [],
    },
  ]
}
