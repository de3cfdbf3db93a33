import type { OutlineRow } from '@snug/core'

/** Heron's body: a table of half-widths from the pocket mouth, our own drawing of a leaning leaf. */
export const HERON_BODY: OutlineRow[] = [
  { x: -50, bass: 132, treble: 0, bassInner: 122 },
  { x: -32, bass: 140, treble: 0, bassInner: 92 },
  { x: -14, bass: 142, treble: 0, bassInner: 62 },
  { x: 0, bass: 141, treble: 44, bassInner: 44 },
  { x: 22, bass: 139, treble: 70 },
  { x: 50, bass: 135, treble: 97 },
  { x: 90, bass: 129, treble: 119 },
  { x: 130, bass: 124, treble: 133 },
  { x: 170, bass: 123, treble: 143 },
  { x: 210, bass: 125, treble: 150 },
  { x: 250, bass: 126, treble: 154 },
  { x: 285, bass: 121, treble: 154 },
  { x: 312, bass: 107, treble: 148 },
  { x: 334, bass: 82, treble: 134 },
  { x: 350, bass: 46, treble: 112 },
  { x: 360, bass: -4, treble: 82 },
  { x: 363, bass: -34, treble: 58 },
]

/** Heron's headstock, from the tip to the nut: a straight blade leaning with the row of tuners. */
export const HERON_HEAD: OutlineRow[] = [
  { x: -181, bass: -16, treble: 44 },
  { x: -178, bass: -8, treble: 50 },
  { x: -160, bass: -3, treble: 46 },
  { x: -130, bass: 6, treble: 38 },
  { x: -100, bass: 14, treble: 30 },
  { x: -66, bass: 24, treble: 25 },
  { x: -40, bass: 31, treble: 22 },
  { x: -24, bass: 33, treble: 21 },
  { x: -11, bass: 27, treble: 21 },
  { x: 0, bass: 21, treble: 21 },
]

/** Heron's pickguard, from its neck cut-out: a feather along the treble side. */
export const HERON_GUARD: OutlineRow[] = [
  { x: -26, bass: 44, treble: 46, bassInner: 31, trebleInner: 31 },
  { x: -10, bass: 47, treble: 56, bassInner: 30.5, trebleInner: 30.5 },
  { x: 0, bass: 48, treble: 60, bassInner: 30, trebleInner: 30 },
  { x: 40, bass: 48, treble: 72 },
  { x: 80, bass: 47, treble: 80 },
  { x: 120, bass: 46, treble: 88 },
  { x: 150, bass: 45, treble: 95 },
  { x: 166, bass: 42, treble: 100 },
  { x: 172, bass: 20, treble: 105 },
  { x: 176, bass: -44, treble: 108 },
  { x: 210, bass: -46, treble: 116 },
  { x: 240, bass: -45, treble: 118 },
  { x: 258, bass: -58, treble: 113 },
  { x: 266, bass: -80, treble: 104 },
]
