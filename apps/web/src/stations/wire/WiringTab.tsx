import {
  counted,
  harnessOf,
  offersOf,
  optionsOf,
  setCircuit,
  setField,
  setTrait,
  soundingDrawing,
  type Build,
  type OptionState,
  type Recipe,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { ThingRow } from '../../ui/ThingRow'
import { Untold } from '../../ui/Untold'
import { WireTabs } from './tabs'

/** Which wiring: each with what it sounds like and what it needs; its choices. */
export function WiringTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const offers = useMemo(() => offersOf(build), [build])
  const made = useMemo(() => harnessOf(build), [build])
  const wire = useBuild((s) => s.evaluation!.wire)
  const drawing = useMemo(
    () => (wire.ok ? soundingDrawing(wire.harness, wire.positions[0]!.id, wire.positions[0]!.topology) : undefined),
    [wire],
  )
  const chosen = made.ok ? made.recipe : offers.find((o) => o.recipe.id === build.circuit.scheme)?.recipe
  const [asked, setAsked] = useState<Recipe>()
  const choose = (r: Recipe) => {
    setAsked(undefined)
    change((b) => setCircuit(b, 'scheme', r.id, `Wiring: ${r.label}`))
  }
  // What was read and heard is of the wiring it was taken on: asked before it is put away.
  const taken = [build.readings, build.circuit.found ?? {}, build.circuit.heard ?? {}].reduce((n, all) => n + Object.keys(all).length, 0)
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
                selected={recipe === (asked ?? chosen)}
                onSelect={() => (taken && recipe !== chosen ? setAsked(recipe) : choose(recipe))}
              />
            ))}
          </ul>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          {asked && (
            <section role="alert" className="border-l-4 border-mind bg-canvas px-3 py-2">
              <h2 className="text-[22px]">{asked.label}</h2>
              <p>{asked.why}</p>
              <p className="mt-1">
                {counted(taken, 'reading or answer', 'readings and answers')} at the jack {taken === 1 ? 'is' : 'are'} of the wiring chosen
                now: another one puts {taken === 1 ? 'it' : 'them'} away, and undo brings {taken === 1 ? 'it' : 'them'} back.
              </p>
              <div className="mt-2 flex gap-2">
                <Button onClick={() => choose(asked)}>Choose this wiring</Button>
                <Button look="quiet" onClick={() => setAsked(undefined)}>
                  Not yet
                </Button>
              </div>
            </section>
          )}
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
