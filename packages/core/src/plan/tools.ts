/** How a person comes by a tool or a thing used up. */
export const HAVE = ['own', 'borrow', 'instead', 'buy'] as const
export type Have = (typeof HAVE)[number]

/** What is said of one of them; money where it is bought. */
export interface Owned {
  have: Have
  price?: number
}

/** What does in place of a tool nobody has. [practice] */
const INSTEAD: readonly (readonly [RegExp, string])[] = [
  [/nut files?/i, 'jet-cleaning files, the nearest size below'],
  [/round file|needle file/i, 'paper wrapped on a pen'],
  [/nut driver|spanner/i, 'a socket on a screwdriver handle'],
  [/ferrule/i, 'a dowel of its width and light taps'],
  [/post press/i, 'a soft-faced hammer held short; a press where its throat reaches'],
  [/puller|retriever/i, 'a coat-hanger bent to a hook'],
  [/guide/i, '3 mm tubing on the shaft'],
  [/long reach|pliers/i, 'surgical pliers'],
  [/depth stop/i, 'tape round the bit'],
  [/contact cleaner|opening/i, 'paper on a flat stick'],
  [/polarity|tester/i, 'a pocket compass'],
  [/stand|press|square/i, 'a home-made block with a square hole'],
  [/booth/i, 'a carton on its side, outdoors or well aired'],
  [/shim/i, 'a sliver of card without the raised digits'],
]

/** What does in its place, where practice knows something. */
export const insteadOf = (tool: string): string | undefined => INSTEAD.find(([of]) => of.test(tool))?.[1]
