import {
  CLOSINGS,
  counted,
  asPGrade,
  budgetOf,
  budgetSays,
  filmState,
  finishDrawing,
  GRITS,
  gritByGrit,
  ladder,
  moreCoats,
  setFinish,
  spotsOf,
  strikeThrough,
  TEXTURES,
  ZONE_LABEL,
  zonesOf,
  FILM_PLACES,
  PLACES_OF_FILM,
  usualSanding,
  type FilmTexture,
  type FinishResult,
  type FinishZone,
  type Sanding,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { Toggle } from '../../ui/Toggle'
import { GritGrid } from './GritGrid'
import { OddsBars } from './OddsBars'
import { SampleOdds } from './SampleOdds'
import { FinishTabs } from './tabs'
import { useEdgeMarks } from './useEdgeMarks'
import { usePaint } from './usePaint'
import { filmLeft, percent } from './words'
import { now } from '../../state/now'
import { today } from '../../state/today'
import { day, moment } from '../../ui/times'
import { newId } from '../../state/newId'

const WET = GRITS.filter((g) => g >= 400)

/** Grits of the wood, section by section; then the film: how close what lies under it is, pass by pass, before and after. */
export default function SandingTab({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const paint = usePaint()
  const [zone, setZone] = useState<FinishZone>('front')
  const scale = build.finish.abrasives
  const state = useMemo(() => filmState(build, zone), [build, zone])
  const usual = useMemo(() => state && usualSanding(state), [state])
  const [chosen, setChosen] = useState<Partial<{ texture: FilmTexture; from: string; to: string; block: boolean }>>({})
  const set = (more: typeof chosen) => setChosen((c) => ({ ...c, ...more }))
  const texture = chosen.texture ?? usual?.texture ?? 'light peel'
  const from = chosen.from ?? String(usual?.grits[0] ?? 1200)
  const to = chosen.to ?? String(usual?.grits.at(-1) ?? 2500)
  const block = chosen.block ?? usual?.block ?? true
  const planned: Sanding = useMemo(
    () => ({ texture, block, grits: Number(from) <= Number(to) ? ladder(Number(from), Number(to)) : [] }),
    [texture, block, from, to],
  )
  const budget = useMemo(() => state && budgetOf(state, planned), [state, planned])
  const drawing = useMemo(() => finishDrawing(build, zone, budget), [build, zone, budget])
  const risks = budget && strikeThrough(budget)
  const overlay = useEdgeMarks(risks)
  const plan = finish.plan?.groups.find((g) => g.id === state?.group.id)
  const soft = plan !== undefined && plan.rubOut > today()
  const log = (through?: (typeof FILM_PLACES)[number]) => {
    const at = now()
    const pass = { at, zone, texture, grits: [...planned.grits], block, ...(through ? { through } : {}) }
    change((b) =>
      setFinish(
        b,
        'passes',
        { ...b.finish.passes, [newId()]: pass },
        through ? `Sanded through at ${PLACES_OF_FILM[through].label}` : `Sanded P${from} to P${to}`,
      ),
    )
    // After levelling the peel is gone: what comes next takes only scratches.
    set({ texture: 'glass' })
  }
  return (
    <Workspace
      paint={paint}
      overlay={overlay}
      loupe={drawing}
      listLabel="Sanding"
      list={
        <div className="flex min-h-full flex-col">
          <FinishTabs />
          <GritGrid />
          {budget && state && risks && (
            <section className="mt-2 border-t border-hairline px-4 pt-2">
              <h3 className="text-[18px]">Grit by grit, on {ZONE_LABEL[zone].toLowerCase()}</h3>
              <table className="w-full text-[15px]">
                <caption className="sr-only">What is left after each grit</caption>
                <thead>
                  <tr className="label text-left text-soft">
                    <th>after</th>
                    <th className="text-right">scratch</th>
                    {FILM_PLACES.map((p) => (
                      <th key={p} className="text-right" colSpan={2}>
                        {PLACES_OF_FILM[p].label}, left
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {gritByGrit(budget).map((g) => (
                    <tr key={g.grit} className="border-t border-hairline">
                      <td>{gritName(g.grit, scale)}</td>
                      <td className="figure text-right">{g.depth.toFixed(0)} µm</td>
                      {FILM_PLACES.map((p) => {
                        const r = g.risks.find((x) => x.place === p)!
                        return [
                          <td key={p} className="figure text-right">
                            {filmLeft(r.left)}
                          </td>,
                          <td key={`${p}%`} className={`figure pl-1 ${r.chance < 0.05 ? 'text-snug' : 'text-wont'}`}>
                            {percent(r.chance)} %
                          </td>,
                        ]
                      })}
                    </tr>
                  ))}
                </tbody>
              </table>
              <OddsBars state={state} sanding={budget} more={moreCoats(budget)} />
              <SampleOdds budget={budget} spots={spotsOf(build)} />
            </section>
          )}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">
            {plan && plan.closing !== 'rub' ? 'Before it is cut at all' : 'Before wet sanding'}: how close is what lies under it?
          </h2>
          <div className="mt-1 grid grid-cols-2 gap-2">
            <Choice label="Zone" value={zone} options={zonesOf(build).map((z) => [z, ZONE_LABEL[z]] as const)} onChange={setZone} />
            <Choice
              label="It looks"
              value={texture}
              options={(Object.keys(TEXTURES) as FilmTexture[]).map((t) => [t, TEXTURES[t].label] as const)}
              onChange={(t) => set({ texture: t })}
            />
            <Choice
              label="Begin with"
              value={from}
              options={WET.map((g) => [String(g), gritName(g, scale)] as const)}
              onChange={(g) => set({ from: g })}
            />
            <Choice
              label="End with"
              value={to}
              options={WET.map((g) => [String(g), gritName(g, scale)] as const)}
              onChange={(g) => set({ to: g })}
            />
          </div>
          <Toggle label="With a block (fingers alone otherwise)" on={block} onChange={(b) => set({ block: b })} />
          <Choice
            label="My sheets are marked"
            value={scale ?? ''}
            options={[
              ['', 'not said: P is taken'],
              ['P', 'with a P'],
              ['unmarked', 'with a number alone'],
            ]}
            onChange={(v) => change((b) => setFinish(b, 'abrasives', v || undefined, 'How sheets are marked'))}
          />
          {state ? (
            <>
              <p className="mt-2 text-[15px] text-soft">
                {state.coats.laid
                  ? `${state.coats.laid} of ${counted(state.coats.planned, 'coat')} ${state.coats.laid === 1 ? 'lies' : 'lie'}`
                  : `${counted(state.coats.planned, 'coat')} as planned`}
                , {state.film.toFixed(0)} µm each, over {state.under}
                {state.passes.length ? `; ${state.passes.length} ${state.passes.length === 1 ? 'pass' : 'passes'} taken off already` : ''}.
              </p>
              {plan && plan.closing !== 'rub' && (
                <p className="mt-1">
                  {state.clear.at(-1)!.label} leaves no film to level: {CLOSINGS[plan.closing].title.toLowerCase()}. What is cut here only
                  takes off what is rough.
                </p>
              )}
              {budget && (
                <p className="mt-1 font-semibold">
                  {planned.grits.length ? budgetSays(budget) : 'Begin with a coarser grit than you end with.'}
                </p>
              )}
              {soft && plan && (
                <p className="mt-1 text-wont">
                  Not before {day(plan.rubOut)}: soft film tears, sinks and prints. A thumbnail must leave no mark and it must smell of
                  nothing.
                </p>
              )}
              <Toggle
                label="Nobody counted the coats"
                on={build.finish.uncounted !== undefined}
                onChange={(on) =>
                  change((b) =>
                    setFinish(
                      b,
                      'uncounted',
                      on ? { from: Math.max(1, state.coats.planned - 1), to: state.coats.planned + 1 } : undefined,
                      'Coats counted or not',
                    ),
                  )
                }
              />
              {build.finish.uncounted && (
                <div className="grid grid-cols-2 gap-2">
                  <NumberEntry
                    label="At least"
                    value={build.finish.uncounted.from}
                    from={0}
                    to={build.finish.uncounted.to}
                    whole
                    onCommit={(v) => change((b) => setFinish(b, 'uncounted', { ...b.finish.uncounted!, from: v }, `At least ${v} coats`))}
                  />
                  <NumberEntry
                    label="At most"
                    value={build.finish.uncounted.to}
                    from={build.finish.uncounted.from}
                    to={60}
                    whole
                    onCommit={(v) => change((b) => setFinish(b, 'uncounted', { ...b.finish.uncounted!, to: v }, `At most ${v} coats`))}
                  />
                </div>
              )}
              <h3 className="mt-3 text-[18px]">What was really sanded</h3>
              {plan?.closing === 'rub' && !build.steps['seal-holes']?.done && (
                <p className="text-mind">
                  Holes are not ticked as sealed: water creeps into bare ones, the wood swells and the film cracks round them.
                </p>
              )}
              <div className="mt-1 flex flex-wrap gap-2">
                <Button disabled={!planned.grits.length} onClick={() => log()}>
                  Sanded so, nothing shows
                </Button>
                {FILM_PLACES.map((p) => (
                  <Button key={p} onClick={() => log(p)}>
                    Through at {PLACES_OF_FILM[p].label}
                  </Button>
                ))}
              </div>
              {state.passes.map((p) => (
                <p key={p.id} className="mt-1 text-[15px]">
                  {moment(p.at)}: {p.grits.map((g) => gritName(g, scale)).join(', ')}, {p.block ? 'block' : 'fingers'}
                  {p.through ? <b className="text-wont">, through at {PLACES_OF_FILM[p.through].label}</b> : ''}{' '}
                  <Button
                    look="quiet"
                    aria-label={`Not sanded: ${moment(p.at)}`}
                    onClick={() => {
                      const { [p.id]: _, ...others } = build.finish.passes ?? {}
                      change((b) => setFinish(b, 'passes', others, 'A pass not sanded after all'))
                    }}
                  >
                    Not sanded
                  </Button>
                </p>
              ))}
              {state.through.length > 0 && <p className="mt-1 text-mind">The ways back, with their time and cost, stand under Trouble.</p>}
            </>
          ) : (
            <p className="mt-2">Nothing on this zone is sanded as a film.</p>
          )}
          <p className="mt-2 text-[15px] text-soft">
            Hardly any water, a drop of soap. Edges last and least, with fingers; flats with the block.
          </p>
        </div>
      }
    />
  )
}

const UNMARKED = [220, 320, 400, 600, 1000] as const

/** A grit as it stands on the person's sheets: by the other scale its number differs. */
function gritName(p: number, scale: 'P' | 'unmarked' | undefined): string {
  const other = scale === 'unmarked' ? UNMARKED.find((n) => asPGrade(n, 'unmarked') === p) : undefined
  return other === undefined ? `P${p}` : `${other} (P${p})`
}
