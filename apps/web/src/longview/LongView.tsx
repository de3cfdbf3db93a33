import type { Build, Mark, Point } from '@snug/core'
import { ChevronsDownUp, ChevronsUpDown, Maximize2, Minimize2, Minus, Plus } from 'lucide-react'
import { useEffect, useMemo, type ReactNode } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { MarkShape, pickedThing } from '../drawing/MarkShape'
import { useSize } from '../drawing/useSize'
import { useOpenBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { layPegs } from './layPegs'
import { DIGIT, numberSpots, type Peg } from './numbers'
import { ticks } from './ticks'
import { acrossIn, useLongView } from './useLongView'
import { Tool } from './LongViewTools'

/** Something a station pins on the instrument: a peg, a hole's number, a tick. Drawn at one size however far it is zoomed. */
export interface Pin {
  id: string
  at: Point
  label: string
  shape: ReactNode
  number?: number
  /** Needs nobody: drawn small and without its number until it is in hand. */
  minor?: boolean
}

interface Props {
  /** Another state of the build than the one that is open, as it was earlier. */
  build?: Build
  pins?: readonly Pin[]
  /** What a station makes of the instrument's own marks: its colours. */
  paint?: (marks: Mark[], view: 'front' | 'back' | 'side') => Mark[]
  /** Further marks in the instrument's own millimetres, drawn over it. */
  overlay?: readonly Mark[]
  selected?: string | undefined
  onPick?: (id: string) => void
  /** Stations that look from the side to begin with; turning shows the front. */
  fromSide?: boolean
}

const RULE = 26
/** Half as wide as a peg, one that needs nobody, and the ring round what is picked, px. */
const PEG = 11
const SMALL = 6.5
const RING = 15.5

/** The build's instrument in true proportion, computed from its sizes, with a rule from the nut. */
export function LongView({ build: other, pins = [], overlay = [], paint, selected, onPick, fromSide = false }: Props) {
  const open = useOpenBuild()
  const build = other ?? open
  const {
    view: chosen,
    system,
    stage,
    setStage,
  } = usePrefs(useShallow(({ view, system, stage, setStage }) => ({ view, system, stage, setStage })))
  const view = fromSide && chosen !== 'back' ? (chosen === 'side' ? 'front' : 'side') : chosen
  const { ref, width, height } = useSize<HTMLDivElement>()
  const h = Math.max(0, height - RULE)
  const v = useLongView(build, view, width, h)
  const { project } = v
  const marks = useMemo(() => (paint ? paint(v.marks, view) : v.marks), [paint, v.marks, view])
  useEffect(() => {
    const element = ref.current
    if (!element) return
    // The wheel zooms here, so the page must not scroll along; React's own wheel handler cannot forbid that.
    const wheel = (e: WheelEvent) => {
      e.preventDefault()
      const box = element.getBoundingClientRect()
      v.zoom(e.deltaY < 0 ? 1.15 : 1 / 1.15, e.clientX - box.left, e.clientY - box.top)
    }
    element.addEventListener('wheel', wheel, { passive: false })
    return () => element.removeEventListener('wheel', wheel)
  }, [ref, v])
  const extra = useMemo(
    () =>
      overlay.map((m): Mark => {
        const t = (p: Point) => ({ x: p.x, y: acrossIn(build, view, p.y) })
        if (m.mark === 'area' || m.mark === 'line') return { ...m, points: m.points.map(t) }
        if (m.mark === 'dimension') return { ...m, from: t(m.from), to: t(m.to) }
        return { ...m, at: t(m.at) }
      }),
    [overlay, build, view],
  )
  // Places in pixels, parted where they lie on each other; what needs a person lies on top.
  const laid = useMemo(() => {
    const ordered = [...pins].sort((a, b) => Number(b.minor ?? false) - Number(a.minor ?? false))
    const places = ordered.map((pin) => {
      const p = project({ x: pin.at.x, y: acrossIn(build, view, pin.at.y) })
      return { x: Math.min(width - 26, Math.max(12, p.x)), y: Math.min(h - 14, Math.max(14, p.y)) }
    })
    const pegs = ordered.map((pin, i): Peg => ({ at: places[i]!, r: pin.minor ? SMALL : PEG, number: pin.minor ? undefined : pin.number }))
    const apart = layPegs(pegs, { width, height: h })
    return ordered.map((pin, i) => ({ pin, p: apart[i]! }))
  }, [pins, project, build, view, width, h])
  const isSmall = (pin: Pin) => (pin.minor ?? false) && selected !== pin.id
  const numbers = useMemo(() => {
    const pegs = laid.map(({ pin, p }): Peg => {
      const picked = selected === pin.id
      return { at: p, r: picked ? RING : pin.minor ? SMALL : PEG, number: pin.minor && !picked ? undefined : pin.number }
    })
    return numberSpots(pegs, { width, height: h })
  }, [laid, selected, width, h])
  const press = (thing: string | undefined) => thing && onPick?.(thing)
  const face = view === 'front' ? 'from the front' : view === 'back' ? 'from the back' : 'from the side'
  return (
    <section aria-label="Long view" className="relative flex h-full min-h-0 flex-col overflow-hidden bg-paper">
      <div
        ref={ref}
        className="min-h-0 flex-1 touch-none"
        onPointerDown={(e) => v.startPan(e.clientX, e.clientY)}
        onPointerMove={(e) => e.buttons === 1 && v.panTo(e.clientX, e.clientY)}
        onPointerUp={v.endPan}
        onPointerLeave={v.endPan}
      >
        {width > 0 && (
          <svg width={width} height={height} className="block" role="group" aria-label={`${build.name} ${face}, drawn from its own sizes`}>
            <g data-testid="instrument" aria-hidden="true" onClick={(e) => press(pickedThing(e))}>
              {marks.map((m, i) => (
                <MarkShape
                  key={i}
                  mark={m}
                  project={v.project}
                  scale={v.scale}
                  selected={'thing' in m && m.thing !== undefined && m.thing === selected && m.mark !== 'line'}
                  pickable={!!onPick}
                />
              ))}
              {extra.map((m, i) => (
                <MarkShape key={`o${i}`} mark={m} project={v.project} scale={v.scale} />
              ))}
            </g>
            <Centre project={v.project} width={width} />
            {laid.map(({ pin, p }, i) => {
              const small = isSmall(pin)
              const spot = numbers[i]
              return (
                <g
                  key={pin.id}
                  transform={`translate(${p.x.toFixed(1)} ${p.y.toFixed(1)})${small ? ' scale(0.6)' : ''}`}
                  onClick={() => onPick?.(pin.id)}
                  style={{ cursor: 'pointer' }}
                  data-pin={pin.id}
                >
                  <title>{pin.label}</title>
                  {selected === pin.id && <circle r={RING} fill="none" stroke="var(--violet)" strokeWidth="2" />}
                  {pin.shape}
                  {spot && (
                    <text
                      x={spot.x}
                      y={spot.y}
                      textAnchor={spot.anchor}
                      className="mk-figure"
                      style={{ fontSize: 11 }}
                      dominantBaseline="middle"
                      stroke="var(--paper)"
                      strokeWidth="3"
                      paintOrder="stroke"
                    >
                      {pin.number}
                    </text>
                  )}
                </g>
              )
            })}
            <g transform={`translate(0 ${h})`} aria-hidden="true">
              <rect width={width} height={RULE} fill="var(--paper)" stroke="var(--hairline)" />
              {ticks(v.left, v.left + width / v.scale, v.scale, system).map((t) => {
                const x = (t.at - v.left) * v.scale
                return (
                  <g key={t.at}>
                    <line
                      x1={x}
                      x2={x}
                      y1={0}
                      y2={t.weight === 2 ? 11 : t.weight === 1 ? 8 : 5}
                      stroke="var(--ink)"
                      strokeWidth={t.weight === 2 ? 1 : 0.7}
                    />
                    {t.label && x + 3 + t.label.length * DIGIT <= width && (
                      <text x={x + 3} y={19} className="mk-figure" style={{ fontSize: 11 }}>
                        {t.label}
                      </text>
                    )}
                  </g>
                )
              })}
            </g>
          </svg>
        )}
      </div>
      <p className="label pointer-events-none absolute top-0 left-3 text-[13px] leading-10 text-soft">
        {face} · {system === 'mm' ? 'mm' : 'inches'} from the nut
      </p>
      <div className="absolute top-0 left-48 flex max-[600px]:hidden">
        <Tool label="Zoom in" onClick={() => v.zoom(1.4)}>
          <Plus size={16} />
        </Tool>
        <Tool label="Zoom out" onClick={() => v.zoom(1 / 1.4)}>
          <Minus size={16} />
        </Tool>
        {v.zoomed && (
          <Tool label="Whole instrument" onClick={v.reset}>
            <Minimize2 size={15} />
          </Tool>
        )}
        <Tool
          label={stage === 'folded' ? 'Unfold the long view' : 'Fold the long view'}
          onClick={() => setStage(stage === 'folded' ? 'normal' : 'folded')}
        >
          {stage === 'folded' ? <ChevronsUpDown size={16} /> : <ChevronsDownUp size={16} />}
        </Tool>
        <Tool
          label={stage === 'whole' ? 'Back to the bench' : 'Long view over the whole screen'}
          onClick={() => setStage(stage === 'whole' ? 'normal' : 'whole')}
        >
          {stage === 'whole' ? <Minimize2 size={15} /> : <Maximize2 size={15} />}
        </Tool>
      </div>
    </section>
  )
}

function Centre({ project, width }: { project: (p: Point) => Point; width: number }) {
  const y = project({ x: 0, y: 0 }).y
  return <line className="mk mk-line mk-centre" x1={0} x2={width} y1={y} y2={y} aria-hidden="true" opacity={0.55} />
}
