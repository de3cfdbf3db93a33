import { BUNDLE_FORMAT, KIND_NAMES, KINDS, KNOWN, type KindName } from '@snug/core'
import { validationMetadatasToSchemas } from 'class-validator-jsonschema'
import { INNER } from './checked'
import { BundleDoc } from './requests'
import { refTo, type Schema } from './rules'

interface ObjectSchema extends Schema {
  properties: Record<string, Schema>
}

/** Every class of this package as JSON Schema, by name; the sentences and bounds are those that requests are checked by. */
export function classSchemas(pointer = '#/$defs/'): Record<string, ObjectSchema> {
  const made = validationMetadatasToSchemas({
    refPointerPrefix: pointer,
    additionalConverters: { [INNER]: (meta) => meta.constraints[0] as Schema },
  })
  return Object.fromEntries(
    Object.entries(made).map(([name, s]) => [name, { ...s, additionalProperties: false } as unknown as ObjectSchema]),
  )
}

/** JSON Schema (draft 2020-12) of the build bundle, made from the classes the application checks with and the tables of kinds. */
export function bundleSchema(): Schema {
  const classes = classSchemas()
  const { PartDoc: part, [BundleDoc.name]: bundle } = classes
  const defs: Record<string, Schema> = {
    ...classes,
    ...Object.fromEntries(
      KIND_NAMES.flatMap((kind) => [
        [`part-${kind}`, partSchema(part!, kind)],
        [`sizes-${kind}`, sizesSchema(kind)],
      ]),
    ),
  }
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `${BUNDLE_FORMAT}.schema.json`,
    title: 'Snug Bolt build bundle',
    description:
      'One instrument being made: chosen parts with their sizes, plans, measurements, ticked steps and the log. Lengths are millimetres.',
    ...bundle,
    $defs: used(bundle!, defs),
  }
}

/** What any part may have, with the sizes and properties of its kind. */
function partSchema(any: ObjectSchema, kind: KindName): Schema {
  const { traits, outline } = KINDS[kind]
  const { outline: _, ...properties } = any.properties
  return {
    ...any,
    properties: {
      ...properties,
      kind: { const: kind },
      sizes: refTo(`sizes-${kind}`),
      promised: refTo(`sizes-${kind}`),
      traits: exactly(Object.fromEntries(Object.entries(traits).map(([key, t]) => [key, { enum: t.options.map(([v]) => v) }]))),
      ...(outline ? { outline: any.properties.outline } : {}),
    },
  }
}

function sizesSchema(kind: KindName): Schema {
  const size = (minimum: number, maximum: number): Schema => ({
    ...exactly({
      value: { type: 'number', minimum, maximum },
      doubt: { type: 'number', minimum: 0, maximum: maximum - minimum },
      known: { enum: [...KNOWN] },
    }),
    required: ['value', 'doubt', 'known'],
  })
  return exactly(Object.fromEntries(Object.entries(KINDS[kind].sizes).map(([key, s]) => [key, size(s.min, s.max)])))
}

const exactly = (properties: Record<string, Schema>): Schema => ({ type: 'object', properties, additionalProperties: false })

/** Of all definitions, those that are reached from one. */
function used(from: Schema, defs: Record<string, Schema>): Record<string, Schema> {
  const found = new Map<string, Schema>()
  const reach = (schema: Schema) => {
    for (const [, name] of JSON.stringify(schema).matchAll(/"#\/\$defs\/([^"]+)"/g))
      if (!found.has(name!)) {
        found.set(name!, defs[name!]!)
        reach(defs[name!]!)
      }
  }
  reach(from)
  return Object.fromEntries(found)
}
