import type { Build } from './build'

/** The form of the document this version writes. */
export const SCHEMA: Build['schema'] = 4

type Doc = Record<string, unknown>

/** From one form of the document to the next. A step is never changed once it has been out. */
const STEPS: Readonly<Record<number, (doc: Doc) => Doc>> = { 1: knobsBecomeLooking, 2: setupKeepsEveryReading, 3: wiringsAreChosen }

/**
 * A document of an earlier form, brought to this one; any other is given back as it is. Nothing is judged here: what comes out is
 * checked like everything that comes in.
 */
export function migrated(doc: unknown): unknown {
  if (typeof doc !== 'object' || doc === null || Array.isArray(doc)) return doc
  let now = doc as Doc
  for (let step = stepFrom(now); step; step = stepFrom(now)) now = step(now)
  return now
}
const stepFrom = (doc: Doc) => (typeof doc.schema === 'number' ? STEPS[doc.schema] : undefined)

/** Is this a document of an earlier form? */
export const isEarlier = (doc: unknown): boolean => migrated(doc) !== doc

/**
 * 1 to 2: where knobs and the switch stand is looked at, not built, and leaves the document; a reading tells where its probes were
 * and how everything stood. All were taken at the jack, by the number of the selector's position.
 */
function knobsBecomeLooking(doc: Doc): Doc {
  const { position: _position, volume: _volume, tone: _tone, ...circuit } = plain(doc.circuit)
  const readings = Object.entries(plain(doc.readings)).map(([position, r]) => {
    const { ohm, volume, tone, at } = plain(r)
    const setting = { switches: { switch: Number(position) }, knobs: { volume, tone } }
    return [`jack.sleeve jack.tip, switch ${position}`, { ohm, probes: ['jack.tip', 'jack.sleeve'], setting, at }] as const
  })
  return { ...doc, schema: 2, circuit, readings: Object.fromEntries(readings) }
}

/** 2 to 3: readings of the setup become a list, of which only the newest was kept before; nobody wrote down when. */
function setupKeepsEveryReading(doc: Doc): Doc {
  const { relief, actionBass, actionTreble, cents, ...setup } = plain(doc.setup)
  const bass = Number(doc.strings)
  const read = [
    { what: 'relief', value: relief },
    { what: 'action', string: bass, value: actionBass },
    { what: 'action', string: 1, value: actionTreble },
    ...Object.entries(plain(cents)).map(([string, value]) => ({ what: 'cents', string: Number(string), value })),
  ].filter((r) => r.value !== undefined)
  const readings = Object.fromEntries(read.map((r) => [[r.what, ...('string' in r ? [r.string] : [])].join(' '), r]))
  return { ...doc, schema: 3, setup: { ...setup, readings } }
}

/** 3 to 4: the one wiring there was becomes the first that the parts allow; tapping becomes one of its options. */
function wiringsAreChosen(doc: Doc): Doc {
  const { split, scheme: _scheme, ...circuit } = plain(doc.circuit)
  return { ...doc, schema: 4, circuit: { ...circuit, scheme: 'by-parts', options: { tap: split ? 'tap' : 'whole' } } }
}

const plain = (value: unknown): Doc => (typeof value === 'object' && value !== null ? (value as Doc) : {})
