import { aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { stringPulls } from '../../instrument/stringPulls'
import { isOnStuds, isVibrato } from '../../instrument/vibrato'
import type { Question } from '../../judge/joint'
import { sizeIn, sizesIn, traitIn } from '../../judge/known'
import type { Slot } from '../../parts/slots'
import { woodNamed } from '../../parts/woods'
import { likelyOf, normal } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'

/** Wood is trusted with a third of its crushing strength at the rim; beyond all of it the rim gives way and the stud leans. [ours] */
const SHARE = 3

/**
 * Highest pressure of a stiff post on the wall of its bore, MPa (N/mm2), pulled sideways at a height above the wood: at the rim
 * p = F/(d L) (4 + 6 e/L). [physics: pressure along the post a straight line, forces and moments in balance]
 * @param pull newtons on one post @param diameter of the bushing, mm @param length of the bushing in the wood, mm @param height of the pull above the wood, mm
 */
export const rimPressure = (pull: number, diameter: number, length: number, height: number): number =>
  (pull / (diameter * length)) * (4 + (6 * height) / length)

/**
 * Share of the strings' pull on a vibrato's two studs: strings on one side of the knife edge, springs on the other, and the studs hold
 * both: T (1 + s/a) with s the strings' arm and a the springs'. [physics]
 */
export const vibratoStudPull = (total: number, stringArm: number, springArm: number): number => total * (1 + stringArm / springArm)

/** What a bore is plugged with where the body's own wood bears too little. [practice] */
const PLUG = 'hard-maple'

/** Knife edge to string and to spring, mm, where no springs are chosen. [practice] */
const USUAL_LEVER = { arm: { value: 36 }, string: { value: 9 } }

interface Held {
  slot: Slot & ('bridge' | 'tailpiece')
  /** Newtons on both studs together. */
  pull: number
  height: Size
}

/** A bar's strings pull on it where they leave it: anywhere between its lowest and its highest, as it will be set. */
function barHeight(build: Build): Size {
  const { low, high } = sizesIn(build, { low: sizeRef('bridge', 'height.min'), high: sizeRef('bridge', 'height.max') })
  return { value: (low.value + high.value) / 2, doubt: Math.abs(high.value - low.value) / 2, known: low.known }
}

/** What pulls on these studs; nothing while strings or mount are not chosen, or where the strings go on to a tailpiece. */
function heldBy(build: Build, slot: Held['slot']): Held | undefined {
  const mount = slot === 'bridge' ? traitIn(build, 'bridge', 'mount') : undefined
  if (mount && (!isOnStuds(mount) || mount === 'post')) return undefined
  const total = stringPulls(build).reduce((sum, p) => sum + p.newton, 0)
  if (!total) return undefined
  if (mount === 'bar') return { slot, pull: total, height: barHeight(build) }
  if (slot === 'tailpiece') return { slot, pull: total, height: sizeIn(build, sizeRef('tailpiece', 'height')) }
  // Without springs the sum goes on with the usual lever, and the check says that it cannot be told without them.
  const { arm, string } = build.parts.springs
    ? sizesIn(build, { arm: sizeRef('springs', 'arm'), string: sizeRef('springs', 'string.arm') })
    : USUAL_LEVER
  return { slot, pull: vibratoStudPull(total, string.value, arm.value), height: { value: 6, doubt: 2, known: 'assumed' } }
}

/** String pull on two studs against the wood of the body. */
export function studPull(build: Build, slot: Held['slot']): Question[] {
  const held = heldBy(build, slot)
  if (!held) return []
  const swings = slot === 'bridge' && isVibrato(traitIn(build, 'bridge', 'mount'))
  const wood = woodNamed(traitIn(build, 'body', 'wood'))!
  const refs = { diameter: sizeRef(slot, 'studDiameter'), length: sizeRef(slot, 'studLength') }
  const diameter = sizeIn(build, refs.diameter)
  const length = sizeIn(build, refs.length)
  const allowed = wood.crushing / SHARE
  const left = (height: number) => allowed - rimPressure(held.pull / 2, diameter.value, length.value, height)
  // How high a vibrato's knife edges stand is nobody's size, nor where a bar will be set; a tailpiece's height is, and its doubt is counted with the others.
  const spare = normal(
    left(held.height.value),
    slot === 'bridge' ? Math.abs(left(held.height.value + held.height.doubt / 2) - left(held.height.value)) : 0,
  )
  const pressure = allowed - likelyOf(spare)
  const longer = lengthFor(held, diameter.value, allowed)
  // A plug of what the body is made of, or of a wood that bears too little itself, is work for nothing.
  const plug = woodNamed(PLUG)!
  const plugged = plug.crushing > wood.crushing && pressure <= plug.crushing / SHARE
  return [
    {
      id: 'pull',
      ...(swings && !build.parts.springs ? { lacks: 'which springs hold the vibrato' } : {}),
      spread: true,
      label: 'Pressure the wood may still take at the studs’ rim, MPa',
      clearance: spare,
      unit: 'MPa',
      bands: [
        { upTo: allowed - wood.crushing, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        `The strings pull ${Math.round(held.pull / 2)} N on each stud, ${printMm(held.height.value, 0)} mm above the wood: ${pressure.toFixed(1)} MPa at the rim of ${aMm(length.value, 0)} bushing. ${wood.label[0]!.toUpperCase()}${wood.label.slice(1)} is trusted with ${allowed.toFixed(1)}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              ...(longer === undefined
                ? []
                : [
                    {
                      id: 'longer-studs',
                      job: `Take bushings at least ${longer} mm long, or lower the strings over the studs.`,
                      how: 'The pressure falls with the square of the length and more; deepen the bores to match.',
                      gives: 'the studs',
                      tools: ['bit of that size', 'drill stand'],
                      plan: { slot, size: 'studLength' as const, delta: longer - length.value, doubt: 0.3 },
                    },
                  ]),
              ...(plugged
                ? [
                    {
                      id: 'hard-plug',
                      job: `Or set a plug of ${plug.label}, 20 mm or more across, and drill the bores in it.`,
                      how: 'Face grain up, grain along the body; before any coat goes on.',
                      gives: 'body',
                      tools: ['plug', 'wood glue', 'drill stand'],
                    },
                  ]
                : []),
            ],
    },
  ]
}

/** Bushings for studs are hardly made longer, mm. [practice, from memory] */
const LONGEST = 32

/** Whole millimetres of bushing that bring the pressure under what is allowed, with a millimetre to spare; nothing where none is so long. */
function lengthFor({ pull, height }: Held, diameter: number, allowed: number): number | undefined {
  let length = 5
  while (length < LONGEST && rimPressure(pull / 2, diameter, length, height.value) > allowed) length++
  return length < LONGEST ? length + 1 : undefined
}
