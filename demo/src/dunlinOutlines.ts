import type { OutlineRow } from '@snug/core'

/** Dunlin's body, our own drawing: a broad pear with one shallow cutaway on the treble side. */
export const DUNLIN_BODY: OutlineRow[] = [
  { x: -66, bass: 0, treble: 98, trebleInner: 84 },
  { x: -46, bass: 0, treble: 118, trebleInner: 64 },
  { x: -20, bass: 0, treble: 130, trebleInner: 46 },
  { x: 0, bass: 66, treble: 134, bassInner: 34, trebleInner: 36 },
  { x: 14, bass: 104, treble: 135 },
  { x: 50, bass: 134, treble: 136 },
  { x: 95, bass: 146, treble: 137 },
  { x: 140, bass: 147, treble: 140 },
  { x: 190, bass: 152, treble: 151 },
  { x: 240, bass: 168, treble: 168 },
  { x: 290, bass: 180, treble: 181 },
  { x: 335, bass: 178, treble: 180 },
  { x: 372, bass: 158, treble: 161 },
  { x: 398, bass: 118, treble: 122 },
  { x: 410, bass: 66, treble: 70 },
  { x: 414, bass: 18, treble: 20 },
]

/** Dunlin's headstock: long enough for six posts a side, waisted in the middle, blunt at the tip. */
export const DUNLIN_HEAD: OutlineRow[] = [
  { x: -214, bass: 26, treble: 26 },
  { x: -208, bass: 38, treble: 38 },
  { x: -180, bass: 41, treble: 41 },
  { x: -140, bass: 38, treble: 38 },
  { x: -104, bass: 37, treble: 37 },
  { x: -64, bass: 39, treble: 39 },
  { x: -34, bass: 38, treble: 38 },
  { x: -14, bass: 28, treble: 28 },
  { x: 0, bass: 23.5, treble: 23.5 },
]
