import { bodyOutline, datums, tightTurns, type Mark, type PlaceRisk } from '@snug/core'
import { useMemo } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { filmLeft, percent } from './words'

/** Corners are turns tighter than this, mm. */
const CORNER = 30
/** Beside the neck there is room for words, mm from the nut. */
const UNDER_NECK = 230

/** On the instrument: its edge and its corners with what is left there, red where it goes through. */
export function useEdgeMarks(risks: readonly PlaceRisk[] | undefined): Mark[] {
  const build = useOpenBuild()
  return useMemo(() => {
    if (!risks) return []
    const outline = bodyOutline(build, datums(build).mouth)
    const of = (place: PlaceRisk['place']) => risks.find((r) => r.place === place)!
    const role = (chance: number) => (chance < 0.05 ? ('good' as const) : ('remove' as const))
    const [edge, corner, flat] = [of('edge'), of('corner'), of('flat')]
    return [
      { mark: 'line', role: role(edge.chance), points: [...outline, outline[0]!] },
      ...tightTurns(outline, CORNER).map((t): Mark => ({ mark: 'circle', role: role(corner.chance), at: t.at, r: 7 })),
      {
        mark: 'label',
        at: { x: UNDER_NECK, y: 62 },
        text: `flats ${filmLeft(flat.left)} µm, ${percent(flat.chance)} %`,
        anchor: 'middle',
      },
      {
        mark: 'label',
        at: { x: UNDER_NECK, y: 88 },
        text: `edges ${filmLeft(edge.left)} µm, ${percent(edge.chance)} %`,
        anchor: 'middle',
      },
    ]
  }, [build, risks])
}
