import { DndContext, KeyboardSensor, PointerSensor, closestCenter, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core'
import { SortableContext, horizontalListSortingStrategy, sortableKeyboardCoordinates, useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { coatId, WHOLE, zoneLook, type Coat, type Layer, type StackOf } from '@snug/core'
import { useOpenBuild } from '../../state/buildStore'

/** Narrowest a coat is drawn, and how high the sample stands, px. */
const LEAST = 9
const HIGH = 150
/** A layer is wide enough for its name. */
const NARROWEST = 66

/** Colours of bands that have none of their own: from the wood outwards. */
const BAND: Record<Layer['name'], string> = {
  filler: 'var(--wood-body)',
  dye: '#b9822f',
  sealer: '#efdfb6',
  primer: '#c8c5bb',
  colour: '#8f8f8a',
  sparkle: '#b8b6c8',
  decal: '#d8d2c4',
  top: '#dfecf0',
  wax: '#f4ecd2',
}

/**
 * A zone's film as a core lying on its side: wood at the left, the shine at the right, every coat a stroke that fills when it is laid.
 * Layers are dragged to their place, by hand or by keys.
 */
export function CoreSample({
  of,
  layers,
  coats,
  seen,
  onSee,
  onMove,
}: {
  of: StackOf
  layers: readonly Layer[]
  coats: readonly Coat[]
  seen: number
  onSee: (at: number) => void
  onMove: (from: number, to: number) => void
}) {
  const build = useOpenBuild()
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const thick = layers.reduce((s, l) => s + Math.max(l.film, 1) * l.coats, 0)
  const coatsAll = layers.reduce((s, l) => s + l.coats, 0)
  // To one scale in um, but no coat narrower than can be seen.
  const scale = Math.max(0.6, Math.min(4, (520 - coatsAll * LEAST) / Math.max(thick, 1)))
  const ids = layers.map((l) => l.key)
  const end = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)))
  }
  const wood = zoneLook(build, of === WHOLE ? 'front' : of).wood
  return (
    <div className="px-4 pt-2">
      <p className="label text-[13px] text-soft">
        wood at the left, the shine at the right · a stroke for each coat, filled when it lies · drag a layer to its place
      </p>
      <div className="mt-1 flex items-start overflow-x-auto pb-1">
        <svg width="56" height={HIGH} aria-hidden="true" className="shrink-0">
          <path
            d={`M8 0H56V${HIGH}H8C2 ${HIGH * 0.8} 12 ${HIGH * 0.6} 5 ${HIGH * 0.45}S12 ${HIGH * 0.15} 8 0`}
            className="own-colour"
            fill={wood}
            stroke="var(--ink)"
            strokeWidth="0.7"
          />
          {[0.18, 0.36, 0.54, 0.72, 0.88].map((y) => (
            <path key={y} d={`M9 ${HIGH * y}Q30 ${HIGH * y + 7} 55 ${HIGH * y}`} fill="none" stroke="var(--ink)" opacity="0.28" />
          ))}
        </svg>
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
          <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
            {layers.map((l, i) => (
              <LayerBand
                key={l.key}
                layer={l}
                tint={l.colour ?? BAND[l.name]}
                width={Math.max(LEAST + l.film * scale, NARROWEST / l.coats)}
                laid={Array.from({ length: l.coats }, (_, n) => coatId(of, l.key, n + 1)).map((id) =>
                  coats.some((c) => c.id === id && c.laid !== undefined),
                )}
                selected={i === seen}
                onSee={() => onSee(i)}
              />
            ))}
          </SortableContext>
        </DndContext>
      </div>
    </div>
  )
}

function LayerBand({
  layer,
  tint,
  width,
  laid,
  selected,
  onSee,
}: {
  layer: Layer
  tint: string
  width: number
  laid: readonly boolean[]
  selected: boolean
  onSee: () => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: layer.key })
  const wide = width * layer.coats
  const done = laid.filter(Boolean).length
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-pressed={selected}
      onClick={onSee}
      style={{ transform: CSS.Translate.toString(transform), transition, minWidth: NARROWEST }}
      className="shrink-0 touch-none text-left"
    >
      <svg width={wide} height={HIGH} aria-hidden="true" className="block">
        {laid.map((is, n) => (
          <rect
            key={n}
            x={n * width}
            y="0.5"
            width={width}
            height={HIGH - 1}
            className="own-colour"
            fill={tint}
            fillOpacity={is ? 1 : 0.34}
            stroke={selected ? 'var(--violet)' : 'var(--ink)'}
            strokeWidth={selected ? 1.6 : 0.7}
            {...(is ? {} : { strokeDasharray: '3 3' })}
          />
        ))}
        {laid.map((is, n) => (
          <circle key={n} cx={(n + 0.5) * width} cy={HIGH - 10} r="3.6" fill={is ? 'var(--ink)' : 'none'} stroke="var(--ink)" />
        ))}
      </svg>
      <span
        style={{ width: wide }}
        className={`block pr-1 text-[12px] leading-tight break-words ${selected ? 'text-violet' : 'text-soft'}`}
      >
        {layer.label.replace(/[:,].*/, '')}{' '}
        <span className="figure block">{layer.film ? `${layer.coats} × ${layer.film} µm` : `${layer.coats} ×`}</span>
        <span className="sr-only">
          : {layer.coats} {layer.coats === 1 ? 'coat' : 'coats'}, {done} laid
        </span>
      </span>
    </button>
  )
}
