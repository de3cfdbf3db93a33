import { ZONE_LABEL, zoneLook, type FinishZone } from '@snug/core'
import { useMemo } from 'react'
import { useOpenBuild } from '../../state/buildStore'

const STEPS = 40

/** A zone from its edge inwards, in the colours it will have, over a rule in millimetres. */
export function FadeStrip({ zone }: { zone: FinishZone }) {
  const build = useOpenBuild()
  const look = useMemo(() => zoneLook(build, zone), [build, zone])
  const wide = Math.max(look.fade * 1.4, 60)
  const at = (i: number) => (i / STEPS) * wide
  return (
    <figure className="flex h-full flex-col px-4 py-2">
      <figcaption className="label text-[13px] text-soft">
        <b className="text-ink">{ZONE_LABEL[zone]}, from its edge inwards</b> · on its own wood
      </figcaption>
      <svg
        viewBox="0 0 400 150"
        // What is shown is a colour, whatever colours the system has.
        data-shows-colour
        className="mt-1 min-h-0 flex-1"
        role="img"
        aria-label={`${ZONE_LABEL[zone]}: ${look.at(0)} at the edge, ${look.at(wide)} inside`}
      >
        {Array.from({ length: STEPS }, (_, i) => (
          <rect key={i} x={i * 10} y="6" width="10.4" height="104" fill={look.at(at(i + 0.5))} />
        ))}
        <rect x="0" y="6" width="400" height="104" fill="none" stroke="var(--ink)" />
        {[0, 0.25, 0.5, 0.75, 1].map((t) => (
          <text
            key={t}
            x={t * 400}
            y="130"
            className="mk-figure"
            textAnchor={t === 0 ? 'start' : t === 1 ? 'end' : 'middle'}
            style={{ fontSize: 13 }}
          >
            {Math.round(t * wide)}
          </text>
        ))}
        <text x="200" y="147" textAnchor="middle" className="mk-text" style={{ fontSize: 12 }}>
          mm from the edge
        </text>
      </svg>
      {look.unnamed.length > 0 && (
        <p className="text-[14px] text-mind">No colour is said yet for: {look.unnamed.join(', ').toLowerCase()}.</p>
      )}
    </figure>
  )
}
