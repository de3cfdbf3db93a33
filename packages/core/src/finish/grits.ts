/** Mean grain of coated abrasives, um, by P-grade. [published: FEPA 43-1 / ISO 6344, from memory] */
export const GRAIN: Readonly<Record<number, number>> = {
  80: 201,
  120: 125,
  180: 82,
  220: 68,
  240: 58.5,
  320: 46.2,
  400: 35,
  500: 30.2,
  600: 25.8,
  800: 21.8,
  1000: 18.3,
  1200: 15.3,
  1500: 12.6,
  2000: 10.3,
  2500: 8.4,
}
export const GRITS = Object.keys(GRAIN).map(Number)

/** Unmarked sheets of the American scale and the P-grade nearest to them; above 220 the two part. [practice, from memory] */
const UNMARKED: Readonly<Record<number, number>> = { 220: 220, 320: 400, 400: 800, 600: 1200, 1000: 2000 }
/** The P-grade of a sheet; nothing where the other scale has no such number here. */
export const asPGrade = (number: number, scale: 'P' | 'unmarked'): number | undefined =>
  scale === 'P' ? (GRAIN[number] === undefined ? undefined : number) : number <= 220 ? number : UNMARKED[number]

/** Largest step from one grit to the next, in size of grain. [practice] */
const STEP = 2

/** Grits from one to another, no step larger than twice in grain and no rung more than it takes. */
export function ladder(from: number, to: number): number[] {
  const between = GRITS.filter((g) => g >= from && g <= to)
  if (!between.includes(from) || !between.includes(to)) return []
  const rungs = [from]
  while (rungs.at(-1)! !== to) {
    const now = rungs.at(-1)!
    const reach = between.filter((g) => g > now && GRAIN[now]! / GRAIN[g]! <= STEP)
    const next = reach.at(-1)
    if (next === undefined) return []
    rungs.push(next)
  }
  return rungs
}

/** What a chain of grits takes to get rid of its own scratches: a third of each mean grain, um. [ours] */
export const scratchChain = (grits: readonly number[]): number => grits.reduce((sum, g) => sum + (GRAIN[g] ?? 0) / 3, 0)
