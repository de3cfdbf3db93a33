/** A name as a key of the document: still to be read there, of any script, and never one that is taken. */
export function keyFor(name: string, taken: Readonly<Record<string, unknown>> = {}): string {
  const word =
    name
      .toLowerCase()
      .replace(/[^\p{L}\d]+/gu, '-')
      .slice(0, 40)
      .replace(/^-|-$/g, '') || 'one'
  let key = word
  // What every object has is no key of a document.
  for (let n = 2; Object.hasOwn(taken, key) || key in Object.prototype; n++) key = `${word}-${n}`
  return key
}
