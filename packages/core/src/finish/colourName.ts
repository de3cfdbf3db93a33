/** Hues round the circle, degrees: up to where each goes by its name, light or bright; and dull or dark. [ours] */
const HUES: readonly (readonly [upTo: number, bright: string, dark: string])[] = [
  [15, 'red', 'oxblood'],
  [32, 'orange', 'brown'],
  [50, 'amber', 'brown'],
  [68, 'yellow', 'olive'],
  [165, 'green', 'green'],
  [195, 'turquoise', 'turquoise'],
  [255, 'blue', 'blue'],
  [295, 'violet', 'violet'],
  [345, 'pink', 'plum'],
  [360, 'red', 'oxblood'],
]
/** Channels no further apart than this show no hue to speak of; of what is darker than that the warm ones are brown. [ours] */
const GREY = 0.08
const DARK = 0.42

/** What people call a colour well enough to tell two jars apart. @param hex as "#7a3418" */
export function colourName(hex: string): string {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255) as [number, number, number]
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)]
  const light = (most + least) / 2
  const spread = most - least
  if (spread < GREY) return light < 0.2 ? 'black' : light > 0.85 ? 'white' : 'grey'
  const sector = most === r ? ((g - b) / spread + 6) % 6 : most === g ? (b - r) / spread + 2 : (r - g) / spread + 4
  const [, bright, dark] = HUES.find(([upTo]) => sector * 60 <= upTo)!
  const name = light < DARK ? dark : bright
  return light < 0.15 ? `dark ${name}` : light > 0.8 ? `light ${name}` : name
}
