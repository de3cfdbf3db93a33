import type { OutlineRow } from '@snug/core'

/** Plover's body, our own drawing: a river stone with a long shoulder on the bass side and a flat foot. */
export const PLOVER_BODY: OutlineRow[] = [
  { x: -92, bass: 86, treble: 0, bassInner: 70 },
  { x: -70, bass: 106, treble: 0, bassInner: 58 },
  { x: -40, bass: 120, treble: 62, bassInner: 46, trebleInner: 50 },
  { x: -18, bass: 126, treble: 84, bassInner: 40, trebleInner: 40 },
  { x: 0, bass: 128, treble: 96, bassInner: 38, trebleInner: 38 },
  { x: 40, bass: 126, treble: 112 },
  { x: 90, bass: 121, treble: 120 },
  { x: 140, bass: 122, treble: 128 },
  { x: 190, bass: 130, treble: 142 },
  { x: 240, bass: 138, treble: 154 },
  { x: 285, bass: 138, treble: 157 },
  { x: 320, bass: 128, treble: 148 },
  { x: 346, bass: 108, treble: 126 },
  { x: 360, bass: 70, treble: 88 },
  { x: 364, bass: 22, treble: 40 },
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
