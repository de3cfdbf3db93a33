import type { OutlineRow } from '@snug/core'

/** Plover's body, our own drawing: a skipping stone, no horn on the bass side, a cropped one on the treble, the foot cut aslant. */
export const PLOVER_BODY: OutlineRow[] = [
  { x: -44, bass: 0, treble: 82, trebleInner: 58 },
  { x: -30, bass: 0, treble: 98, trebleInner: 46 },
  { x: -12, bass: 0, treble: 106, trebleInner: 39 },
  { x: 0, bass: 44, treble: 110, bassInner: 38, trebleInner: 38 },
  { x: 30, bass: 70, treble: 118 },
  { x: 70, bass: 98, treble: 126 },
  { x: 110, bass: 120, treble: 133 },
  { x: 150, bass: 136, treble: 139 },
  { x: 190, bass: 146, treble: 144 },
  { x: 230, bass: 151, treble: 147 },
  { x: 270, bass: 150, treble: 147 },
  { x: 305, bass: 141, treble: 142 },
  { x: 335, bass: 112, treble: 132 },
  { x: 358, bass: 62, treble: 114 },
  { x: 372, bass: 2, treble: 84 },
  { x: 376, bass: -34, treble: 58 },
]

/** Plover's headstock: a paddle with a straight back and one notched corner. */
export const PLOVER_HEAD: OutlineRow[] = [
  { x: -196, bass: 8, treble: 30 },
  { x: -190, bass: 20, treble: 40 },
  { x: -160, bass: 24, treble: 38 },
  { x: -120, bass: 28, treble: 34 },
  { x: -80, bass: 32, treble: 30 },
  { x: -44, bass: 34, treble: 27 },
  { x: -24, bass: 30, treble: 25 },
  { x: -8, bass: 22.5, treble: 22.5 },
  { x: 0, bass: 21.5, treble: 21.5 },
]
