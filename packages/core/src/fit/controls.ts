import { sizeAt, sizeRef, traitAt, valueAt, type Build } from '../build'
import { pt, rectangle, type Mark, type Point } from '../drawing'
import { datums } from '../layout/datums'
import { likelyOf, linear, ofSize, printMm, propagate } from '../quantity'
import { jointOf, judged, waitingJoint } from './assemble'
import { boreSection, framed } from './draw/sections'
import { check, type Check, type JudgedJoint } from './joint'
import { amount, filmOn, gapOf } from './known'

/** Knob to knob and knob to string, mm: closer than this hands get in each other's way. [practice] */
const KNOB_TO_KNOB = 30
const KNOB_TO_STRING = 15

/** The selector in guard and cavity: depth, slot and swing, or a toggle's hole. */
export function switchJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const base = {
    id: 'switch',
    title: 'Selector switch in its place',
    slots: ['switch', 'guard', 'body'] as JudgedJoint['slots'],
    at: pt(d.heelEnd + (valueAt(build, sizeRef('guard', 'switch.x')) ?? 148), (valueAt(build, sizeRef('guard', 'switch.y')) ?? -62) + 10),
    draw: () => switchDrawing(build),
  }
  const checks: Check[] = []
  const depthRefs = { route: sizeRef('body', 'control.depth'), own: sizeRef('switch', 'depth') }
  const route = sizeAt(build, depthRefs.route)
  const own = sizeAt(build, depthRefs.own)
  if (route && own) {
    const c = gapOf([
      [1, route],
      [-1, own],
    ])
    checks.push(
      check({
        id: 'depth',
        label: 'Room under the switch',
        clearance: linear([[1, c]], -3),
        shown: c,
        bands: [
          { upTo: -3, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        reads: Object.values(depthRefs),
        says: () =>
          `The switch hangs ${printMm(own.value, 1)} mm deep in a ${printMm(route.value, 1)} mm route; lugs and wires want 3 mm below.`,
        cures: ({ verdict }) =>
          verdict === 'snug'
            ? []
            : [
                {
                  id: 'deepen-switch',
                  job: `Deepen the control route by ${printMm(3.5 - likelyOf(c), 1)} mm under the switch.`,
                  how: 'Waste drilled out first, then a bearing bit; mind the wood left below. Before any finish.',
                  gives: 'body',
                  tools: ['router', 'bearing bit'],
                  plan: { slot: 'body', size: 'control.depth', delta: 3.5 - likelyOf(c), doubt: 0.5 },
                },
              ],
      }),
    )
  }
  const slot = sizeAt(build, sizeRef('guard', 'switch.slot'))
  const swing = sizeAt(build, sizeRef('switch', 'swing'))
  if (slot && swing) {
    const c = gapOf([
      [1, slot],
      [-1, swing],
    ])
    checks.push(
      check({
        id: 'swing',
        label: 'Slot against the lever’s swing',
        clearance: c,
        bands: [
          { upTo: 0, is: 'tight' },
          { upTo: 6, is: 'snug' },
          { upTo: Infinity, is: 'loose' },
        ],
        reads: [sizeRef('guard', 'switch.slot'), sizeRef('switch', 'swing')],
        says: ({ verdict }) =>
          verdict === 'tight'
            ? `The lever needs ${printMm(swing.value, 1)} mm and the slot is ${printMm(slot.value, 1)}: it stops before the end positions.`
            : 'The lever swings freely.',
        cures: ({ verdict }) =>
          verdict === 'tight'
            ? [
                {
                  id: 'lengthen-slot',
                  job: `Lengthen the slot by ${amount(0.5 - likelyOf(c), 0.2, 1)} mm, half at each end.`,
                  how: 'Thin flat file drawn along; check all positions with the switch in place.',
                  gives: 'guard',
                  tools: ['thin flat file'],
                  plan: { slot: 'guard', size: 'switch.slot', delta: 1 - likelyOf(c), doubt: 0.2 },
                },
              ]
            : [],
      }),
    )
  }
  return checks.length
    ? jointOf(build, base, checks)
    : waitingJoint(
        base,
        Object.values(depthRefs).filter((r) => !sizeAt(build, r)),
      )
}

function switchDrawing(build: Build) {
  const route = valueAt(build, sizeRef('body', 'control.depth')) ?? 38
  const own = valueAt(build, sizeRef('switch', 'depth')) ?? 22
  const guard = build.parts.guard ? (valueAt(build, sizeRef('guard', 'thickness')) ?? 2.5) : 3
  const slot = valueAt(build, sizeRef('guard', 'switch.slot')) ?? 27
  const marks: Mark[] = [
    { mark: 'area', role: 'plastic', points: rectangle(-36, -guard, -slot / 2, 0) },
    { mark: 'area', role: 'plastic', points: rectangle(slot / 2, -guard, 36, 0) },
    {
      mark: 'area',
      role: 'body-wood',
      points: [pt(-46, 0), pt(-36, 0), pt(-36, route), pt(36, route), pt(36, 0), pt(46, 0), pt(46, route + 7), pt(-46, route + 7)],
    },
    { mark: 'area', role: 'metal', points: rectangle(-20, 0.5, 20, own) },
    { mark: 'area', role: 'metal', points: rectangle(-1.2, -15, 1.2, 0.5) },
    { mark: 'dimension', from: pt(28, 0), to: pt(28, route), text: printMm(route, 1) },
    { mark: 'dimension', from: pt(-28, 0), to: pt(-28, own), text: printMm(own, 1), emphasis: true },
  ]
  return framed('Switch in its cavity', 'true proportion', marks, [
    { label: 'Route', value: `${printMm(route, 1)} mm deep` },
    { label: 'Switch', value: `${printMm(own, 1)} mm deep` },
  ])
}

/** The jack: its hole, and whether it can pass the wire's way once it is soldered on. */
export function jackJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { hole: sizeRef('body', 'jack.bore'), thread: sizeRef('jack', 'bore') }
  return judged(build, {
    id: 'jack',
    title: 'Jack in its bore',
    slots: ['jack', 'body'],
    at: pt(d.mouth + (valueAt(build, sizeRef('body', 'jack.x')) ?? 330), valueAt(build, sizeRef('body', 'jack.y')) ?? -100),
    refs,
    checks: (have) => {
      const c = gapOf([
        [1, have.hole],
        [-1, have.thread],
      ])
      const checks: Check[] = [
        check({
          id: 'bore',
          label: 'Bore minus thread',
          clearance: linear([[1, c]], -0.1),
          shown: c,
          bands: [
            { upTo: 0, is: 'tight' },
            { upTo: 30, is: 'snug' },
            { upTo: Infinity, is: 'wont-go' },
          ],
          coats: filmOn(build, 2),
          reads: Object.values(refs),
          says: () => `The bore is ${printMm(have.hole.value, 1)} mm and the jack needs ${printMm(have.thread.value, 1)} mm.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'ream-jack',
                    job: `Ream the jack bore to ${printMm(have.thread.value + 0.3, 1)} mm.`,
                    how: 'From outside through tape, by hand; film chips when a bit bites.',
                    gives: 'body',
                    tools: ['tapered reamer'],
                    plan: { slot: 'body', size: 'jack.bore', delta: 0.3 - likelyOf(c), doubt: 0.1 },
                  },
                ],
        }),
      ]
      const passage = sizeAt(build, sizeRef('body', 'passage.diameter'))
      const width = sizeAt(build, sizeRef('jack', 'width'))
      if (passage && width) {
        const p = gapOf([
          [1, passage],
          [-1, width],
        ])
        checks.push(
          check({
            id: 'passage',
            label: 'Passage minus jack',
            clearance: p,
            bands: [
              { upTo: 0, is: 'tight' },
              { upTo: Infinity, is: 'snug' },
            ],
            reads: [sizeRef('body', 'passage.diameter'), sizeRef('jack', 'width')],
            says: ({ verdict }) =>
              verdict === 'snug'
                ? 'A soldered jack passes the wire’s way.'
                : `The jack is ${printMm(-likelyOf(p), 1)} mm wider than the passage: soldered on, it will not go through.`,
            cures: ({ verdict }) =>
              verdict === 'snug'
                ? []
                : [
                    {
                      id: 'solder-after',
                      job: 'Thread the wires first, solder the jack after.',
                      how: 'Leave 80 mm of wire standing out of the bore; towel over the finish while soldering.',
                      gives: 'nothing',
                      tools: ['soldering iron', 'towel'],
                    },
                  ],
          }),
        )
      }
      return checks
    },
    draw: (have) =>
      boreSection({
        title: 'Jack through its bore',
        into: 'body-wood',
        thickness: 12,
        bore: have.hole.value,
        boreDepth: 12,
        plug: {
          label: 'Thread',
          diameter: have.thread.value,
          length: valueAt(build, sizeRef('jack', 'thread.length')) ?? 9,
          flange: have.thread.value + 6,
        },
      }),
  })
}

/** Knobs on their shafts: bore against shaft, and grip against kind of shaft. */
export function knobJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { bore: sizeRef('knobs', 'bore'), shaft: sizeRef('pot-volume', 'shaft.diameter') }
  return judged(build, {
    id: 'knobs',
    title: 'Knobs on their shafts',
    slots: ['knobs', 'pot-volume', 'pot-tone'],
    at: pt(
      d.heelEnd + (valueAt(build, sizeRef('guard', 'volume.x')) ?? 190) - 14,
      (valueAt(build, sizeRef('guard', 'volume.y')) ?? -66) + 14,
    ),
    refs,
    checks: (have) => {
      const c = gapOf([
        [1, have.bore],
        [-1, have.shaft],
      ])
      const screw = traitAt(build, 'knobs', 'grip') === 'screw'
      return [
        check({
          id: 'bore',
          label: 'Knob bore minus shaft',
          clearance: c,
          bands: [
            { upTo: -0.6, is: 'wont-go' },
            { upTo: -0.05, is: 'tight' },
            { upTo: screw ? 0.6 : 0.15, is: 'snug' },
            { upTo: Infinity, is: 'loose' },
          ],
          reads: Object.values(refs),
          says: () => `Knob bore ${printMm(have.bore.value)} mm, shaft ${printMm(have.shaft.value)} mm.`,
          cures: ({ verdict }) =>
            verdict === 'tight' || verdict === 'wont-go'
              ? [
                  {
                    id: 'drill-knob',
                    job: `Open the knob’s bore to ${printMm(have.shaft.value, 1)} mm.`,
                    how: 'Metric and inch shafts differ by 0.35 mm. Bit held in the hand, knob in a padded vice; a split shaft may be pinched a little instead.',
                    gives: 'knobs',
                    tools: ['bit of the shaft’s size'],
                    plan: { slot: 'knobs', size: 'bore', delta: -likelyOf(c), doubt: 0.05 },
                  },
                ]
              : verdict === 'loose'
                ? [
                    {
                      id: 'spread-shaft',
                      job: 'Spread the split shaft with a blade, or wrap it once with tape.',
                      how: 'A little; cast shafts snap.',
                      gives: 'nothing',
                      tools: ['blade'],
                    },
                  ]
                : [],
        }),
      ]
    },
    draw: (have) =>
      boreSection({
        title: 'Shaft in its knob',
        into: 'plastic',
        thickness: valueAt(build, sizeRef('knobs', 'depth')) ?? 12,
        bore: have.bore.value,
        boreDepth: (valueAt(build, sizeRef('knobs', 'depth')) ?? 12) - 2,
        plug: { label: 'Shaft', diameter: have.shaft.value, length: 9 },
      }),
  })
}

/** Can the player reach the controls? Distances between knobs and from the outer string. */
export function controlReachJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = {
    vx: sizeRef('guard', 'volume.x'),
    vy: sizeRef('guard', 'volume.y'),
    tx: sizeRef('guard', 'tone.x'),
    ty: sizeRef('guard', 'tone.y'),
    spread: sizeRef('bridge', 'spread'),
  }
  return judged(build, {
    id: 'control-reach',
    title: 'Controls within reach',
    slots: ['guard', 'pot-volume', 'pot-tone', 'bridge'],
    at: pt(d.heelEnd + (valueAt(build, refs.tx) ?? 225) + 16, valueAt(build, refs.ty) ?? -88),
    refs,
    checks: (have) => {
      const apart = propagate(
        ([a, b, c, e]) => Math.hypot(a! - c!, b! - e!),
        [ofSize(have.vx), ofSize(have.vy), ofSize(have.tx), ofSize(have.ty)],
      )
      const string = propagate(([y, s]) => Math.abs(y!) - s! / 2, [ofSize(have.vy), ofSize(have.spread)])
      const near = (id: string, label: string, what: typeof apart, least: number, says: string) =>
        check({
          id,
          label,
          clearance: linear([[1, what]], -least),
          shown: what,
          bands: [
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: Object.values(refs),
          says: ({ verdict }) => `${says} ${printMm(likelyOf(what), 0)} mm apart${verdict === 'snug' ? '.' : `; fingers want ${least}.`}`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: `move-${id}`,
                    job: 'Move the hole in a new guard, or take smaller knobs.',
                    how: 'Hold the guitar and mark where the hand falls before drilling.',
                    gives: 'guard',
                    tools: ['pencil'],
                  },
                ],
        })
      return [
        near('knob', 'Knob to knob', apart, KNOB_TO_KNOB, 'Knobs stand'),
        near('string', 'Volume to the outer string', string, KNOB_TO_STRING, 'Volume and outer string are'),
      ]
    },
    draw: (have) => {
      const v: Point = pt(have.vx.value, have.vy.value)
      const t: Point = pt(have.tx.value, have.ty.value)
      const y = -have.spread.value / 2
      const marks: Mark[] = [
        { mark: 'line', role: 'string', points: [pt(v.x - 50, y), pt(t.x + 30, y)] },
        { mark: 'circle', role: 'metal', at: v, r: 10 },
        { mark: 'circle', role: 'metal', at: t, r: 10 },
        { mark: 'dimension', from: v, to: t, text: printMm(Math.hypot(v.x - t.x, v.y - t.y), 0), emphasis: true },
        { mark: 'dimension', from: pt(v.x - 18, v.y), to: pt(v.x - 18, y), text: printMm(Math.abs(v.y - y), 0) },
      ]
      return framed('Controls and the outer string, from above', 'true proportion', marks, [
        { label: 'Knob to knob', value: `${printMm(Math.hypot(v.x - t.x, v.y - t.y), 1)} mm` },
        { label: 'Volume to outer string', value: `${printMm(Math.abs(v.y - y), 1)} mm` },
      ])
    },
  })
}

/** Bundle of round wires laid together, mm: about 1.2 times the root of their number in diameters. [ours] */
export const bundle = (wires: number, diameter: number): number => (wires === 1 ? 1 : 1.2 * Math.sqrt(wires)) * diameter

/** Wires through the body's narrowest passage. */
export function wirePassageJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { passage: sizeRef('body', 'passage.diameter'), wire: sizeRef('wire', 'diameter') }
  const pickups = (['neck', 'middle', 'bridge'] as const).filter((p) => build.parts[`pickup-${p}`]).length
  const wires = 2 + pickups
  return judged(build, {
    id: 'wire-passage',
    title: 'Wires through the passage',
    slots: ['wire', 'body'],
    at: pt(d.studs - 60, 26),
    refs,
    checks: (have) => {
      const c = linear([
        [1, ofSize(have.passage)],
        [-bundle(wires, 1), ofSize(have.wire)],
      ])
      return [
        check({
          id: 'bundle',
          label: 'Passage minus bundle',
          clearance: linear([[1, c]], -0.5),
          shown: c,
          bands: [
            { upTo: -1.5, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: Object.values(refs),
          says: () =>
            `${wires} wires of ${printMm(have.wire.value, 1)} mm make a bundle of ${printMm(bundle(wires, have.wire.value), 1)} mm in a passage of ${printMm(have.passage.value, 1)} mm.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'widen-passage',
                    job: `Drill the passage out to ${printMm(bundle(wires, have.wire.value) + 1, 1)} mm.`,
                    how: 'A long bit from the jack or pickup side; tape flag; before any finish. Or thinner wire.',
                    gives: 'body',
                    tools: ['long bit'],
                    plan: {
                      slot: 'body',
                      size: 'passage.diameter',
                      delta: bundle(wires, have.wire.value) + 1 - have.passage.value,
                      doubt: 0.2,
                    },
                  },
                ],
        }),
      ]
    },
    draw: (have) => {
      const r = have.passage.value / 2
      const w = have.wire.value / 2
      const marks: Mark[] = [
        { mark: 'area', role: 'body-wood', points: rectangle(-r - 5, -r - 5, r + 5, r + 5) },
        { mark: 'circle', role: 'cavity', at: pt(0, 0), r },
        ...Array.from({ length: wires }, (_, i): Mark => {
          const ring = wires === 1 ? 0 : bundle(wires, have.wire.value) / 2 - w
          const a = (2 * Math.PI * i) / Math.max(1, wires - 1)
          return {
            mark: 'circle',
            role: i % 2 ? 'hot' : 'ground',
            at: i === 0 ? pt(0, 0) : pt(ring * Math.cos(a), ring * Math.sin(a)),
            r: w,
          }
        }),
        { mark: 'dimension', from: pt(-r, r + 8), to: pt(r, r + 8), text: printMm(have.passage.value, 1) },
      ]
      return framed('Wires in the passage, cut across', 'true proportion', marks, [
        { label: 'Bundle', value: `${printMm(bundle(wires, have.wire.value), 1)} mm` },
        { label: 'Passage', value: `${printMm(have.passage.value, 1)} mm` },
      ])
    },
  })
}

/** Active pickups: room for the battery, a jack that switches it, pots of the right value. */
export function activeJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { room: sizeRef('body', 'battery.room'), battery: sizeRef('battery', 'length') }
  return judged(build, {
    id: 'active',
    title: 'Battery for the active circuit',
    slots: ['battery', 'body', 'jack', 'pot-volume'],
    at: pt(d.studs + 30, 70),
    refs,
    checks: (have) => {
      const c = gapOf([
        [1, have.room],
        [-1, have.battery],
      ])
      const stereo = traitAt(build, 'jack', 'contacts') === 'stereo'
      const pot = sizeAt(build, sizeRef('pot-volume', 'resistance'))
      return [
        check({
          id: 'room',
          label: 'Room minus battery',
          clearance: linear([[1, c]], -1),
          shown: c,
          bands: [
            { upTo: -1, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: Object.values(refs),
          says: () => `${printMm(have.room.value, 1)} mm of room for a ${printMm(have.battery.value, 1)} mm battery.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'battery-box',
                    job: 'Cut a battery box in from the back.',
                    how: 'Before any finish; router, both hands.',
                    gives: 'body',
                    tools: ['router'],
                    plan: { slot: 'body', size: 'battery.room', delta: 2 - likelyOf(c), doubt: 0.3 },
                  },
                ],
        }),
        check({
          id: 'switching',
          label: 'Stereo jack and 25 k pots',
          clearance: [{ weight: 1, mean: stereo && (!pot || pot.value <= 50e3) ? 1 : -1, sigma: 0 }],
          unit: 'none',
          bands: [
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: [sizeRef('pot-volume', 'resistance')],
          says: () =>
            stereo
              ? 'The stereo jack switches the battery. Look in the pickup’s own sheet whether it wants a string ground.'
              : 'A mono jack leaves the battery on for good; active pickups want a stereo jack and usually 25 k pots. Some want no string ground: look in the sheet.',
          cures: () =>
            stereo
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
        }),
      ]
    },
    draw: (have) =>
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
  })
}
