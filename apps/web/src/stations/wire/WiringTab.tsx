import {
  harnessDrawing,
  harnessOf,
  lugName,
  lugsOf,
  offersOf,
  optionsOf,
  setField,
  setTrait,
  wireKey,
  wireProblem,
  type Build,
  type Harness,
  type OptionState,
  type Recipe,
  type WireEdit,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice, Field, INPUT } from '../../ui/Field'
import { ThingRow } from '../../ui/ThingRow'
import { Untold } from '../../ui/Untold'
import { WireTabs } from './tabs'

/** Which wiring: each with what it sounds like and what it needs; its choices; and wires changed by hand. */
export function WiringTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const offers = useMemo(() => offersOf(build), [build])
  const made = useMemo(() => harnessOf(build), [build])
  const [seen, setSeen] = useState<'solder' | 'playing'>('solder')
  const drawing = useMemo(() => (made.ok ? harnessDrawing(made.harness, {}, seen) : undefined), [made, seen])
  const chosen = made.ok ? made.recipe : offers.find((o) => o.recipe.id === build.circuit.scheme)?.recipe
  const choose = (r: Recipe) => change((b) => setField(b, ['circuit', 'scheme'], r.id, `Wiring: ${r.label}`))
  return (
    <Workspace
      loupe={drawing}
      listLabel="Wirings"
      list={
        <div className="flex h-full flex-col">
          <WireTabs />
          <ul className="min-h-0 flex-1 overflow-auto">
            {offers.map(({ recipe, lacks }) => (
              <ThingRow
                key={recipe.id}
                title={recipe.label}
                about={lacks ? `Not with these parts: ${lacks}.` : recipe.why}
                figure={recipe === chosen ? 'chosen' : ''}
                selected={recipe === chosen}
                onSelect={() => choose(recipe)}
              />
            ))}
          </ul>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          <section>
            <h2 className="text-[22px]">{chosen?.label ?? 'Choose a wiring'}</h2>
            {chosen && <p>{chosen.why}</p>}
            {!made.ok && made.says && (
              <p role="status" className="text-wont">
                {made.says}
              </p>
            )}
            {!made.ok && <Untold refs={made.untold} onSay={(ref, said) => change((b) => setTrait(b, ref.slot, ref.trait, said))} />}
            {made.ok &&
              made.notes.map((n) => (
                <p key={n} className="text-mind">
                  {n}
                </p>
              ))}
          </section>
          {chosen && <Options build={build} recipe={chosen} />}
          {made.ok && (
            <>
              <div className="max-w-64">
                <Choice
                  label="Harness seen"
                  value={seen}
                  options={[
                    ['solder', 'from the solder side'],
                    ['playing', 'from the playing side'],
                  ]}
                  onChange={setSeen}
                />
              </div>
              <ByHand harness={made.harness} edits={build.circuit.edits ?? {}} />
            </>
          )}
        </div>
      }
    />
  )
}

function Options({ build, recipe }: { build: Build; recipe: Recipe }) {
  const change = useBuild((s) => s.change)
  const states = optionsOf(build, recipe)
  const set = ({ spec }: OptionState, id: string) =>
    change((b) => setField(b, ['circuit', 'options', spec.id], id, `${spec.label}: ${spec.choices.find(([c]) => c === id)?.[1] ?? id}`))
  return (
    <section>
      <h3 className="text-[18px]">What it leaves open</h3>
      <div className="grid grid-cols-1 gap-2">
        {states.map((state) => (
          <Field
            key={state.spec.id}
            label={state.spec.label}
            hint={[state.spec.why, ...new Set(Object.values(state.lacks))].map((s, i) => (i ? ` Not all of it: ${s}.` : s))}
          >
            {(props) => (
              <select {...props} className={INPUT} value={state.chosen} onChange={(e) => set(state, e.target.value)}>
                {state.spec.choices.map(([id, words]) => (
                  <option key={id} value={id} disabled={state.lacks[id] !== undefined}>
                    {words}
                  </option>
                ))}
              </select>
            )}
          </Field>
        ))}
      </div>
    </section>
  )
}

/** Wires taken away and added, lug by lug; results follow at once. */
function ByHand({ harness, edits }: { harness: Harness; edits: Record<string, WireEdit> }) {
  const change = useBuild((s) => s.change)
  const [from, setFrom] = useState('')
  const [to, setTo] = useState('')
  const lugs = harness.components.flatMap(lugsOf).map((l): [string, string] => [l, lugName(harness, l)])
  const problem = from && to ? wireProblem(harness, from, to) : undefined
  const keep = (key: string, edit: WireEdit | undefined, label: string) => {
    const next = { ...edits }
    if (edit) next[key] = edit
    else delete next[key]
    change((b) => setField(b, ['circuit', 'edits'], JSON.parse(JSON.stringify(next)), label))
  }
  const words = (a: string, b: string) => `${lugName(harness, a)} to ${lugName(harness, b)}`
  return (
    <section>
      <h3 className="text-[18px]">Changed by hand</h3>
      <p className="text-[15px] text-soft">For a sheet that came with the parts, or a circuit as it was found: joint by joint.</p>
      <div className="grid grid-cols-2 gap-2">
        <Choice label="From" value={from} options={[['', 'a lug'], ...lugs]} onChange={setFrom} />
        <Choice label="To" value={to} options={[['', 'a lug'], ...lugs]} onChange={setTo} />
      </div>
      {problem && (
        <p role="alert" className="text-wont">
          {problem}
        </p>
      )}
      <Button
        className="mt-2"
        disabled={!from || !to || problem !== undefined}
        onClick={() => {
          keep(wireKey(from, to), { is: 'added', from, to, role: 'signal' }, `Wire added: ${words(from, to)}`)
          setFrom('')
          setTo('')
        }}
      >
        Add this wire
      </Button>
      {Object.keys(edits).length > 0 && (
        <ul className="mt-2">
          {Object.entries(edits).map(([key, e]) => (
            <li key={key} className="flex items-center justify-between gap-2 border-t border-hairline py-1">
              <span>
                {e.is === 'cut' ? 'taken away' : 'added'}: {words(e.from, e.to)}
              </span>
              <Button look="quiet" onClick={() => keep(key, undefined, `As it was: ${words(e.from, e.to)}`)}>
                As it was
              </Button>
            </li>
          ))}
        </ul>
      )}
      <details className="mt-2">
        <summary className="label min-h-9 cursor-pointer pt-1.5 text-[16px] font-semibold">Take a wire away</summary>
        <ul>
          {harness.wires
            .filter((w) => !w.inside && edits[wireKey(w.from, w.to)]?.is !== 'added')
            .map((w) => (
              <li key={wireKey(w.from, w.to)} className="flex items-center justify-between gap-2 border-t border-hairline py-0.5">
                <span>{words(w.from, w.to)}</span>
                <Button
                  look="quiet"
                  aria-label={`Take away ${words(w.from, w.to)}`}
                  onClick={() =>
                    keep(
                      wireKey(w.from, w.to),
                      { is: 'cut', from: w.from, to: w.to, role: w.role },
                      `Wire taken away: ${words(w.from, w.to)}`,
                    )
                  }
                >
                  away
                </Button>
              </li>
            ))}
        </ul>
      </details>
    </section>
  )
}
