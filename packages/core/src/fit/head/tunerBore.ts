import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { filmToCome } from '../../finish/film'
import { pt } from '../../geometry/point'
import { tunerPosts } from '../../instrument/tuners'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, sizesIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { screws, oldScrews } from './tunerScrewHoles'

/** A tuner's bushing in its bore, and its little screw in the headstock. */
export function tunerBoreJoint(build: Build): JudgedJoint {
  const refs = { bore: sizeRef('neck', 'tuner.bore'), bush: sizeRef('tuners', 'bushing') }
  return judged(build, {
    id: 'tuner-bore',
    title: 'Tuner bushings and screws',
    slots: ['tuners', 'neck'],
    at: () => {
      const [post] = tunerPosts(build)
      return post ? pt(post.x, post.y - 16) : pt(-40, -20)
    },
    draw: drawnOnceKnown(build, 'Bushing in the headstock', refs, (have) =>
      boreSection({
        title: 'Bushing in the headstock',
        into: 'neck-wood',
        thickness: drawnAt(build, sizeRef('neck', 'head.thickness')),
        bore: have.bore.value,
        boreDepth: 99,
        plug: { label: 'Bushing', diameter: have.bush.value, length: 12, flange: have.bush.value + 3 },
      }),
    ),
    asks: [
      (b) => {
        const have = sizesIn(b, refs)
        const c = gapOf([
          [1, have.bore],
          [-1, have.bush],
        ])
        return {
          id: 'bore',
          label: 'Bore minus bushing',
          clearance: c,
          bands: [
            { upTo: -1.6, is: 'wont-go' },
            { upTo: -0.06, is: 'tight' },
            { upTo: 0.25, is: 'snug' },
            { upTo: 2, is: 'loose' },
            { upTo: Infinity, is: 'wont-go' },
          ],
          coats: filmToCome(b, refs.bore),
          says: () =>
            `Bores are ${printMm(have.bore.value)} mm and the bushings ${printMm(have.bush.value)} mm. Bushings go in before the tuners, so that each post stands square.`,
          cures: ({ verdict }) => {
            if (verdict === 'snug') return []
            if (likelyOf(c) < 0)
              return [
                {
                  id: 'ream-tuners',
                  job: `Ream the bores to ${printMm(have.bush.value + HOLE_OVER.tuner)} mm.`,
                  how: 'From both faces with a stop of tape; a bit run backwards first saves the edge. Backing scrap behind.',
                  gives: 'neck',
                  tools: ['tapered reamer or step bit'],
                  plan: { slot: 'neck', size: 'tuner.bore', delta: HOLE_OVER.tuner - likelyOf(c), doubt: 0.05 },
                },
              ]
            return [
              {
                id: 'adapter',
                job: `Use adapter ferrules, ${printMm(have.bore.value)} mm outside, for the smaller posts.`,
                how: 'Pressed in, square; nothing is cut.',
                gives: 'nothing',
                toGet: true,
                tools: ['dowel', 'clamp'],
              },
            ]
          },
        }
      },
      screws,
      oldScrews,
      grip,
    ],
  })
}

/** A bushing or nut reaches through a headstock of so much and no more. */
function grip(build: Build): Question[] {
  const head = sizeIn(build, sizeRef('neck', 'head.thickness'))
  const one = (id: 'grip.min' | 'grip.max', sign: 1 | -1): Question[] => {
    const ref = sizeRef('tuners', id)
    const limit = sizeIn(build, ref)
    const c = gapOf([
      [sign, limit],
      [-sign, head],
    ])
    const thick = id === 'grip.max'
    return [
      {
        id,
        label: thick ? 'Thickest headstock they take, over this one' : 'This headstock over the thinnest they take',
        clearance: c,
        bands: [
          { upTo: thick ? -3 : -2, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        says: () =>
          `The headstock is ${printMm(head.value, 1)} mm thick; they take ${thick ? 'at most' : 'at least'} ${printMm(limit.value, 1)}.`,
        cures: ({ verdict }) =>
          verdict === 'snug'
            ? []
            : thick
              ? [
                  {
                    id: 'thin-head',
                    job: `Plane the back of the headstock down by ${printMm(0.3 - likelyOf(c), 1)} mm, or countersink the bushings’ seats.`,
                    how: 'Before any coat goes on; mind the wood the screws need.',
                    gives: 'neck',
                    tools: ['block plane', 'P120 on a flat block'],
                    plan: { slot: 'neck', size: 'head.thickness', delta: likelyOf(c) - 0.3, doubt: 0.1 },
                  },
                ]
              : [
                  {
                    id: 'washers-under',
                    job: `Put washers of ${printMm(0.3 - likelyOf(c), 1)} mm under the bushings’ nuts.`,
                    how: 'Polished ones on the face; the same under all.',
                    gives: 'nothing',
                    tools: ['washers'],
                    minutes: 10,
                  },
                ],
      },
    ]
  }
  return [...one('grip.max', 1), ...one('grip.min', -1)]
}
