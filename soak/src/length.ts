/** SOAK=1 runs for as long as the figures in docs/reliability.md took; without it, a few rounds of the same. */
const LONG = process.env.SOAK === '1'

export const rounds = (short: number, long: number): number => (LONG ? long : short)

/** The seed of what is drawn; SEED=7 draws otherwise. */
export const SEED = Number(process.env.SEED ?? 20261126)

/** Longest a test may take, ms: far more than it does. */
export const PATIENCE = LONG ? 7_200_000 : 240_000

/** A figure for the record. */
export const report = (line: string): void => void process.stdout.write(`soak: ${line}\n`)
