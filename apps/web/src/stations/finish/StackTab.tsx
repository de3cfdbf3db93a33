import {
  CLOSINGS,
  addLayer,
  budgetOf,
  filmState,
  finishDrawing,
  groundOf,
  groupOf,
  insertLayer,
  lockedLayers,
  maskMarks,
  moveLayer,
  moreCoats,
  offersOver,
  resolved,
  setFinish,
  stackFaults,
  stackFor,
  usualSanding,
  WHOLE,
  ZONE_LABEL,
  zoneOf,
  zonesOf,
  zoneStack,
  type FinishResult,
  type StackOf,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { CoreSample } from './CoreSample'
import { LayerInHand } from './LayerInHand'
import { OddsBars } from './OddsBars'
import { Palette } from './Palette'
import { FinishTabs } from './tabs'
import { usePaint } from './usePaint'
import { useStackEdit } from './useStackEdit'
import { day } from '../../ui/times'

/** The chosen zone's stack, layer on layer, what may be laid next, and how far the film is from being cut through. */
export function StackTab({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const stackEdit = useStackEdit()
  const change = useBuild((s) => s.change)
  const paint = usePaint()
  const [of, setOf] = useZone()
  const [seen, setSeen] = useState(0)
  const zone = zoneOf(of)
  const layers = useMemo(() => resolved(build, stackFor(build, of)), [build, of])
  const faults = useMemo(() => stackFaults(groundOf(build, zone), layers, lockedLayers(build, of)), [build, zone, of, layers])
  const offers = useMemo(() => offersOver(build, groundOf(build, zone), layers, lockedLayers(build, of)), [build, zone, of, layers])
  const own = zone ? build.finish.zones?.[zone] : undefined
  const group = zone ? groupOf(finish.groups, zone) : finish.groups.find((g) => g.id === WHOLE)
  const coats = finish.plan?.coats.filter((c) => c.group === (group?.id ?? of)) ?? []
  const state = useMemo(() => filmState(build, zone ?? 'front'), [build, zone])
  const budget = useMemo(() => state && budgetOf(state, usualSanding(state)), [state])
  const drawing = useMemo(() => finishDrawing(build, zone ?? 'front', budget), [build, zone, budget])
  const masked = useMemo(() => (zone === 'neck-back' ? maskMarks(build).filter((m) => m.mark === 'line') : []), [build, zone])
  const at = Math.min(seen, layers.length - 1)
  const hand = layers[at]
  const plan = finish.plan?.groups.find((g) => g.id === group?.id)
  return (
    <Workspace
      paint={paint}
      overlay={masked}
      loupe={drawing}
      listLabel="Stack"
      list={
        <div className="flex min-h-full flex-col">
          <FinishTabs />
          <div role="group" aria-label="Zone" className="flex flex-wrap gap-2 px-4 pt-2">
            {([WHOLE, ...zonesOf(build)] as StackOf[]).map((z) => (
              <button
                key={z}
                type="button"
                aria-pressed={z === of}
                onClick={() => setOf(z)}
                className={`label min-h-9 rounded-full border px-3 text-[14px] ${z === of ? 'border-violet bg-violet/10 text-violet' : 'border-hairline bg-sheet'}`}
              >
                {z === WHOLE ? 'Whole' : ZONE_LABEL[z]}
                {z !== WHOLE && build.finish.zones?.[z] ? (build.finish.zones[z].layers.length ? ' · own' : ' · bare') : ''}
              </button>
            ))}
          </div>
          {zone && (
            <div className="flex flex-wrap items-center gap-2 px-4 pt-1 text-[15px]">
              <span className="text-soft">
                {own ? (own.layers.length ? 'A stack of its own.' : 'Stays bare.') : group ? 'As the whole.' : 'Stays as it is.'}{' '}
                <span className="figure">{finish.area.zones[zone].toFixed(3)}</span> m²
              </span>
              {!own?.layers.length && <Button onClick={() => stackEdit((b) => zoneStack(b, zone, 'own'))}>Give it its own</Button>}
              {!(own && !own.layers.length) && <Button onClick={() => stackEdit((b) => zoneStack(b, zone, 'bare'))}>Leave it bare</Button>}
              {own && <Button onClick={() => stackEdit((b) => zoneStack(b, zone, 'whole'))}>As the whole</Button>}
              {zone === 'neck-back' && own && own.layers.length > 0 && (
                <div className="w-56">
                  <NumberEntry
                    label="Border from the nut, mm: pencil first"
                    value={own.border}
                    from={0}
                    to={1000}
                    onCommit={(border) =>
                      change((b) =>
                        setFinish(b, 'zones', { ...b.finish.zones, 'neck-back': { ...own, border } }, `Border ${border} mm from the nut`),
                      )
                    }
                  />
                </div>
              )}
            </div>
          )}
          {layers.length > 0 && (!zone || own || group) ? (
            <CoreSample
              of={zone && !own ? WHOLE : of}
              layers={layers}
              coats={coats}
              seen={at}
              onSee={setSeen}
              onMove={(from, to) => stackEdit((b) => moveLayer(b, of, from, to))}
            />
          ) : (
            <p className="px-4 py-4">
              {zone && !group
                ? 'Nothing goes on it.'
                : 'Bare wood so far. Lay the first product below, or take a whole finish under Which finish.'}
            </p>
          )}
          {plan && (
            <p className="px-4 pt-1 text-[17px]">
              {plan.allLaid ? 'All coats lie' : `Last coat ${day(plan.lastCoat)}`},{' '}
              <b>
                {CLOSINGS[plan.closing].from} {day(plan.rubOut)}
              </b>
              {plan.allLaid ? ', counted from the last one as it was laid.' : ' if the coats go on as planned.'}
            </p>
          )}
          {finish.trouble && layers.length > 0 && <p className="px-4 pt-1 text-wont">{finish.trouble}</p>}
          {budget && state && (
            <div className="px-4">
              <OddsBars state={state} sanding={budget} more={moreCoats(budget)} />
            </div>
          )}
          {[...finish.problems, ...faults.filter((f) => f.follow !== 'never').map((f) => `${layers[f.at]!.label}: ${f.says}`)].map((p) => (
            <p key={p} className="px-4 pt-1 text-mind">
              {p}
            </p>
          ))}
          <Palette
            offers={offers}
            onLay={(product, byLabel) => {
              if (stackEdit((b) => addLayer(b, of, product, byLabel))) setSeen(layers.length)
            }}
            onLayBefore={(product, at) => {
              if (stackEdit((b) => insertLayer(b, of, product, at))) setSeen(at)
            }}
          />
        </div>
      }
      hand={
        <LayerInHand
          finish={finish}
          of={of}
          at={at}
          layer={hand}
          coats={coats.filter((c) => c.layer === hand?.key)}
          all={finish.plan?.coats ?? []}
        />
      }
    />
  )
}

/** The zone looked at stands in the address. */
function useZone(): [StackOf, (of: StackOf) => void] {
  const build = useOpenBuild()
  const [params, setParams] = useSearchParams()
  const wanted = params.get('zone')
  const of = zonesOf(build).find((z) => z === wanted) ?? WHOLE
  return [
    of,
    (to) =>
      setParams(
        (was) => {
          const next = new URLSearchParams(was)
          if (to === WHOLE) next.delete('zone')
          else next.set('zone', to)
          return next
        },
        { replace: true },
      ),
  ]
}
