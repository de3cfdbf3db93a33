import {
  areaToCoat,
  burstOrder,
  colourWanted,
  potOf,
  setFinish,
  setLayer,
  stackFor,
  resolved,
  WHOLE,
  ZONE_LABEL,
  zoneLook,
  zonesOf,
  type ColourMix,
  type StackOf,
  OVERSPRAY,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice, Field, INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { ThingRow } from '../../ui/ThingRow'
import { FadeStrip } from './FadeStrip'
import { LookSheet } from './LookSheet'
import { FinishTabs } from './tabs'
import { usePaint } from './usePaint'
import { useStackEdit } from './useStackEdit'
import { newId } from '../../state/newId'

/** The colours as they will look on the instrument, layer by layer; mixing them. */
export default function ColourTab() {
  const build = useOpenBuild()
  const paint = usePaint()
  const tinted = useMemo(
    () =>
      ([WHOLE, ...zonesOf(build).filter((z) => build.finish.zones?.[z])] as StackOf[]).flatMap((of) =>
        resolved(build, stackFor(build, of)).map((layer, at) => ({ of, at, layer, id: `${of}/${layer.key}` })),
      ),
    [build],
  )
  const [seen, setSeen] = useState<string>()
  const first = tinted.find((t) => t.layer.name === 'colour' || t.layer.name === 'dye') ?? tinted[0]
  const hand = tinted.find((t) => t.id === seen) ?? first
  return (
    <Workspace
      paint={paint}
      loupe={<FadeStrip zone={hand && hand.of !== WHOLE ? hand.of : 'front'} />}
      listLabel="Colours"
      list={
        <div className="flex min-h-full flex-col">
          <FinishTabs />
          {tinted.length ? (
            <ul>
              {tinted.map((t) => (
                <ThingRow
                  key={t.id}
                  mark={<Swatch colour={t.layer.colour} />}
                  title={t.layer.label}
                  about={`${t.of === WHOLE ? 'whole' : ZONE_LABEL[t.of]}${t.layer.burst === undefined ? '' : ` · burst, ${t.layer.burst} mm from the edge`}`}
                  figure={
                    t.layer.colour ? `${t.layer.strength ?? 100} %` : t.layer.opaque || t.layer.name === 'dye' ? 'no colour yet' : 'clear'
                  }
                  selected={t.id === hand?.id}
                  onSelect={() => setSeen(t.id)}
                />
              ))}
            </ul>
          ) : (
            <p className="p-4">Nothing is laid yet: a colour is a layer of the stack. Put it together under Stack.</p>
          )}
          <ZoneSwatches />
          <Recipe />
        </div>
      }
      hand={
        <div>
          {hand ? <LayerColour key={hand.id} of={hand.of} at={hand.at} /> : null}
          <Mixing />
          <LookSheet />
        </div>
      }
    />
  )
}

const Swatch = ({ colour }: { colour: string | undefined }) => (
  <span
    aria-hidden="true"
    className="inline-block size-6 rounded border border-hairline"
    style={colour ? { background: colour } : { background: 'repeating-linear-gradient(45deg,transparent 0 4px,var(--hairline) 4px 5px)' }}
  />
)

/** Each zone as it will look: at the edge and in the middle. */
function ZoneSwatches() {
  const build = useOpenBuild()
  const looks = useMemo(() => zonesOf(build).map((z) => zoneLook(build, z)), [build])
  return (
    <div className="flex flex-wrap gap-3 px-4 pt-3">
      {looks.map((l) => (
        <figure key={l.zone} className="w-20 text-center text-[13px]">
          <div
            className="h-10 rounded border border-hairline"
            style={{ background: l.fade ? `linear-gradient(90deg, ${l.at(0)}, ${l.at(l.fade)})` : l.at(0) }}
          />
          <figcaption>{ZONE_LABEL[l.zone]}</figcaption>
        </figure>
      ))}
    </div>
  )
}

function LayerColour({ of, at }: { of: StackOf; at: number }) {
  const build = useOpenBuild()
  const stackEdit = useStackEdit()
  const layer = resolved(build, stackFor(build, of))[at]
  if (!layer) return null
  const put = (to: Parameters<typeof setLayer>[3], says: string) => stackEdit((b) => setLayer(b, of, at, to, `${layer.label}: ${says}`))
  return (
    <section>
      <h2 className="text-[23px]">{layer.label}</h2>
      <p className="text-[15px] text-soft">
        {layer.opaque
          ? 'Opaque: it hides what is under it, three quarters with each coat.'
          : 'Transparent: light goes through it to the wood and back, more is taken with each coat.'}
      </p>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <Field label="Colour">
          {(p) => (
            <input
              {...p}
              type="color"
              className="h-10 w-full rounded border border-hairline bg-sheet"
              value={layer.colour ?? '#8f8f8a'}
              onChange={(e) => put({ colour: e.target.value }, e.target.value)}
            />
          )}
        </Field>
        <NumberEntry
          label="Strength, %"
          value={layer.strength ?? 100}
          from={0}
          to={100}
          onCommit={(strength) => put({ strength }, `${strength} %`)}
        />
        <Choice
          label="Where"
          value={layer.burst === undefined ? 'all' : 'burst'}
          options={[
            ['all', 'all over'],
            ['burst', 'a burst from the edge'],
          ]}
          onChange={(v) => put({ burst: v === 'burst' ? 70 : undefined }, v === 'burst' ? 'burst' : 'all over')}
        />
        {layer.burst !== undefined && (
          <NumberEntry
            label="Fades out over, mm"
            value={layer.burst}
            from={1}
            to={300}
            onCommit={(burst) => put({ burst }, `burst ${burst} mm`)}
          />
        )}
      </div>
      {layer.colour && (
        <Button look="quiet" onClick={() => put({ colour: undefined, strength: undefined }, 'no colour')}>
          No colour in it
        </Button>
      )}
      <p className="mt-1 text-[13px] text-soft">A preview on sanded wood by daylight, not a promise: the test board decides.</p>
    </section>
  )
}

/** The order of a burst, light to dark, with what each colour takes. */
function Recipe() {
  const { zones, steps } = burstOrder(useOpenBuild())
  if (!steps.length) return null
  return (
    <section className="px-4 py-3">
      <h3 className="label font-semibold">In this order, for {zones.map((z) => ZONE_LABEL[z].toLowerCase()).join(', ')}</h3>
      <ol className="list-decimal pl-5">
        {steps.map((o, i) => (
          <li key={i}>{o.says}</li>
        ))}
      </ol>
    </section>
  )
}

const EMPTY: ColourMix = { name: 'Mix', parts: [{ name: 'colour', parts: 1 }], thin: 0 }

/** Parts to millilitres, thinned by so many percent of the paint. */
function Mixing() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const mixes = Object.entries(build.finish.mixes ?? {})
  const [ready, setReady] = useState(100)
  const wanted = Math.round(colourWanted(areaToCoat(build), 2))
  const put = (id: string, mix: ColourMix | undefined, says: string) => {
    const { [id]: _, ...others } = build.finish.mixes ?? {}
    change((b) => setFinish(b, 'mixes', mix ? { ...b.finish.mixes, [id]: mix } : others, says))
  }
  return (
    <section className="mt-4">
      <h3 className="text-[18px]">Mixing</h3>
      <NumberEntry label="Ready to use, ml" value={ready} from={1} to={5000} onCommit={setReady} />
      <p className="text-[14px] text-soft">
        Two sprayed coats over both faces and the rim take about {wanted} ml; some {Math.round(100 * OVERSPRAY)} % of that is overspray.
      </p>
      {mixes.map(([id, mix]) => {
        const pot = potOf(mix, ready)
        return (
          <div key={id} className="mt-2 border-t border-hairline pt-2">
            <div className="grid grid-cols-2 gap-2">
              <Field label="Name">
                {(p) => (
                  <input
                    {...p}
                    className={INPUT}
                    defaultValue={mix.name}
                    maxLength={60}
                    onBlur={(e) =>
                      e.target.value.trim() &&
                      e.target.value !== mix.name &&
                      put(id, { ...mix, name: e.target.value.trim() }, 'A mix renamed')
                    }
                  />
                )}
              </Field>
              <NumberEntry
                label="Thinned by, % of the paint"
                value={mix.thin}
                from={0}
                to={2000}
                onCommit={(thin) => put(id, { ...mix, thin }, `${mix.name}: thinned by ${thin} %`)}
              />
            </div>
            {mix.parts.map((part, i) => {
              const set = (to: Partial<(typeof mix.parts)[number]>) => {
                const parts = mix.parts.map((x, n) => (n === i ? { ...x, ...to } : x))
                put(id, { ...mix, parts }, `${mix.name}: ${to.name ?? part.name}`)
              }
              return (
                <div key={i} className="mt-1 grid grid-cols-[2fr_1fr_auto] items-end gap-2">
                  <Field label={`Colour ${i + 1}`}>
                    {(p) => (
                      <input
                        {...p}
                        className={INPUT}
                        defaultValue={part.name}
                        maxLength={60}
                        onBlur={(e) => e.target.value.trim() && e.target.value !== part.name && set({ name: e.target.value.trim() })}
                      />
                    )}
                  </Field>
                  <NumberEntry label="Parts" value={part.parts} from={0} to={1000} onCommit={(parts) => set({ parts })} />
                  <Button
                    look="quiet"
                    aria-label={`Out with colour ${i + 1}`}
                    disabled={mix.parts.length < 2}
                    onClick={() => put(id, { ...mix, parts: mix.parts.filter((_, n) => n !== i) }, `${mix.name}: a colour less`)}
                  >
                    Out
                  </Button>
                </div>
              )
            })}
            <p className="mt-1">{pot ? <b>{pot.says}</b> : 'No part has an amount yet.'}</p>
            <Button
              look="quiet"
              onClick={() =>
                put(
                  id,
                  { ...mix, parts: [...mix.parts, { name: `colour ${mix.parts.length + 1}`, parts: 1 }] },
                  `${mix.name}: a colour more`,
                )
              }
            >
              One colour more
            </Button>
            <Button look="quiet" onClick={() => put(id, undefined, `${mix.name} thrown away`)}>
              Throw the mix away
            </Button>
          </div>
        )
      })}
      <Button
        className="mt-2"
        disabled={mixes.length >= 12}
        onClick={() => put(newId(), { ...EMPTY, name: `Mix ${mixes.length + 1}` }, 'A mix begun')}
      >
        A mix
      </Button>
    </section>
  )
}
