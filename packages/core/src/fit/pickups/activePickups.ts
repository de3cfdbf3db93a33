import { aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

const refs = { room: sizeRef('body', 'battery.room'), battery: sizeRef('battery', 'length') }

/** Active pickups: room for the battery, a jack that switches it, pots of the right value. */
export const activeJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'active',
    title: 'Battery for the active circuit',
    slots: ['battery', 'body', 'jack', 'pot-volume'],
    at: () => pt(datums(build).studs + 30, 70),
    draw: drawnOnceKnown(build, 'Battery in its room', refs, (have) =>
      framed(
        'Battery in its room',
        'true proportion',
        [
          { mark: 'area', role: 'cavity', points: rectangle(0, -16, have.room.value, 16) },
          { mark: 'area', role: 'metal', points: rectangle(0, -13, have.battery.value, 13) },
          { mark: 'dimension', from: pt(0, 22), to: pt(have.room.value, 22), text: printMm(have.room.value, 1) },
        ],
        [{ label: 'Room minus battery', value: `${printMm(have.room.value - have.battery.value, 1)} mm` }],
      ),
    ),
    asks: [batteryRoom, switching],
  })

function batteryRoom(build: Build): Question {
  const have = sizesIn(build, refs)
  const c = gapOf([
    [1, have.room],
    [-1, have.battery],
  ])
  return {
    id: 'room',
    label: 'Room minus battery',
    clearance: linear([[1, c]], -1),
    shown: c,
    bands: [
      { upTo: -1, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => `${printMm(have.room.value, 1)} mm of room for ${aMm(have.battery.value, 1)} battery.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'battery-box',
              job: `Cut a battery box in from the back, ${printMm(have.room.value + 2 - likelyOf(c), 0)} mm of room in it.`,
              how: 'Before any coat goes on; router, both hands.',
              gives: 'body',
              tools: ['router'],
              plan: { slot: 'body', size: 'battery.room', delta: 2 - likelyOf(c), doubt: 0.3 },
            },
          ],
  }
}

/** Asked once there are a jack and a pot to look at. */
function switching(build: Build): Question[] {
  if (!build.parts.jack || !build.parts['pot-volume']) return []
  const stereo = traitIn(build, 'jack', 'contacts') === 'stereo'
  const pot = sizeIn(build, sizeRef('pot-volume', 'resistance'))
  const high = pot.value > 50e3
  return [
    {
      id: 'switching',
      label: 'Stereo jack and 25 k pots',
      clearance: [{ weight: 1, mean: stereo && !high ? 1 : -1, sigma: 0 }],
      unit: 'none',
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        stereo && high
          ? `The stereo jack switches the battery, but a ${Math.round(pot.value / 1000)} k pot mutes an active pickup’s treble; 25 k is usual.`
          : stereo
            ? 'The stereo jack switches the battery. Look in the pickup’s own sheet whether it wants a string ground.'
            : 'A mono jack leaves the battery on for good; active pickups want a stereo jack and usually 25 k pots. Some want no string ground: look in the sheet.',
      cures: () =>
        stereo && high
          ? [
              {
                id: 'low-pots',
                job: 'Take 25 k pots for volume and tone.',
                how: 'Passive values, 250 k and up, belong to passive pickups. The pickup’s own sheet wins.',
                gives: 'the pots',
                tools: ['soldering iron'],
                plan: { slot: 'pot-volume' as const, size: 'resistance', delta: 25e3 - pot.value, doubt: 2500 },
              },
            ]
          : stereo
            ? []
            : [
                {
                  id: 'stereo-jack',
                  job: 'Take a stereo jack: its ring switches the battery.',
                  how: 'Battery minus to the ring.',
                  gives: 'the jack',
                  tools: [],
                },
              ],
    },
  ]
}
