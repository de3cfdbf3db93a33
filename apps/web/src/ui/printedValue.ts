import { isSlot, knownWord, specAt, type Json, type Known, type LengthSystem, type SizeRef } from '@snug/core'
import { printSize } from './SizeField'

/** A value of the document as a person would say it: a size in its unit, a plain value as it is, anything larger by its name. */
export function printedValue(path: readonly string[], value: Json | undefined, system: LengthSystem): string {
  if (value === undefined) return 'nothing'
  if (typeof value !== 'object' || value === null) return String(value)
  if (Array.isArray(value))
    return value
      .map((v) => (typeof v === 'object' ? '…' : v))
      .join(', ')
      .slice(0, 60)
  const [parts, slot, sizes, size] = path
  if (parts === 'parts' && sizes === 'sizes' && slot && size && isSlot(slot) && typeof value.value === 'number')
    return sizeWords({ slot, size }, value.value, value.known, system)
  for (const key of ['value', 'name', 'text', 'turns', 'done', 'on', 'what'])
    if (typeof value[key] === 'string' || typeof value[key] === 'number') return String(value[key])
  return `${Object.keys(value).length} entries`
}

function sizeWords(ref: SizeRef, value: number, known: Json | undefined, system: LengthSystem): string {
  const { unit } = specAt(ref)
  return `${printSize(value, unit, system)}${typeof known === 'string' ? `, ${knownWord(unit, known as Known)}` : ''}`
}
