/** One element of a circuit. Values in ohm, farad, henry; sources in volts (real, signed: the sense of a coil). */
export type Element =
  | { type: 'R' | 'C' | 'L'; ref: string; nodes: readonly [string, string]; value: number }
  /** Ideal source, first node positive. */
  | { type: 'V'; ref: string; nodes: readonly [string, string]; ac: number }
  /** Coupling of two inductors named by ref, both dots at the first node. */
  | { type: 'K'; ref: string; inductors: readonly [string, string]; k: number }
  /** A closed contact or a wire: its two nodes are one. */
  | { type: 'W'; ref: string; nodes: readonly [string, string] }

export interface Netlist {
  elements: readonly Element[]
  /** Where the voltage is taken: tip, sleeve. */
  output: readonly [string, string]
}

/** The node all voltages are measured from: the jack's sleeve. */
export const GROUND = '0'
