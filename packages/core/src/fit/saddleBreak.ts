import { sizeAt, sizeRef, traitAt, valueAt, type Build } from '../build'
import { pt, rectangle, type Mark } from '../drawing'
import { datums } from '../layout/datums'
import { likelyOf, ofSize, printMm, propagate } from '../quantity'
import { judged } from './assemble'
import { wantedSaddle } from './bridgeHeight'
import { framed } from './draw/sections'
import { check, type Check, type JudgedJoint } from './joint'
import type { Band } from './verdict'

/** Angle of the strings over the saddle, degrees, by what they go to. [practice] */
const STOP_BANDS: readonly Band[] = [
  { upTo: 5, is: 'wont-go' },
  { upTo: 8, is: 'tight' },
  { upTo: 20, is: 'snug' },
  { upTo: 35, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
const VIBRATO_BANDS: readonly Band[] = [
  { upTo: 2, is: 'wont-go' },
  { upTo: 5, is: 'tight' },
  { upTo: 12, is: 'snug' },
  { upTo: 20, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
const deg = (r: number) => (r * 180) / Math.PI

/** Post bridge and tailpiece: how steeply the strings break over the saddles, and whether they touch anything on the way. */
export function saddleBreakJoint(build: Build): JudgedJoint {
  const refs = { height: sizeRef('tailpiece', 'height'), reach: sizeRef('body', 'tail.toBridge') }
  const d = datums(build)
  const vibrato = traitAt(build, 'tailpiece', 'type') === 'vibrato'
  const wanted = wantedSaddle(build)
  return judged(build, {
    id: 'saddle-break',
    title: 'Strings over the saddles to the tailpiece',
    slots: ['bridge', 'tailpiece', 'body'],
    at: pt(d.studs + (valueAt(build, refs.reach) ?? 40) / 2, -22),
    refs,
    checks: (have) => {
      const ys = wanted ?? ofSize({ value: 14, doubt: 4 })
      const angle = propagate(([s, h, l]) => deg(Math.atan((s! - h!) / l!)), [ys, ofSize(have.height), ofSize(have.reach)])
      const at = likelyOf(angle)
      const bands = vibrato ? VIBRATO_BANDS : STOP_BANDS
      const [low, high] = vibrato ? [5, 12] : [8, 20]
      const goal = Math.tan((((low + high) / 2) * Math.PI) / 180) * have.reach.value
      const checks: Check[] = [
        check({
          id: 'break',
          label: 'Break angle over the saddle',
          clearance: angle,
          unit: 'deg',
          bands,
          reads: Object.values(refs),
          says: () =>
            at < low
              ? `Strings break over the saddles by only ${at.toFixed(1)}°; under ${low}° they hop or buzz.`
              : at > high
                ? `Strings break by ${at.toFixed(1)}°, steeper than the usual ${high}°: the bridge leans and strings break at the saddle.`
                : `Strings break over the saddles by ${at.toFixed(1)}°.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'tail-height',
                    job: `Set the tailpiece so that strings leave it ${printMm(Math.max(2, likelyOf(ys) - goal), 1)} mm above the body.`,
                    how: 'Both posts the same; with the strings slack.',
                    gives: 'nothing',
                    tools: ['screwdriver of the post’s slot'],
                    plan: { slot: 'tailpiece', size: 'height', delta: Math.max(2, likelyOf(ys) - goal) - have.height.value, doubt: 0.3 },
                  },
                  {
                    id: 'tilt-for-break',
                    job: 'Or tilt the neck back a little: the bridge goes up and the strings steeper.',
                    how: 'See neck angle and bridge height; a steeper string also holds pitch better.',
                    gives: 'nothing',
                    tools: ['tapered shim'],
                  },
                ],
        }),
      ]
      const back = sizeAt(build, sizeRef('bridge', 'back.height'))
      const distance = sizeAt(build, sizeRef('bridge', 'back.distance'))
      if (back && distance) {
        const free = propagate(
          ([s, h, l, b, x]) => s! - ((s! - h!) * x!) / l! - b!,
          [ys, ofSize(have.height), ofSize(have.reach), ofSize(back), ofSize(distance)],
        )
        checks.push(
          check({
            id: 'path',
            label: 'String above the bridge’s back',
            clearance: free,
            bands: [
              { upTo: 0, is: 'tight' },
              { upTo: Infinity, is: 'snug' },
            ],
            reads: [sizeRef('bridge', 'back.height'), sizeRef('bridge', 'back.distance')],
            says: ({ verdict }) =>
              verdict === 'snug'
                ? 'The strings touch nothing behind the saddles.'
                : `The strings touch the bridge’s back, ${printMm(-likelyOf(free), 1)} mm too low there.`,
            cures: ({ verdict }) =>
              verdict === 'snug'
                ? []
                : [
                    {
                      id: 'raise-tail',
                      job: 'Raise the tailpiece until the strings clear the bridge’s back.',
                      how: 'Half a turn at a time on both posts.',
                      gives: 'nothing',
                      tools: ['screwdriver'],
                    },
                  ],
          }),
        )
      }
      return checks
    },
    draw: (have) => {
      const s = wanted ? likelyOf(wanted) : 14
      const l = have.reach.value
      const h = have.height.value
      const marks: Mark[] = [
        { mark: 'area', role: 'body-wood', points: rectangle(-30, 0, l + 22, 9) },
        { mark: 'area', role: 'metal', points: rectangle(-5, -s, 5, 0) },
        { mark: 'area', role: 'metal', points: rectangle(l - 7, -h - 4, l + 9, -h + 6) },
        { mark: 'line', role: 'string', points: [pt(-30, -s + 0.6), pt(0, -s), pt(l, -h)] },
        { mark: 'dimension', from: pt(-14, 0), to: pt(-14, -s), text: printMm(s, 1) },
        { mark: 'dimension', from: pt(l + 16, 0), to: pt(l + 16, -h), text: printMm(h, 1), emphasis: true },
        { mark: 'dimension', from: pt(0, 6), to: pt(l, 6), text: printMm(l, 1) },
      ]
      return framed('Saddle and tailpiece from the side', 'true proportion', marks, [
        { label: 'Break angle', value: `${deg(Math.atan((s - h) / l)).toFixed(1)}°` },
        { label: 'Saddle top above the body', value: `${printMm(s, 1)} mm` },
      ])
    },
  })
}
