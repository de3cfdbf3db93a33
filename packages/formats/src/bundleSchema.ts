import {
  FINISH_SYSTEMS,
  KIND_NAMES,
  KINDS,
  KNOWN,
  METALS,
  OUTCOMES,
  SLOT_STATES,
  TOOLS,
  UNPACKED,
  LOG_KINDS,
  PART_STATES,
  SETUP_SCHOOLS,
  SLOTS,
  STATIONS,
  type KindName,
} from '@snug/core'
import { BUNDLE_FORMAT, BUNDLE_VERSION } from './bundle'

type Schema = Record<string, unknown>
const object = (properties: Record<string, Schema>, required: string[] = Object.keys(properties)): Schema => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
})
const number = (minimum: number, maximum: number): Schema => ({ type: 'number', minimum, maximum })
const text = (maxLength: number): Schema => ({ type: 'string', maxLength })
const day: Schema = { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' }
const time: Schema = { type: 'string', format: 'date-time' }
const oneOf = (values: readonly string[]): Schema => ({ enum: [...values] })
const map = (values: Schema): Schema => ({ type: 'object', additionalProperties: values })

/** JSON Schema (draft 2020-12) of the build bundle, written from the same tables the application checks with. */
export function bundleSchema(): Schema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: 'snug-bolt-build.schema.json',
    title: 'Snug Bolt build bundle',
    description:
      'One instrument being made: chosen parts with their sizes, plans, measurements, ticked steps and the log. Lengths are millimetres.',
    ...object({
      format: { const: BUNDLE_FORMAT },
      version: { type: 'integer', minimum: 1, maximum: BUNDLE_VERSION },
      exported: time,
      build: buildSchema(),
      log: { type: 'array', items: logSchema() },
    }),
    $defs: Object.fromEntries(
      KIND_NAMES.flatMap((kind) => [
        [`part-${kind}`, partSchema(kind)],
        [`sizes-${kind}`, sizesSchema(kind)],
      ]),
    ),
  }
}

function buildSchema(): Schema {
  const optional = ['due', 'budget', 'slots', 'tools', 'parcels', 'consumables', 'mockup', 'unpacked', 'orders', 'rescue']
  const properties: Record<string, Schema> = {
    schema: { const: 1 },
    name: { type: 'string', minLength: 1, maxLength: 80 },
    handedness: oneOf(['right', 'left']),
    strings: { type: 'integer', minimum: 4, maximum: 12 },
    scale: number(500, 900),
    due: day,
    budget: number(0, 1e6),
    currency: { type: 'string', pattern: '^[A-Z]{3}$' },
    room: object({ low: number(5, 95), high: number(5, 95), now: number(5, 95) }),
    parts: object(Object.fromEntries(SLOTS.map((s) => [s.slot, { $ref: `#/$defs/part-${s.kind}` }])), []),
    slots: object(Object.fromEntries(SLOTS.map((s) => [s.slot, oneOf(SLOT_STATES)])), []),
    tools: { type: 'array', items: oneOf(TOOLS) },
    parcels: map(number(0, 1e5)),
    consumables: map(object({ name: text(80), price: number(0, 1e5), share: number(0, 1) })),
    mockup: map(object({ outcome: oneOf(OUTCOMES), at: time, basis: text(20) })),
    unpacked: object(Object.fromEntries(SLOTS.map((s) => [s.slot, oneOf(UNPACKED)])), []),
    orders: object(
      Object.fromEntries(
        SLOTS.map((s) => [
          s.slot,
          object({
            revision: { type: 'integer', minimum: 1 },
            at: day,
            sizes: map(object({ value: number(-1000, 1000), tolerance: number(0, 50) })),
          }),
        ]),
      ),
      [],
    ),
    rescue: object({ asking: number(0, 1e6), worth: number(0, 1e6), defects: { type: 'array', items: text(40), maxItems: 40 } }, [
      'defects',
    ]),
    jobs: map(
      object({ slot: oneOf(SLOTS.map((s) => s.slot)), size: text(60), delta: number(-1e6, 1e6), doubt: number(0, 1e5), text: text(300) }),
    ),
    circuit: object({
      scheme: oneOf(['two-humbuckers-and-single']),
      split: { type: 'boolean' },
      position: { type: 'integer', minimum: 1, maximum: 5 },
      volume: number(0, 10),
      tone: number(0, 10),
      cable: number(0, 30),
    }),
    readings: map(object({ ohm: number(0, 1e8), volume: number(0, 10), tone: number(0, 10), at: time })),
    finish: object({
      system: oneOf(FINISH_SYSTEMS),
      start: day,
      coats: { type: 'integer', minimum: 1, maximum: 20 },
      solids: number(1, 90),
      maskPocket: { type: 'boolean' },
      weather: object({ air: number(-20, 50), surface: number(-20, 60), humidity: number(1, 100) }),
    }),
    evenings: { type: 'array', minItems: 7, maxItems: 7, items: number(0, 960) },
    setup: object(
      {
        school: oneOf(SETUP_SCHOOLS),
        relief: number(-1, 3),
        actionBass: number(0, 6),
        actionTreble: number(0, 6),
        saddle: number(0, 60),
        reliefPerQuarter: number(0.005, 0.5),
        cents: map(number(-100, 100)),
      },
      ['school', 'cents'],
    ),
    steps: map(object({ done: time })),
  }
  return object(
    properties,
    Object.keys(properties).filter((k) => !optional.includes(k)),
  )
}

function sizesSchema(kind: KindName): Schema {
  const size = (min: number, max: number) => object({ value: number(min, max), doubt: number(0, max - min), known: oneOf(KNOWN) })
  return object(Object.fromEntries(Object.entries(KINDS[kind].sizes).map(([key, s]) => [key, size(s.min, s.max)])), [])
}

function partSchema(kind: KindName): Schema {
  const spec = KINDS[kind]
  const properties: Record<string, Schema> = {
    kind: { const: kind },
    name: { type: 'string', minLength: 1, maxLength: 120 },
    seller: text(120),
    state: oneOf(PART_STATES),
    price: number(0, 1e6),
    arrives: day,
    colour: { type: 'string', pattern: '^#[0-9a-fA-F]{6}$' },
    metal: oneOf(METALS),
    note: text(2000),
    promised: { $ref: `#/$defs/sizes-${kind}` },
    sizes: { $ref: `#/$defs/sizes-${kind}` },
    traits: object(Object.fromEntries(Object.entries(spec.traits).map(([key, t]) => [key, oneOf(t.options.map(([v]) => v))])), []),
  }
  if (spec.outline) {
    const half = number(-400, 400)
    properties.outline = {
      type: 'array',
      maxItems: 200,
      items: object({ x: number(-600, 1200), bass: half, treble: half, bassInner: half, trebleInner: half }, ['x', 'bass', 'treble']),
    }
  }
  return object(properties, ['kind', 'name', 'state', 'sizes', 'traits'])
}

function logSchema(): Schema {
  return object(
    { id: text(60), at: time, kind: oneOf(LOG_KINDS), text: text(4000), station: oneOf(STATIONS), thing: text(80), struck: time },
    ['id', 'at', 'kind', 'text'],
  )
}
