import type { Build } from '../../document/build'
import { sizeAt, sizeRef, type SizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { boreSection, framed, nothingYet } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { stringPulls } from '../../instrument/stringPulls'
import { jointOf, judged, waitingJoint, type JointBase } from '../../judge/assemble'
import { check, type JudgedJoint } from '../../judge/joint'
import { gapOf, sizeOr } from '../../judge/known'
import { slotSpec } from '../../parts/slots'
import { likelyOf, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A string wants this much more than its own diameter in a hole, mm. [practice] */
const PASS = 0.2

/** Springs against strings: pull times arm about the knife edge, both sides. [physics] */
export function springsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { count: sizeRef('springs', 'count') }
  const pull = sizeOr(build, sizeRef('springs', 'pull'), 45, 12)
  const arm = sizeOr(build, sizeRef('springs', 'arm'), 36, 3)
  const string = sizeOr(build, sizeRef('springs', 'string.arm'), 9, 1)
  const total = stringPulls(build).reduce((s, p) => s + p.newton, 0)
  return judged(build, {
    id: 'springs',
    title: 'Springs against the strings',
    slots: ['springs', 'bridge', 'strings'],
    at: pt(d.studs - 50, -20),
    refs,
    checks: (have) => {
      const spare = propagate(
        ([n, p, a, s]) => n! - (total * s!) / (p! * a!),
        [ofSize(have.count), ofSize(pull), ofSize(arm), ofSize(string)],
      )
      const needed = have.count.value - likelyOf(spare)
      return [
        check({
          id: 'balance',
          label: 'Springs fitted over springs needed',
          clearance: spare,
          unit: 'count',
          bands: [
            { upTo: -1.5, is: 'wont-go' },
            { upTo: -0.6, is: 'tight' },
            { upTo: 1.2, is: 'snug' },
            { upTo: Infinity, is: 'loose' },
          ],
          reads: [refs.count, sizeRef('springs', 'pull'), sizeRef('springs', 'arm'), sizeRef('springs', 'string.arm')],
          says: () =>
            `The strings pull ${Math.round(total)} N; that asks for ${needed.toFixed(1)} springs and ${have.count.value} are fitted. The claw takes up the rest.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'spring-count',
                    job: `Fit ${Math.max(1, Math.round(needed))} springs.`,
                    how: 'Strings slack, eyes covered: springs let go. Parallel for a soft arm, fanned for a firm one.',
                    gives: 'nothing',
                    tools: ['pliers', 'eye protection'],
                    plan: { slot: 'springs', size: 'count', delta: Math.max(1, Math.round(needed)) - have.count.value, doubt: 0 },
                  },
                ],
        }),
      ]
    },
    draw: (have) => {
      const marks: Mark[] = [
        {
          mark: 'area',
          role: 'metal',
          points: [pt(-8, -6), pt(36, -6), pt(36, -2), pt(6, -2), pt(6, arm.value), pt(-6, arm.value), pt(-6, -2), pt(-8, -2)],
        },
        { mark: 'circle', role: 'cavity', at: pt(-8, -4), r: 2 },
        { mark: 'line', role: 'string', points: [pt(-70, -string.value - 4), pt(14, -string.value - 4)] },
        { mark: 'line', role: 'ground', points: [pt(0, arm.value - 4), pt(-90, arm.value - 2)] },
        { mark: 'dimension', from: pt(-22, -4), to: pt(-22, -4 - string.value), text: printMm(string.value, 1), emphasis: true },
        { mark: 'dimension', from: pt(20, -4), to: pt(20, arm.value - 4), text: printMm(arm.value, 1) },
      ]
      return framed('Block on its knife edge, from the side', 'true proportion', marks, [
        { label: 'String pull', value: `${Math.round(total)} N` },
        { label: 'Springs fitted', value: String(have.count.value) },
      ])
    },
  })
}

const gauge = (n: number): SizeRef => ({ slot: 'strings', size: `gauge.${n}` })

/** Every hole a string has to pass, against the thickest string. */
export function stringsThroughJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const holes: SizeRef[] = [
    sizeRef('bridge', 'string.hole'),
    sizeRef('tailpiece', 'string.hole'),
    sizeRef('ferrules', 'string.hole'),
    sizeRef('body', 'string.hole'),
    sizeRef('tuners', 'string.hole'),
  ].filter((r) => sizeAt(build, r))
  const gauges = Array.from({ length: build.strings }, (_, i) => gauge(i + 1)).filter((r) => sizeAt(build, r))
  const base: JointBase = {
    id: 'strings-through',
    title: 'Strings through their holes',
    slots: ['strings', 'bridge', 'tuners'],
    at: pt(d.studs + 26, 12),
    draw: () => nothingYet('Strings through their holes'),
  }
  const [firstGauge] = gauges
  if (!firstGauge || !holes.length) return waitingJoint(base, firstGauge ? [sizeRef('bridge', 'string.hole')] : [gauge(1)])
  const thick = gauges.reduce((a, b) => (sizeAt(build, b)!.value > sizeAt(build, a)!.value ? b : a))
  const string = sizeAt(build, thick)!
  const ball = (r: SizeRef) => (r.slot === 'body' ? 2.2 : 0)
  const checks = holes.map((ref) => {
    const hole = sizeAt(build, ref)!
    const name = slotSpec(ref.slot).label.toLowerCase()
    const c = gapOf(
      [
        [1, hole],
        [-1, string],
      ],
      -PASS - ball(ref),
    )
    return check({
      id: `hole-${ref.slot}`,
      label: `Hole in the ${name}`,
      clearance: c,
      bands: [
        { upTo: -1.2, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      reads: [ref, thick],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The thickest string, ${printMm(string.value)} mm, passes every hole.`
          : `The thickest string, ${printMm(string.value)} mm, does not pass the ${printMm(hole.value, 1)} mm hole in the ${name}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `drill-${ref.slot}`,
                job: `Drill the hole in the ${name} out to ${printMm(string.value + PASS + ball(ref))} mm.`,
                how: 'Metal: clamp it, slow speed, deburr both sides, eyes covered. A long-scale set on short hardware often needs this.',
                gives: name,
                tools: ['bit', 'clamp', 'eye protection'],
                plan: { slot: ref.slot, size: ref.size, delta: 0.05 - likelyOf(c), doubt: 0.05 },
              },
            ],
    })
  })
  const tightest = checks.reduce((a, b) => (likelyOf(b.clearance) < likelyOf(a.clearance) ? b : a))
  const at = tightest.reads[0]!
  return jointOf(
    build,
    {
      ...base,
      draw: () =>
        boreSection({
          title: `String through the ${slotSpec(at.slot).label.toLowerCase()}`,
          into: at.slot === 'body' ? 'body-wood' : 'metal',
          thickness: 8,
          bore: sizeAt(build, at)!.value,
          boreDepth: 8,
          plug: { label: 'Thickest string', diameter: string.value, length: 12 },
        }),
    },
    checks,
  )
}
