import { backView, frontView, lengthOf, shared, sideProfile, turnedOver, type Build, type Mark, type Point } from '@snug/core'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { Project } from '../drawing/MarkShape'
import type { usePrefs } from '../state/prefs'

type View = ReturnType<typeof usePrefs.getState>['view']

/** The marks shown last: those that did not change are the same objects again, and are not drawn anew. */
let shown: Mark[] = []

/** Marks of the view asked for, a left-handed build mirrored. */
export function viewMarks(build: Build, view: View): Mark[] {
  return (shown = shared(shown, marksOf(build, view)))
}

function marksOf(build: Build, view: View): Mark[] {
  const marks = view === 'front' ? frontView(build) : view === 'back' ? backView(build) : sideProfile(build)
  return view !== 'side' && build.handedness === 'left' ? marks.map(turnedOver) : marks
}

/** Where a place of the instrument lies across in the view: the other way round from behind or for a left hand. */
export const acrossIn = (build: Build, view: View, y: number): number =>
  view === 'side' ? 0 : y * (view === 'back' ? -1 : 1) * (build.handedness === 'left' ? -1 : 1)

/** What the view's name and its tools take of the left, px: a small instrument stands clear of them. */
const OF_TOOLS = 368

/** Zoom and pan of the long view: pixels per mm and the mm at the left edge. */
export function useLongView(build: Build, view: View, width: number, height: number) {
  const marks = useMemo(() => viewMarks(build, view), [build, view])
  const extent = useMemo(() => lengthOf(marks), [marks])
  const { from: first, to: last, half } = extent
  const fit = useMemo(() => {
    const length = last - first + 40
    const scale = Math.max(0.05, Math.min(width / length, height / (2 * Math.max(half, 40) + 14)))
    const long = (last - first) * scale
    const beside = (width - long) / 2
    return { scale, left: first - (beside < OF_TOOLS && long + OF_TOOLS < width ? OF_TOOLS : beside) / scale, middle: 0 }
  }, [first, last, half, width, height])
  const [zoomed, setZoomed] = useState<typeof fit>()
  useEffect(() => setZoomed(undefined), [view, width, height])
  const at = zoomed ?? fit
  // From the side the body lies below the strings' line; lift it to the middle of the strip.
  const lift = view === 'side' ? 12 : 0
  const project: Project = useCallback(
    (p: Point) => ({ x: (p.x - at.left) * at.scale, y: height / 2 + (p.y - at.middle - lift) * at.scale }),
    [at, height, lift],
  )
  const zoom = useCallback(
    (factor: number, px = width / 2, py = height / 2) => {
      setZoomed((z) => {
        const a = z ?? fit
        const scale = Math.min(14, Math.max(fit.scale * 0.8, a.scale * factor))
        const mmX = a.left + px / a.scale
        const mmY = a.middle + (py - height / 2) / a.scale
        return { scale, left: mmX - px / scale, middle: mmY - (py - height / 2) / scale }
      })
    },
    [fit, height, width],
  )
  const drag = useRef<{ x: number; y: number; from: typeof fit } | undefined>(undefined)
  const panTo = (x: number, y: number) => {
    const d = drag.current
    if (d) setZoomed({ ...d.from, left: d.from.left - (x - d.x) / d.from.scale, middle: d.from.middle - (y - d.y) / d.from.scale })
  }
  return {
    marks,
    scale: at.scale,
    left: at.left,
    project,
    zoom,
    reset: () => setZoomed(undefined),
    zoomed: !!zoomed,
    startPan: (x: number, y: number) => (drag.current = { x, y, from: at }),
    panTo,
    endPan: () => (drag.current = undefined),
  }
}
