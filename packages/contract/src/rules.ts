import { whyNotDay } from '@snug/core'
import { problemsOf, type Problem } from './checked'
import { remembered } from './remembered'

/** A piece of JSON Schema (draft 2020-12). */
export type Schema = Record<string, unknown>

/** How one value of a map or list is checked, and in the same place what a schema says of it. */
export interface Rule {
  problems: (value: unknown, key: string) => Problem[]
  schema: Schema
}

export const wrong = (why: string): Problem[] => [{ path: '', why }]

/** Where a schema keeps what a class says. */
export const refTo = (name: string): Schema => ({ $ref: `#/$defs/${name}` })

/** Each value is as a class says. */
export const each = <T extends object>(type: new () => T): Rule => ({
  problems: (v) => remembered(type, v, () => problemsOf(type, v)),
  schema: refTo(type.name),
})

/** A number between two bounds. @param why the whole sentence */
export const numberFrom = (minimum: number, maximum: number, why: string): Rule => ({
  problems: (v) => (typeof v === 'number' && v >= minimum && v <= maximum ? [] : wrong(why)),
  schema: { type: 'number', minimum, maximum },
})

export const wholeFrom = (minimum: number, maximum: number, why: string): Rule => ({
  problems: (v) => (Number.isInteger(v) && (v as number) >= minimum && (v as number) <= maximum ? [] : wrong(why)),
  schema: { type: 'integer', minimum, maximum },
})

export const textOf = (minLength: number, maxLength: number, why: string): Rule => ({
  problems: (v) => (typeof v === 'string' && v.length >= minLength && v.length <= maxLength ? [] : wrong(why)),
  schema: { type: 'string', minLength, maxLength },
})

/** A name, or a number that is one. */
export const wordOrNumber = (maxLength: number, why: string): Rule => ({
  problems: (v) => ((typeof v === 'string' && v.length <= maxLength) || Number.isFinite(v) ? [] : wrong(why)),
  schema: { anyOf: [{ type: 'string', maxLength }, { type: 'number' }] },
})

/** A day as an entry of a list. */
export const aDay: Rule = {
  problems: (v) => {
    const why = whyNotDay(v, new Date().toISOString().slice(0, 10))
    return why ? wrong(why) : []
  },
  schema: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' },
}

export const oneOf = (values: readonly string[], why: string): Rule => ({
  problems: (v) => (typeof v === 'string' && values.includes(v) ? [] : wrong(why)),
  schema: { enum: [...values] },
})

/** A name that is there or is left out. */
export const onlyTrue = (why: string): Rule => ({ problems: (v) => (v === true ? [] : wrong(why)), schema: { const: true } })

/** Yes or no. */
export const either = (why: string): Rule => ({ problems: (v) => (typeof v === 'boolean' ? [] : wrong(why)), schema: { type: 'boolean' } })
