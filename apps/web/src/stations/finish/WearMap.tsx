import { areaOf, bodyOutline, datums, over, setFinish, type Point, type WearSpot } from '@snug/core'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { newId } from '../../state/newId'

/** How the photograph lies under the outline: seen through, moved and scaled until both agree. */
interface Lie {
  through: number
  size: number
  x: number
  y: number
  turn: number
}
const FLAT: Lie = { through: 0.55, size: 100, x: 0, y: 0, turn: 0 }
const SLIDES = [
  ['through', 'seen', 0, 1, 0.05],
  ['size', 'size', 20, 300, 1],
  ['x', 'along', -100, 100, 1],
  ['y', 'across', -100, 100, 1],
  ['turn', 'turned', -180, 180, 1],
] as const

/** The body's outline over a photograph of what is to be matched: places are outlined by pressing their corners, and stay with the build. */
export function WearMap() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [photo, setPhoto] = useState<string>()
  const [lie, setLie] = useState<Lie>(FLAT)
  const [drawn, setDrawn] = useState<Point[]>([])
  const svg = useRef<SVGSVGElement>(null)
  useEffect(() => () => (photo ? URL.revokeObjectURL(photo) : undefined), [photo])
  // Places are kept in the instrument's frame and shown as this hand's lies, which is how the photograph has it.
  const seen = useCallback((p: Point): Point => (build.handedness === 'left' ? over(p) : p), [build.handedness])
  const outline = useMemo(() => bodyOutline(build, datums(build).mouth).map(seen), [build, seen])
  const box = useMemo(() => {
    const xs = outline.map((p) => p.x)
    const ys = outline.map((p) => p.y)
    const [x, y] = [Math.min(...xs) - 10, Math.min(...ys) - 10]
    return { x, y, w: Math.max(...xs) - x + 10, h: Math.max(...ys) - y + 10 }
  }, [outline])
  const wear = Object.entries(build.finish.wear ?? {})
  const keep = () => {
    const spot: WearSpot = { name: `Worn place ${wear.length + 1}`, face: 'front', points: drawn }
    change((b) => setFinish(b, 'wear', { ...b.finish.wear, [newId()]: spot }, 'A worn place outlined'))
    setDrawn([])
  }
  const press = (e: { clientX: number; clientY: number }) => {
    const el = svg.current
    const matrix = el?.getScreenCTM()?.inverse()
    if (!el || !matrix) return
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix)
    setDrawn((was) => [...was, seen({ x: Math.round(p.x * 10) / 10, y: Math.round(p.y * 10) / 10 })])
  }
  const path = (points: readonly Point[]) => points.map((p) => `${p.x},${p.y}`).join(' ')
  return (
    <section aria-label="Wear pattern">
      <div className="flex flex-wrap gap-2">
        <FileButton name="Photograph of what is to be matched" accept="image/*" onFile={(f) => setPhoto(URL.createObjectURL(f))}>
          Lay a photograph under it
        </FileButton>
        <Button disabled={drawn.length < 3} onClick={keep}>
          Close the outline
        </Button>
        {drawn.length > 0 && (
          <Button look="quiet" onClick={() => setDrawn((was) => was.slice(0, -1))}>
            One corner back
          </Button>
        )}
      </div>
      <svg
        ref={svg}
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        className="mt-2 w-full cursor-crosshair border border-hairline bg-sheet"
        role="img"
        aria-label={`Body outline with ${wear.length} worn places; press its corners to outline another`}
        onClick={press}
      >
        {photo && (
          <image
            href={photo}
            x={box.x}
            y={box.y}
            width={box.w}
            height={box.h}
            opacity={lie.through}
            transform={`translate(${(lie.x / 100) * box.w} ${(lie.y / 100) * box.h}) rotate(${lie.turn} ${box.x + box.w / 2} ${box.y + box.h / 2}) translate(${box.x + box.w / 2} ${box.y + box.h / 2}) scale(${lie.size / 100}) translate(${-box.x - box.w / 2} ${-box.y - box.h / 2})`}
          />
        )}
        <polygon points={path(outline)} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
        {wear.map(([id, w]) => (
          <polygon
            key={id}
            points={path(w.points.map(seen))}
            fill="var(--wont)"
            fillOpacity="0.15"
            stroke="var(--wont)"
            strokeDasharray="4 3"
          />
        ))}
        {drawn.length > 1 && <polyline points={path(drawn.map(seen))} fill="none" stroke="var(--violet)" strokeWidth="1.5" />}
        {drawn.map(seen).map((p, i) => (
          <circle key={i} cx={p.x} cy={p.y} r="3" fill="var(--violet)" />
        ))}
      </svg>
      {photo && (
        <div className="grid grid-cols-3 gap-x-3">
          {SLIDES.map(([key, label, from, to, step]) => (
            <label key={key} className="label text-[14px] text-soft">
              {label}
              <input
                type="range"
                className="block w-full accent-[var(--violet)]"
                min={from}
                max={to}
                step={step}
                value={lie[key]}
                onChange={(e) => setLie((was) => ({ ...was, [key]: Number(e.target.value) }))}
              />
            </label>
          ))}
        </div>
      )}
      <p className="text-[14px] text-soft">The photograph is not kept; the outlines are, in millimetres of this body.</p>
      <ul>
        {wear.map(([id, w]) => (
          <li key={id} className="flex items-center gap-2">
            {w.name}, {(areaOf(w.points) / 100).toFixed(0)} cm², {Math.round(w.points[0]!.x)} mm from the nut
            <Button
              look="quiet"
              aria-label={`Not there: ${w.name}`}
              onClick={() => {
                const { [id]: _, ...others } = build.finish.wear ?? {}
                change((b) => setFinish(b, 'wear', others, `${w.name} taken away`))
              }}
            >
              Not there
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
