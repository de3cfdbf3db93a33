import { printOhms } from '../../quantity/electrical'
import { capital } from '../../quantity/words'
import { wireKey } from '../schemes/edited'
import { lugName } from '../model/lugNames'
import { lugParts, lugsOf, type Coil, type Component, type Harness, type PotPart, type Wire } from '../model/harness'
import { exchanged } from '../model/exchanged'
import type { Fault } from './fault'

/** A joint that holds and does not conduct well, ohm. [practice: 50 ohm to 1 M] */
const COLD = 30e3
/** What a pot of the wrong drawer has, ohm. [practice] */
const WRONG_POTS = [25e3, 50e3, 250e3, 500e3, 1e6]

/** Every single fault this harness could have. */
export function candidates(harness: Harness): Fault[] {
  // What a lug is called, without what is said of it elsewhere.
  const say = (lug: string) => lugName(harness, lug).replace(/ \(.*\)/, '')
  return [
    ...wireFaults(harness, say),
    ...coilFaults(harness),
    ...partFaults(harness),
    ...shorts(harness, say),
    ...swaps(harness, say),
    ...atJack(harness),
    ...atSwitch(harness),
  ]
}

const without = (h: Harness, w: Wire): Harness => ({
  ...h,
  wires: h.wires.filter((x) => x !== w && wireKey(x.from, x.to) !== wireKey(w.from, w.to)),
})
const joined = (h: Harness, from: string, to: string): Harness => ({ ...h, wires: [...h.wires, { from, to, role: 'jumper' }] })
const changed = <T extends Component>(h: Harness, of: T, to: Partial<T>): Harness => ({
  ...h,
  components: h.components.map((c) => (c.id === of.id ? { ...c, ...to } : c)),
})
const behind = (h: Harness, w: Wire, ohm: number): Harness => ({
  components: [...h.components, { is: 'resistor', id: 'cold joint', label: 'cold joint', at: { x: 0, y: 0 }, ohm }],
  wires: [...without(h, w).wires, { ...w, to: 'cold joint.1' }, { ...w, from: 'cold joint.2', to: w.to }],
})

function wireFaults(harness: Harness, say: (lug: string) => string): Fault[] {
  return harness.wires
    .filter((w) => !w.inside)
    .flatMap((w): Fault[] => {
      const name = `${say(w.from)} to ${say(w.to)}`
      const key = wireKey(w.from, w.to)
      return [
        {
          id: `open ${key}`,
          kind: 'open',
          says: w.plug ? `Its plug sits half home, or the pin has slipped back: ${name}.` : `Off, or never soldered: ${name}.`,
          cure: w.plug
            ? 'Push it home until it stops, the right way round; tug at each wire.'
            : 'Resolder both ends; pull at it when it is cold.',
          prior: 1,
          at: [w.from, w.to],
          apply: (h) => without(h, w),
        },
        ...(w.role === 'ground' || w.plug
          ? []
          : [
              {
                id: `cold ${key}`,
                kind: 'cold' as const,
                says: `Cold joint, holds and hardly conducts: ${name}.`,
                cure: 'Suck the solder off, heat lug and wire together, fresh solder.',
                prior: 0.4,
                at: [w.from, w.to],
                apply: (h: Harness) => behind(h, w, COLD),
              },
            ]),
      ]
    })
}

const coilsOf = (h: Harness) => h.components.filter((c): c is Coil => c.is === 'coil')

function coilFaults(harness: Harness): Fault[] {
  const coils = coilsOf(harness)
  const battery = harness.components.find((c) => c.is === 'battery')
  const empty: Fault[] = battery
    ? [
        {
          id: 'battery flat',
          kind: 'battery',
          says: 'The battery is empty, or its clip does not grip: everything active is dead or distorted.',
          cure: 'Measure it with a plug in the jack: under 7.5 V it is exchanged; over 0.5 V less than without a plug, bend the clip.',
          prior: 1.5,
          at: ['battery.plus', 'battery.minus'],
          apply: (h) => changed(h, battery, { flat: true }),
        },
      ]
    : []
  const single = coils.flatMap((c): Fault[] =>
    c.active
      ? [
          {
            id: `coil-open ${c.id}`,
            kind: 'coil-open',
            says: `The ${c.label} pickup gives nothing though it has its battery: its electronics or a lead in its plug.`,
            cure: 'Push its connector home, look for a pulled pin; otherwise the pickup is exchanged.',
            prior: 0.3,
            at: [`${c.id}.start`, `${c.id}.finish`],
            apply: (h) => changed(h, c, { ohm: 1e12 }),
          },
        ]
      : [
          {
            id: `coil-open ${c.id}`,
            kind: 'coil-open',
            says: `The winding of ${coilName(c)} is broken: no current passes it.`,
            cure: 'Look at its eyelets under a glass first: the break is mostly there. Otherwise it is rewound or exchanged.',
            prior: 0.3,
            at: [`${c.id}.start`, `${c.id}.finish`],
            apply: (h) => changed(h, c, { ohm: 1e12 }),
          },
          {
            id: `coil-short ${c.id}`,
            kind: 'coil-short',
            says: `The leads of ${coilName(c)} touch each other: it is short-circuited.`,
            cure: 'Part the bared ends and put tube over them.',
            prior: 0.4,
            at: [`${c.id}.start`, `${c.id}.finish`],
            apply: (h) => joined(h, `${c.id}.start`, `${c.id}.finish`),
          },
        ],
  )
  const pickups = [...new Set(coils.map((c) => c.pickup))]
  const passive = pickups.filter((p) => coils.some((c) => c.pickup === p && !c.active))
  const turned =
    pickups.length < 2
      ? []
      : passive.map((p): Fault => {
          const own = coils.filter((c) => c.pickup === p)
          return {
            id: `reversed ${p}`,
            kind: 'reversed',
            says: `The ${p} pickup’s two leads are in each other’s place: alone it sounds as it should, together it takes away.`,
            cure: 'Swap its hot and its ground lead. A metal cover joined to the ground lead must be parted from it first.',
            prior: 0.8,
            at: own.flatMap((c) => [`${c.id}.start`, `${c.id}.finish`]),
            apply: (h) => own.reduce((now, c) => changed(now, c, { magnet: c.magnet, winding: -c.winding as 1 | -1 }), h),
          }
        })
  const links = pickups.flatMap((p): Fault[] => {
    const [a, b] = coils.filter((c) => c.pickup === p)
    if (!a || !b) return []
    // Start to start or finish to finish: where the two are joined hangs on which of them was to stay when they are parted.
    const [link] = harness.wires.flatMap((w) =>
      w.role === 'link' ? [w.from, w.to].filter((lug) => lug.startsWith(`${a.id}.`) || lug.startsWith(`${b.id}.`)) : [],
    )
    if (!link) return []
    return [
      {
        id: `link-grounded ${p}`,
        kind: 'link-grounded',
        says: `The link between the ${p} pickup’s coils touches ground: one coil is left, thin and humming.`,
        cure: 'Insulate the joint between the two coils: shrink tube, away from foil and cases.',
        prior: 0.6,
        at: [link],
        apply: (h) => joined(h, link, 'jack.sleeve'),
      },
    ]
  })
  return [...empty, ...single, ...turned, ...links]
}

function partFaults(harness: Harness): Fault[] {
  return harness.components.flatMap((c): Fault[] => {
    if (c.is === 'capacitor')
      return [
        {
          id: `cap-short ${c.id}`,
          kind: 'cap-short',
          says: `The ${c.label} is shorted: the tone works as a dull volume.`,
          cure: 'Another capacitor; bend its legs so that they touch nothing.',
          prior: 0.3,
          at: [`${c.id}.1`, `${c.id}.2`],
          apply: (h) => joined(h, `${c.id}.1`, `${c.id}.2`),
        },
        {
          id: `cap-open ${c.id}`,
          kind: 'cap-open',
          says: `The ${c.label} does not conduct at all: a leg is off inside.`,
          cure: 'Another capacitor.',
          prior: 0.15,
          at: [`${c.id}.1`, `${c.id}.2`],
          apply: (h) => changed(h, c, { farad: 1e-15 }),
        },
        {
          id: `cap-wrong ${c.id}`,
          kind: 'cap-wrong',
          says: `The ${c.label} is a tenth of what is marked: a nought too few.`,
          cure: 'Read the mark on it again (223 is 22 n, 222 is 2.2 n) and exchange it.',
          prior: 0.2,
          at: [`${c.id}.1`, `${c.id}.2`],
          apply: (h) => changed(h, c, { farad: c.farad / 10 }),
        },
      ]
    return c.is === 'pot' ? potFaults(c) : []
  })
}

function potFaults(p: PotPart): Fault[] {
  return [
    ...WRONG_POTS.filter((ohm) => Math.abs(Math.log(ohm / p.ohm)) > 0.5).map(
      (ohm): Fault => ({
        id: `pot-wrong ${p.id} ${ohm}`,
        kind: 'pot-wrong',
        says: `The ${p.label} is a pot of ${printOhms(ohm)} instead of ${printOhms(p.ohm)}.`,
        cure: 'Measure its outer lugs with one of them off, and exchange it.',
        prior: 0.12,
        at: [`${p.id}.1`, `${p.id}.3`],
        apply: (h) => changed(h, p, { ohm }),
      }),
    ),
    {
      id: `track-open ${p.id}`,
      kind: 'track-open',
      says: `The ${p.label}’s wiper touches nothing: worn, bent or full of flux.`,
      cure: 'Contact cleaner, turned thirty times; otherwise another pot.',
      prior: 0.3,
      at: [`${p.id}.2`],
      apply: (h) => changed(h, p, { lifted: true }),
    },
  ]
}
/** "the neck pickup", "the neck pickup’s coil nearer the bridge". */
function coilName({ label }: Coil): string {
  const [place, coil] = label.split(', ')
  return `the ${place} pickup${coil ? `’s ${coil}` : ''}`
}

/** Neighbouring lugs bridged by solder or a hair of wire, and live lugs against metal. */
function shorts(harness: Harness, say: (lug: string) => string): Fault[] {
  const bridged = harness.components.flatMap((c) => {
    if (c.is === 'coil' || c.is === 'ground' || c.is === 'capacitor' || c.is === 'battery') return []
    const lugs = lugsOf(c)
    return lugs.slice(1).map((lug, i) => [lugs[i]!, lug] as const)
  })
  const live = [...new Set(harness.wires.filter((w) => w.role === 'hot' || w.role === 'signal').flatMap((w) => [w.from, w.to]))]
    .filter((lug) => lugParts(lug).component !== 'jack' && !coilsOf(harness).some((c) => c.id === lugParts(lug).component))
    .map((lug) => [lug, 'case.1'] as const)
  const used = new Set(harness.wires.flatMap((w) => [w.from, w.to]))
  return [...bridged.filter(([a, b]) => used.has(a) && used.has(b)), ...live].map(
    ([a, b]): Fault => ({
      id: `short ${wireKey(a, b)}`,
      kind: 'short',
      says:
        b === 'case.1'
          ? `${capital(say(a))} touches metal: a case, foil or the cavity’s wall.`
          : `${capital(say(a))} and ${say(b)} touch each other.`,
      cure:
        b === 'case.1'
          ? 'Bend it free and put tube over it; tape over foil beside live lugs.'
          : 'Suck the bridge of solder off; cut stray strands.',
      prior: b === 'case.1' ? 0.25 : 0.3,
      at: [a, b],
      apply: (h) => joined(h, a, b),
    }),
  )
}

/** Wires of one part on each other's lugs. */
function swaps(harness: Harness, say: (lug: string) => string): Fault[] {
  const used = new Set(harness.wires.flatMap((w) => [w.from, w.to]))
  return harness.components.flatMap((c) => {
    if (c.is !== 'pot' && c.is !== 'switch') return []
    const lugs = lugsOf(c).filter((l) => used.has(l))
    return lugs.flatMap((a, i) =>
      lugs.slice(i + 1).map(
        (b): Fault => ({
          id: `swapped ${wireKey(a, b)}`,
          kind: 'swapped',
          says: `The wires of ${say(a)} and of lug ${lugParts(b).own} are in each other’s place.`,
          cure: 'Unsolder both, and count the lugs again from the side you look at.',
          prior: 0.2,
          at: [a, b],
          apply: (h) => exchanged(h, a, b),
        }),
      ),
    )
  })
}

const atJack = (harness: Harness): Fault[] =>
  harness.components.some((c) => c.is === 'jack')
    ? [
        {
          id: 'jack-swapped',
          kind: 'jack-swapped',
          says: 'Tip and sleeve are in each other’s place at the jack: everything works, and it hums more when metal is touched.',
          cure: 'Swap the jack’s two wires: the sleeve is the bush that goes through the wood.',
          prior: 1,
          at: ['jack.tip', 'jack.sleeve'],
          apply: (h) => exchanged(h, 'jack.tip', 'jack.sleeve'),
        },
      ]
    : []

/** Wired from the front as drawn from the back: the positions come in the wrong order. */
const atSwitch = (harness: Harness): Fault[] =>
  harness.components.flatMap((c) =>
    c.is === 'switch' && c.id === 'switch' && c.table.positions.length > 2
      ? [
          {
            id: 'switch-mirrored',
            kind: 'switch-mirrored' as const,
            says: 'The selector is wired seen from the other side: its positions come in the wrong order.',
            cure: 'Turn the switch round in its hole, or move each wire to the lug of the same number counted from the other end.',
            prior: 0.5,
            at: lugsOf(c),
            apply: (h: Harness) => changed(h, c, { table: { ...c.table, positions: c.table.positions.toReversed() } }),
          },
        ]
      : [],
  )
