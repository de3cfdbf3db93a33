import { aMm, counted } from '../../quantity/words'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { FACE_GUARD } from '../../physics/pilot'
import { printMm } from '../../quantity/length'
import type { Bench } from '../bench'
import { guarded } from '../guard'

/** One pass of a router goes no deeper than this, mm. [practice] */
const PASS = 4

/**
 * How far a template's edge stands off the cut: half of what the guide bushing is wider than the bit, outwards for an opening. A bearing as
 * wide as its bit needs none. [physics]
 */
export const templateOffset = (bushing: number, bit: number): number => (bushing - bit) / 2

/** Of the bushings and bits there are, the pair that leaves the tightest corner and a bushing the bit passes through. */
export function routerPair(bushings: readonly number[], bits: readonly number[]): { bushing: number; bit: number } | undefined {
  const pairs = bits.flatMap((bit) => bushings.filter((b) => b > bit + 1).map((bushing) => ({ bushing, bit })))
  return pairs.toSorted((a, b) => a.bit - b.bit || a.bushing - b.bushing)[0]
}

export const ROUTER_CAUTIONS = [
  'Router: eye and ear protection, both hands on it, no loose sleeves, the work clamped; it kicks when it is fed the wrong way.',
  'A template held by hot glue or tape alone can let go: screws where it does not show, or clamps.',
  'Dust mask for wood dust: hardwood dust is a recognised carcinogen (IARC). Follow the tool maker’s instructions and local rules.',
]

export const passesOf = (depth: number): string => counted(Math.max(1, Math.ceil(depth / PASS)), 'pass', 'passes')

/** What a template has to look like for a person's bushings and bits, and how the cut is made with it. */
export function routed(bench: Bench): { pair?: { bushing: number; bit: number }; offset?: number; steps: string[] } {
  const pair = routerPair(bench.bushings, bench.routerBits)
  const offset = pair && templateOffset(pair.bushing, pair.bit)
  return {
    ...(pair ? { pair, offset: offset! } : {}),
    steps: [
      pair
        ? `template for ${aMm(pair.bushing, 2)} bushing and ${aMm(pair.bit, 2)} bit: its edge ${printMm(offset!, 3)} mm outside the cut all round, its corners of at least ${printMm(pair.bit / 2 + offset!, 2)} mm radius`
        : 'no bushing of yours is wider than a bit of yours: a bearing bit, the template’s edge on the cut',
      'waste drilled out first, depth stop set',
      `passes of ${PASS} mm at most, fed so that the bit pulls itself against the template`,
    ],
  }
}

/** Wood that must stay under a route. @param over what is hollow under it from the other face */
export const floorGuard = (left: { value: number; doubt: number }, over?: string) =>
  guarded(
    'face',
    'Floor left under it',
    { value: left.value - FACE_GUARD, doubt: left.doubt },
    [
      { upTo: 0, is: 'wont-go' },
      { upTo: 3, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    left.value <= 0
      ? over
        ? `It would break ${printMm(-left.value, 1)} mm into ${over}.`
        : `It would come ${printMm(-left.value, 1)} mm out of the far face.`
      : `${printMm(left.value, 1)} mm of floor stays${over ? ` over ${over}` : ''}.`,
    'Take a part that wants less depth.',
  )

/** What a length is drawn at where only the part knows it, mm. */
const UNSAID = 60

/** A cut seen from above, the edge of its template round it. @param long, wide mm; what nobody said is drawn without a figure */
export function routeDrawing(title: string, long: number | undefined, wide: number | undefined, offset: number | undefined) {
  const [l, w] = [long ?? UNSAID, wide ?? UNSAID]
  const figured = [
    ...(long === undefined
      ? []
      : [{ from: pt(-l / 2, w / 2 + 16), to: pt(l / 2, w / 2 + 16), text: printMm(l, 1), label: 'Along the strings' }]),
    ...(wide === undefined ? [] : [{ from: pt(l / 2 + 16, -w / 2), to: pt(l / 2 + 16, w / 2), text: printMm(w, 1), label: 'Across' }]),
  ]
  return framed(
    title,
    offset === undefined ? 'from above, true proportion' : 'from above, true proportion · dashed: the template’s edge',
    [
      { mark: 'area', role: 'body-wood', points: rectangle(-l / 2 - 12, -w / 2 - 12, l / 2 + 12, w / 2 + 12) },
      { mark: 'area', role: 'cavity', points: rectangle(-l / 2, -w / 2, l / 2, w / 2) },
      ...(offset === undefined
        ? []
        : [
            {
              mark: 'area' as const,
              role: 'guide' as const,
              dashed: true,
              points: rectangle(-l / 2 - offset, -w / 2 - offset, l / 2 + offset, w / 2 + offset),
            },
          ]),
      ...figured.map(({ from, to, text }) => ({ mark: 'dimension' as const, from, to, text, emphasis: true })),
    ],
    [
      ...figured.map(({ label, text }) => ({ label, value: `${text} mm` })),
      ...(offset === undefined ? [] : [{ label: 'Template’s edge outside the cut', value: `${printMm(offset, 3)} mm` }]),
    ],
  )
}
