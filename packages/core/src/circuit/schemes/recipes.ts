import type { PickupPlace } from '../../instrument/guardPlace'
import { SWITCHES, type SwitchName } from '../model/switches'
import { fed, tone, toneAsChosen, toJack, volume, volumeAndTone } from './blocks'
import {
  BLEED,
  KILL,
  MIXED_STYLE,
  NO_LOAD,
  PRESET,
  PULL,
  splitLacks,
  STAYS,
  STAYS_ALWAYS,
  STAYS_TAPPED,
  STYLE,
  TAP,
  TONE,
  TONE_AT,
  TONE_AT_EACH,
  TONE_AT_LEVER,
  TONES,
  TONES_EACH,
  volumeForEach,
  VOLUMES,
} from './options'
import type { Recipe } from './recipe'
import type { Weaver } from './weaver'

const COMMON = [TONE, TONE_AT, NO_LOAD, BLEED, PULL, STAYS, KILL] as const
/** Where the selector's poles leave none for a pulled knob. */
const WITHOUT_PULL = COMMON.filter((o) => o !== PULL && o !== STAYS)
const selector = (w: Weaver, name: SwitchName) => w.switch('switch', 'switch', 'selector', SWITCHES[name])

/** The neck pickup's way, past a second circuit that takes it over when the slide is there. @returns where it goes on in the main circuit */
function pastPreset(w: Weaver, hot: string): string {
  if (w.option('preset', 'none') !== 'neck') return hot
  w.switch('switch-2', 'preset', 'slide to the second circuit', SWITCHES.slide)
  w.join(hot, 'preset.B0', 'hot')
  w.pot('volume-2')
  w.join('preset.B2', 'volume-2.3', 'signal')
  w.ground('volume-2.1')
  tone(w, 'tone-2', 'volume-2.3', 'cap-2')
  w.join('volume-2.2', 'preset.A2', 'signal')
  return 'preset.B1'
}
const hotOf = (w: Weaver, place: PickupPlace) => {
  const { hot } = fed(w, place)
  return place === 'neck' ? pastPreset(w, hot) : hot
}

const ONE: Recipe = {
  id: 'one',
  label: 'One pickup',
  why: 'The fewest joints there are: one sound, and the loudest it can be.',
  count: 1,
  contacts: [],
  options: COMMON,
  weave: (w, [place]) => toJack(w, volumeAndTone(w, fed(w, place!).hot)),
}

/** How two signals lie on a switch whose first position gives one, the last the other, and what is between both. [practice] */
const BOTH_BETWEEN: Partial<
  Record<SwitchName, { first: string; second: string; jumpers: readonly (readonly [from: string, to: string])[]; note?: string }>
> = {
  'toggle-3': { first: 'A1', second: 'A2', jumpers: [] },
  // One on the first two contacts of a pole, the other on the last two of the other: in the middle both reach the joined commons.
  'lever-3': {
    first: 'A1',
    second: 'B3',
    jumpers: [
      ['A1', 'A2'],
      ['B2', 'B3'],
      ['A0', 'B0'],
    ],
  },
  // The first pole leaves the one in the middle, the second takes the other up there.
  'on-on-on': { first: 'B1', second: 'A2', jumpers: [['A0', 'B0']] },
  // Its in-between positions bridge neighbours: one is on the first two contacts, the other on the last and the middle of the other pole.
  'lever-5': {
    first: 'A1',
    second: 'A3',
    jumpers: [
      ['A1', 'A2'],
      ['A3', 'B2'],
      ['A0', 'B0'],
    ],
    note: 'Positions 2, 3 and 4 sound alike: a lever of two poles has no more for two pickups.',
  },
}

/** Two pickups on a selector of three positions: one, both, the other. [practice] */
const TWO: Recipe = {
  id: 'two',
  label: 'Two pickups, three positions',
  why: 'Bridge, both, neck: three sounds without a thought.',
  count: 2,
  contacts: Object.keys(BOTH_BETWEEN) as SwitchName[],
  options: [VOLUMES, STYLE, TONES_EACH, ...COMMON.map((o) => (o === TONE_AT ? TONE_AT_EACH : o)), PRESET],
  weave: (w, places, contacts) => {
    const [first, second] = places as [PickupPlace, PickupPlace]
    selector(w, contacts!)
    const hots = [hotOf(w, first), hotOf(w, second)]
    if (!volumeForEach(w.build)) return toJack(w, volumeAndTone(w, threeWay(w, contacts!, hots)))
    const out = threeWay(w, contacts!, volumeEach(w, places, hots))
    if (w.option('tones', 'one') !== 'two') toneAsChosen(w, out)
    toJack(w, out)
  },
}
/** A volume for each of two pickups and, where there are two, a tone for each. @returns the lugs their signals leave by */
function volumeEach(w: Weaver, places: readonly PickupPlace[], [a, b]: readonly string[]): readonly [string, string] {
  const [first, second] = places
  const own = (place: PickupPlace | undefined, what: string) => ({ label: `${place} ${what}` })
  const independent = w.option('style', 'coupled') === 'independent'
  const lugs = [
    volume(w, 'volume', a!, { independent, ...own(first, 'volume') }),
    volume(w, 'volume-2', b!, { independent, ...own(second, 'volume') }),
  ] as const
  if (w.option('tones', 'one') === 'two' && w.build.parts['pot-tone-2']) {
    tone(w, 'tone', a!, 'cap', own(first, 'tone'))
    tone(w, 'tone-2', b!, 'cap-2', own(second, 'tone'))
  }
  return lugs
}

/** No selector: the volumes mix what they let through, as on many basses. [practice] */
const MIXED: Recipe = {
  id: 'two-mixed',
  label: 'Two pickups, a volume each, no selector',
  why: 'Any mix of the two, and each alone with the other at 0; nothing to switch.',
  count: 2,
  contacts: [],
  needs: ['pot-volume', 'pot-volume-2'],
  options: [MIXED_STYLE, TONES, ...COMMON.filter((o) => o !== TONE_AT)],
  weave: (w, places) => {
    const [a, b] = volumeEach(
      w,
      places,
      places.map((p) => fed(w, p).hot),
    )
    w.join(b, a, 'signal')
    if (w.option('tones', 'one') !== 'two') toneAsChosen(w, a)
    toJack(w, a)
  },
}
/** Joins two signals to a switch so that it gives one, both, the other. @returns its common */
function threeWay(w: Weaver, contacts: SwitchName, [a, b]: readonly string[]): string {
  const { first, second, jumpers, note } = BOTH_BETWEEN[contacts]!
  w.join(a!, `switch.${first}`, 'signal')
  w.join(b!, `switch.${second}`, 'signal')
  for (const [from, to] of jumpers) w.join(`switch.${from}`, `switch.${to}`, 'jumper')
  if (note) w.note(note)
  return 'switch.A0'
}

/** A contact of the selector for each pickup, and nothing in between. */
function oneAtATime(w: Weaver, places: readonly PickupPlace[], contacts: SwitchName): void {
  selector(w, contacts)
  places.forEach((p, i) => w.join(hotOf(w, p), `switch.A${i + 1}`, 'hot'))
  toJack(w, volumeAndTone(w, 'switch.A0'))
}

/** A switch that knows only one or the other. [practice] */
const EITHER: Recipe = {
  id: 'two-either',
  label: 'Two pickups, one or the other',
  why: 'Two sounds, and nothing to solder but the two.',
  count: 2,
  contacts: ['on-on', 'slide', 'on-off-on'],
  options: COMMON,
  weave: (w, places, contacts) => {
    oneAtATime(w, places, contacts!)
    if (contacts === 'on-off-on') w.note('In the middle it is silent: nothing is joined there.')
  },
}

const THREE_WAY: Recipe = {
  id: 'three-on-three',
  label: 'Three pickups, three positions',
  why: 'Each alone, as it used to be: nothing in between.',
  count: 3,
  contacts: ['lever-3'],
  options: COMMON,
  weave: (w, places) => oneAtATime(w, places, 'lever-3'),
}

/** Three pickups on a lever of two poles: its in-between positions bridge neighbours. [practice] */
const FIVE: Recipe = {
  id: 'three-on-five',
  label: 'Three pickups, five positions',
  why: 'Each alone and neighbours together; with a middle pickup wound the other way round the two between are quiet.',
  count: 3,
  contacts: ['lever-5'],
  options: [TONES, ...COMMON.map((o) => (o === TONE_AT ? TONE_AT_LEVER : o))],
  weave: (w, places) => {
    selector(w, 'lever-5')
    places.forEach((p, i) => w.join(hotOf(w, p), `switch.A${i + 1}`, 'hot'))
    if (w.option('tones', 'one') !== 'two' || !w.build.parts['pot-tone-2']) return toJack(w, volumeAndTone(w, 'switch.A0'))
    // The second pole hangs a tone on the neck and one on the middle pickup; the bridge goes without. Both share one capacitor.
    const out = volume(w, 'volume', 'switch.A0')
    w.join('switch.A0', 'switch.B0', 'jumper')
    tone(w, 'tone', 'switch.B3')
    w.pot('tone-2')
    w.join('switch.B2', 'tone-2.2', 'signal')
    w.join('tone-2.1', 'cap.1', 'jumper')
    toJack(w, out)
  },
}

/** Three pickups on a lever of four poles; in between, a humbucker can be tapped by grounding its link. [practice] */
const FIVE_FOUR_POLES: Recipe = {
  id: 'three-on-four-poles',
  label: 'Three pickups, five positions, contacts apart',
  why: 'As on a plain lever, and each humbucker can give one coil in between.',
  count: 3,
  contacts: ['lever-5x4'],
  options: [TAP, ...COMMON.map((o) => (o === STAYS ? STAYS_TAPPED : o))],
  weave: (w, places) => {
    selector(w, 'lever-5x4')
    const [first, middle, last] = places.map((p) => fed(w, p))
    for (const [hot, ...lugs] of [
      [first!.hot, 'A1', 'A2'],
      [middle!.hot, 'B2', 'B3', 'B4'],
      [last!.hot, 'A5', 'A4'],
    ] as const) {
      w.join(hot, `switch.${lugs[0]}`, 'hot')
      lugs.slice(1).forEach((lug, i) => w.join(`switch.${lugs[i]}`, `switch.${lug}`, 'jumper'))
    }
    w.join('switch.A0', 'switch.B0', 'jumper')
    if (w.option('tap', 'whole') === 'tap' && !splitLacks(w.build)) {
      if (first!.ends.link) w.join(first!.ends.link, 'switch.C2', 'link')
      if (last!.ends.link) w.join(last!.ends.link, 'switch.C4', 'link')
      w.ground('switch.C0')
    }
    toJack(w, volumeAndTone(w, 'switch.A0'))
  },
}

/** A toggle tells two ways apart: what is between them comes in by a volume of its own, in every position. [practice] */
const MIDDLE_MIXED: Recipe = {
  id: 'three-on-toggle',
  label: 'Three pickups, the middle one mixed in',
  why: 'Bridge, both, neck as with two; the second volume adds as much of the middle one to each as is wanted.',
  count: 3,
  contacts: ['toggle-3', 'on-on-on', 'lever-3'],
  needs: ['pot-volume-2'],
  options: COMMON,
  weave: (w, places, contacts) => {
    const [first, middle, last] = places as [PickupPlace, PickupPlace, PickupPlace]
    selector(w, contacts!)
    const out = threeWay(w, contacts!, [hotOf(w, first), hotOf(w, last)])
    const main = volumeAndTone(w, out)
    // Fed at its wiper: at 0 it silences the middle one and not the others.
    w.join(volume(w, 'volume-2', hotOf(w, middle), { independent: true, label: `${middle} volume` }), out, 'signal')
    toJack(w, main)
  },
}

/** Three pickups on a rotary of two poles: as on a lever, and what a lever has not, the outer two. [practice] */
const ROTARY_THREE: Recipe = {
  id: 'three-on-rotary',
  label: 'Three pickups on a rotary',
  why: 'Each alone and neighbours together; a sixth position gives the outer two.',
  count: 3,
  contacts: ['rotary-5', 'rotary-6'],
  options: COMMON,
  weave: (w, places, contacts) => {
    selector(w, contacts!)
    const outer = contacts === 'rotary-6'
    places.forEach((p, i) => {
      const [first, ...lugs] = [outer ? ['A1', 'A2', 'A6'] : ['A1', 'A2'], ['B2', 'B3', 'B4'], outer ? ['A5', 'A4', 'B6'] : ['A5', 'A4']][
        i
      ]!
      w.join(hotOf(w, p), `switch.${first}`, 'hot')
      let from = first
      for (const lug of lugs) {
        w.join(`switch.${from}`, `switch.${lug}`, 'jumper')
        from = lug
      }
    })
    w.join('switch.A0', 'switch.B0', 'jumper')
    toJack(w, volumeAndTone(w, 'switch.A0'))
  },
}

/** Two humbuckers on a lever of four poles: whole, one coil, both, one coil, whole. [practice] */
const TWO_ON_FIVE: Recipe = {
  id: 'two-on-four-poles',
  label: 'Two pickups, five positions',
  why: 'Bridge whole, its one coil, both, the neck’s one coil, neck whole.',
  count: 2,
  contacts: ['lever-5x4'],
  options: [STAYS_ALWAYS, ...WITHOUT_PULL],
  weave: (w, places) => {
    selector(w, 'lever-5x4')
    const [a, b] = places.map((p) => fed(w, p))
    w.join(a!.hot, 'switch.A1', 'hot')
    w.join('switch.A1', 'switch.A2', 'jumper')
    w.join('switch.A2', 'switch.A3', 'jumper')
    w.join(b!.hot, 'switch.B3', 'hot')
    w.join('switch.B3', 'switch.B4', 'jumper')
    w.join('switch.B4', 'switch.B5', 'jumper')
    w.join('switch.A0', 'switch.B0', 'jumper')
    if (a!.ends.link) w.join(a!.ends.link, 'switch.C2', 'link')
    if (b!.ends.link) w.join(b!.ends.link, 'switch.C4', 'link')
    if (a!.ends.link || b!.ends.link) w.ground('switch.C0')
    else w.note(`Positions 2 and 4 sound as 1 and 5: ${splitLacks(w.build) ?? 'no coil can be parted'}.`)
    toJack(w, volumeAndTone(w, 'switch.A0'))
  },
}

/** Two pickups on four positions: the fourth puts them one behind the other. [practice] */
const FOUR: Recipe = {
  id: 'two-on-four',
  label: 'Two pickups, four positions',
  why: 'Bridge, both side by side, neck, and both one behind the other: louder and fuller than any of them.',
  count: 2,
  contacts: ['lever-4', 'rotary-5', 'rotary-6'],
  passiveOnly: 'active pickups cannot stand one behind the other: each has its ground at the battery',
  options: WITHOUT_PULL,
  weave: (w, places, contacts) => {
    selector(w, contacts!)
    const [a, b] = [w.pickup(places[0]!), w.pickup(places[1]!)]
    w.series(a)
    w.series(b)
    w.ground(a.ground)
    // The second is always on the way out and heard only while its other end is held: to ground, or to the first one's hot end.
    w.join(b.hot, 'switch.A0', 'hot')
    w.join(a.hot, 'switch.A1', 'hot')
    w.join('switch.A1', 'switch.A2', 'jumper')
    w.join(b.ground, 'switch.B0', 'ground')
    w.join('switch.B2', 'switch.B3', 'jumper')
    w.ground('switch.B3')
    w.join('switch.A2', 'switch.B4', 'jumper')
    // What a rotary has more is silent.
    for (let n = 5; n <= SWITCHES[contacts!].positions.length; n++) w.ground(`switch.A${n}`)
    w.note(
      `The ${places[1]!} pickup’s cover or base must not be joined to its ground lead: that lead is live in position 4. Give the metal a ground wire of its own.`,
    )
    toJack(w, volumeAndTone(w, 'switch.A0'))
  },
}

export const RECIPES: readonly Recipe[] = [
  ONE,
  TWO,
  TWO_ON_FIVE,
  FOUR,
  EITHER,
  FIVE,
  FIVE_FOUR_POLES,
  THREE_WAY,
  MIDDLE_MIXED,
  ROTARY_THREE,
  MIXED,
]
