import type { OutlineRow } from '@snug/core'

/** Heron's body: a table of half-widths from the pocket mouth, our own drawing. */
export const HERON_BODY: OutlineRow[] = [
  { x: -58, bass: 118, treble: 0, bassInner: 108 },
  { x: -46, bass: 134, treble: 0, bassInner: 84 },
  { x: -28, bass: 142, treble: 86, bassInner: 63, trebleInner: 80 },
  { x: -14, bass: 146, treble: 107, bassInner: 51, trebleInner: 56 },
  { x: 0, bass: 149, treble: 117, bassInner: 42, trebleInner: 42 },
  { x: 24, bass: 150, treble: 125 },
  { x: 50, bass: 145, treble: 126 },
  { x: 78, bass: 135, treble: 119 },
  { x: 106, bass: 125, treble: 109 },
  { x: 132, bass: 120, treble: 103 },
  { x: 158, bass: 122, treble: 106 },
  { x: 186, bass: 131, treble: 119 },
  { x: 214, bass: 143, treble: 137 },
  { x: 242, bass: 150, treble: 153 },
  { x: 270, bass: 149, treble: 163 },
  { x: 296, bass: 138, treble: 161 },
  { x: 320, bass: 114, treble: 144 },
  { x: 338, bass: 82, treble: 112 },
  { x: 350, bass: 44, treble: 68 },
  { x: 355, bass: 8, treble: 22 },
]

/** Heron's headstock, from the tip to the nut; bass and treble edge measured from the centre line. */
export const HERON_HEAD: OutlineRow[] = [
  { x: -184, bass: -22, treble: 42 },
  { x: -176, bass: -7, treble: 49 },
  { x: -158, bass: 1, treble: 47 },
  { x: -132, bass: 10, treble: 39 },
  { x: -100, bass: 19, treble: 31 },
  { x: -66, bass: 28, treble: 25 },
  { x: -38, bass: 34, treble: 22 },
  { x: -18, bass: 33, treble: 21 },
  { x: -8, bass: 25, treble: 21 },
  { x: 0, bass: 21, treble: 21 },
]

/** Heron's pickguard, from its neck cut-out. */
export const HERON_GUARD: OutlineRow[] = [
  { x: -44, bass: 58, treble: 36, bassInner: 32, trebleInner: 32 },
  { x: -22, bass: 70, treble: 56, bassInner: 31, trebleInner: 31 },
  { x: 0, bass: 75, treble: 70, bassInner: 30, trebleInner: 30 },
  { x: 30, bass: 74, treble: 78 },
  { x: 62, bass: 68, treble: 80 },
  { x: 96, bass: 61, treble: 80 },
  { x: 128, bass: 58, treble: 84 },
  { x: 156, bass: 56, treble: 96 },
  { x: 170, bass: 44, treble: 108 },
  { x: 190, bass: -36, treble: 118 },
  { x: 214, bass: -46, treble: 124 },
  { x: 240, bass: -58, treble: 122 },
  { x: 258, bass: -76, treble: 108 },
]
