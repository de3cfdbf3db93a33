import { isScrewedDown } from '../instrument/switchMake'
import { pt } from '../geometry/point'
import { ownScrew, screwOf } from './hardware'
import type { Sketch } from './sketch'

export const PICKUP_USUAL: Readonly<Record<string, number>> = {
  radius: 3,
  'lead.length': 200,
  above: 8,
  'ear.gap': 9,
  'spring.free': 18,
  'spring.shut': 5,
  'spring.turns': 9,
  'cover.wall': 1.3,
  'ears.span': 84,
}

export function sketchPickup(s: Sketch): void {
  const [l, w] = [s.v('length'), s.v('width')]
  s.onInstrument('above', 'from above')
  const ears = s.v('ears.span')
  s.box('metal', -5, -ears / 2, 5, ears / 2, ['ears.span'])
  s.box('pickup', -l / 2, -w / 2, l / 2, w / 2, ['length', 'width'])
  const strings = s.build.strings
  const rows = s.trait('coils') === 'two' ? [-l / 4, l / 4] : [0]
  const spread = s.v('poles.spread')
  for (const x of rows)
    if (s.trait('poles') === 'blade') s.box('metal', x - 1.2, -spread / 2, x + 1.2, spread / 2, ['poles.spread'])
    else for (let i = 0; i < strings; i++) s.round('metal', pt(x, spread * (i / (strings - 1) - 0.5)), 4.8, ['poles.spread'])
  s.wide('length', 'outside', 0, w * 0.3)
    .across('width', 'outside', l * 0.42)
    .across('poles.spread', 'rule', rows[0]!)
  s.across('ears.span', 'outside', 0)
    .gauge('radius', pt(l / 2, w / 2))
    .gauge('slant', pt(0, -w / 2))
  const [above, deep] = [s.v('above'), s.v('depth')]
  s.view('side', 'from the end, hung in its mount')
  s.box('plastic', -l / 2 - 14, 0, -l / 2 - 1, 2.5, []).box('plastic', l / 2 + 1, 0, l / 2 + 14, 2.5, [])
  // Its depth counts from the face that lies on the body, its cover from the one it is seen over.
  s.box('pickup', -l / 2, -above, l / 2, 2.5 + deep, ['above', 'depth', 'length'])
  s.take('above', 'depth', pt(-l / 4, -above), pt(-l / 4, 0)).down('depth', 'depth', l / 4, 2.5)
  s.take('travel', 'rule', pt(l / 2 + 4, -above), pt(l / 2 + 4, -above + s.v('travel')))
  s.take('ear.gap', 'depth', pt(-l / 2 - 7, 2.5), pt(-l / 2 - 7, 2.5 + s.v('ear.gap')))
  s.view('screw', 'its height screw')
  screwOf(s, 'screw.length', 'screw.diameter', 'screw.root')
  s.only(['spring.free', 'spring.shut', 'spring.turns'], false, () => {
    const [free, shut, turns] = [s.v('spring.free'), s.v('spring.shut'), s.v('spring.turns')]
    s.view('spring', 'its spring, free and squeezed solid')
    for (const [x, long, size] of [
      [0, free, 'spring.free'],
      [16, shut, 'spring.shut'],
    ] as const) {
      for (let i = 0; i <= turns; i++) s.line('guide', pt(x - 3, (long * i) / turns), pt(x + 3, (long * Math.min(turns, i + 0.5)) / turns))
      s.box('open', x - 3, 0, x + 3, long, [size])
    }
    s.down('spring.free', 'outside', 0, 0).down('spring.shut', 'outside', 16, 0)
  })
  s.only(['cover.wall'], false, () => {
    const wall = s.v('cover.wall')
    s.view('cover', 'its cover, from its open side')
    s.box('pickup', -l / 2, -w / 2, l / 2, w / 2, ['length', 'width'])
    s.box('open', -l / 2 + wall, -w / 2 + wall, l / 2 - wall, w / 2 - wall, ['cover.wall'])
    s.take('cover.wall', 'outside', pt(l / 2 - wall, 0), pt(l / 2, 0))
  })
  s.view('lead', 'its lead, laid straight')
  const lead = s.v('lead.length')
  s.box('pickup', -w / 2, -l / 2, 0, l / 2, ['length', 'width']).mark({ mark: 'line', role: 'hot', points: [pt(0, 0), pt(lead, 0)] })
  s.along('lead.length', 'rule', 0, 0)
}

/** The panel it goes through lies with its back at y 0; the thread stands up. */
export function sketchPot(s: Sketch): void {
  const [bush, long, body, deep] = [s.v('bushing.diameter'), s.v('bushing.length'), s.v('body.diameter'), s.v('body.depth')]
  const [shaft, nut, washer] = [s.v('shaft.diameter'), s.v('nut.thickness'), s.v('washer.thickness')]
  s.view('side', 'from the side, its lugs down')
  s.box('metal', -shaft / 2, -long - 9, shaft / 2, -long, ['shaft.diameter'])
  s.box('metal', -bush / 2, -long, bush / 2, 0, ['bushing.diameter', 'bushing.length'])
  for (let y = -long + 1; y < -0.5; y += 1) s.line('guide', pt(-bush / 2, y), pt(bush / 2, y + 0.4))
  s.box('metal', -body / 2, 0, body / 2, deep * 0.62, ['body.diameter', 'body.depth'])
  for (const x of [-5, 0, 5]) s.box('metal', x - 1.2, deep * 0.62, x + 1.2, deep, ['body.depth'])
  s.wide('bushing.diameter', 'outside', 0, -long * 0.6).take('bushing.length', 'depth', pt(bush / 2 - 0.6, -long), pt(bush / 2 - 0.6, 0))
  s.wide('body.diameter', 'outside', 0, deep * 0.35).down('body.depth', 'outside', 5, 0)
  s.wide('shaft.diameter', 'outside', 0, -long - 5)
  s.view('nut', 'its nut and washer, from the side')
  s.box('metal', -bush * 0.85, 0, bush * 0.85, nut, ['nut.thickness']).box('metal', -bush, nut + 2, bush, nut + 2 + washer, [
    'washer.thickness',
  ])
  s.down('nut.thickness', 'outside', bush * 0.5, 0).down('washer.thickness', 'outside', bush * 0.5, nut + 2)
}

export const SWITCH_USUAL: Readonly<Record<string, number>> = { 'thread.length': 10 }

export function sketchSwitch(s: Sketch): void {
  const deep = s.v('depth')
  const contacts = s.trait('contacts')
  const toggle = contacts !== undefined && !isScrewedDown(contacts)
  s.view('side', 'from the side, the panel’s back at its top')
  s.box('metal', -s.v('swing') / 2, 0, s.v('swing') / 2, deep, ['depth', 'swing'])
  s.down('depth', 'outside', 0, 0).wide('swing', 'rule', 0, deep * 0.5)
  s.only(['thread.diameter', 'thread.length'], toggle, () => {
    const [d, l] = [s.v('thread.diameter'), s.v('thread.length')]
    s.box('metal', -d / 2, -l, d / 2, 0, ['thread.diameter', 'thread.length']).wide('thread.diameter', 'outside', 0, -l / 2)
    s.take('thread.length', 'depth', pt(d / 4, -l), pt(d / 4, 0))
  })
  s.only(['screw.spacing'], !toggle, () => {
    const apart = s.v('screw.spacing')
    s.box('metal', -apart / 2 - 4, -1.5, apart / 2 + 4, 0, ['screw.spacing'])
    s.area('metal', [pt(-1, -1.5), pt(1, -1.5), pt(9, -18), pt(7, -19)], [])
    for (const side of [-1, 1]) s.round('cavity', pt((side * apart) / 2, -0.75), 1.5, ['screw.spacing'])
    s.wide('screw.spacing', 'rule', 0, -1.5)
  })
}

export const JACK_USUAL: Readonly<Record<string, number>> = { width: 16, narrow: 12, depth: 34 }

export function sketchJack(s: Sketch): void {
  const [bore, thread, wide, deep, nut] = [s.v('bore'), s.v('thread.length'), s.v('width'), s.v('depth'), s.v('nut.thickness')]
  s.view('side', 'from the side, a plug in it')
  s.box('metal', -bore / 2 + 0.2, -thread, bore / 2 - 0.2, 0, ['bore', 'thread.length'])
  s.area(
    'metal',
    [pt(-wide / 2, 0), pt(wide / 2, 0), pt(wide / 2, 2.5), pt(3, 3), pt(5, deep), pt(2, deep), pt(0, 4), pt(-wide / 2, 2.5)],
    ['width', 'depth'],
  )
  s.wide('bore', 'outside', 0, -thread * 0.5).take('thread.length', 'depth', pt(0, -thread), pt(0, 0))
  s.wide('width', 'outside', 0, 1.5).take('depth', 'rule', pt(3, 0), pt(3, deep))
  s.view('nut', 'its nut and washer, from the side')
  s.box('metal', -bore * 0.75, 0, bore * 0.75, nut, ['nut.thickness'])
  s.box('metal', -bore * 0.9, nut + 2, bore * 0.9, nut + 2 + s.v('washer.thickness'), ['washer.thickness'])
  s.down('nut.thickness', 'outside', bore * 0.4, 0).down('washer.thickness', 'outside', bore * 0.4, nut + 2)
  s.view('end', 'seen along the plug')
  s.box('metal', -wide / 2, -s.v('narrow') / 2, wide / 2, s.v('narrow') / 2, ['width']).round('cavity', pt(0, 0), bore, ['bore'])
  s.across('narrow', 'outside', wide / 4)
}

export const JACK_PLATE_USUAL: Readonly<Record<string, number>> = { 'cup.diameter': 20 }

export function sketchJackPlate(s: Sketch): void {
  const [l, w, screws] = [s.v('length'), s.v('width'), s.v('screw.spread')]
  s.view('front', 'from outside')
  s.box('metal', -l / 2, -w / 2, l / 2, w / 2, ['length', 'width'])
  for (const side of [-1, 1]) s.round('cavity', pt((side * screws) / 2, 0), 3, ['screw.spread'])
  s.round('cavity', pt(0, 0), s.v('hole'), ['hole'])
  s.only(['cup.diameter'], false, () =>
    s.round('open', pt(0, 0), s.v('cup.diameter'), ['cup.diameter']).across('cup.diameter', 'outside', 0),
  )
  s.wide('hole', 'inside', 0, 0)
    .wide('length', 'outside', 0, w / 3)
    .across('width', 'outside', l / 3)
    .wide('screw.spread', 'rule', 0, 0)
  s.view('edge', 'its edge')
  s.box('metal', 0, 0, l, s.v('thickness'), ['thickness']).down('thickness', 'outside', l / 2, 0)
  ownScrew(s)
}

/** A body with two wires; a capacitor and a resistor are read in farads and ohms, and have no lengths. */
export function sketchLeaded(s: Sketch): void {
  s.view('side', 'with its leads')
  s.mark({ mark: 'line', role: 'hot', points: [pt(-30, 0), pt(30, 0)] }).box('plastic', -8, -4, 8, 4, [])
}

export const HARNESS_USUAL: Readonly<Record<string, number>> = { 'lead.length': 150, 'bushing.diameter': 9.5, 'pot.pitch': 51 }

export function sketchHarness(s: Sketch): void {
  const [pitch, bush] = [s.v('pot.pitch'), s.v('bushing.diameter')]
  s.view('above', 'from above, laid out')
  for (const x of [0, pitch]) s.round('metal', pt(x, 0), 24, ['pot.pitch']).round('cavity', pt(x, 0), bush, ['bushing.diameter'])
  s.mark({ mark: 'line', role: 'hot', points: [pt(0, 12), pt(pitch / 2, 20), pt(pitch, 12)] })
  s.mark({ mark: 'line', role: 'hot', points: [pt(-12, 0), pt(-12 - s.v('lead.length'), 0)] })
  s.along('pot.pitch', 'rule', 0, 0).wide('bushing.diameter', 'outside', 0, 0)
  s.take('lead.length', 'rule', pt(-12, 0), pt(-12 - s.v('lead.length'), 0))
}
