import { coilSays, pairSays, setCircuit, stagesSay, woundOf, type CoilEntry } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../../state/buildStore'
import { Button } from '../../../ui/Button'
import { Choice, Field, INPUT } from '../../../ui/Field'
import { NumberEntry } from '../../../ui/NumberEntry'
import { Reading } from './Reading'

const FRESH: CoilEntry = { gauge: 42, turns: 8000, turn: 130, winding: 'clockwise', magnet: 'north', read: [] }

/** Coils as they are wound: each against its own sum after every stage, and any two against each other. */
export function Coils() {
  const coils = useOpenBuild().circuit.coils ?? {}
  const change = useBuild((s) => s.change)
  const [name, setName] = useState('')
  const names = Object.keys(coils)
  const keep = (next: Record<string, CoilEntry>, words: string) => change((b) => setCircuit(b, 'coils', next, words))
  const wanted = name.trim()
  return (
    <section>
      <h2 className="text-[22px]">Coils of your own</h2>
      <p>Written down after each stage: a break or a short shows at once, and where it came in.</p>
      {names.map((n) => (
        <Coil
          key={n}
          name={n}
          coil={coils[n]!}
          onChange={(more, words) => keep({ ...coils, [n]: { ...coils[n]!, ...more } }, `${n}: ${words}`)}
          onAway={() => {
            const { [n]: _, ...others } = coils
            keep(others, `Coil ${n} taken out of the log`)
          }}
        />
      ))}
      <form
        className="mt-2 flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (!wanted || coils[wanted]) return
          keep({ ...coils, [wanted]: FRESH }, `Coil ${wanted} begun`)
          setName('')
        }}
      >
        <Field label="A coil, by a name of your own" error={coils[wanted] && wanted ? 'There is a coil of that name.' : undefined}>
          {(props) => <input {...props} className={INPUT} maxLength={30} value={name} onChange={(e) => setName(e.target.value)} />}
        </Field>
        <Button type="submit" disabled={!wanted || coils[wanted] !== undefined}>
          Begin
        </Button>
      </form>
      {names.slice(1).map((n, i) => (
        <p key={n} role="status" className="mt-2 text-[17px]">
          {names[i]} and {n}: {pairSays(woundOf(coils[names[i]!]!), woundOf(coils[n]!))}
        </p>
      ))}
    </section>
  )
}

function Coil({
  name,
  coil,
  onChange,
  onAway,
}: {
  name: string
  coil: CoilEntry
  onChange: (more: Partial<CoilEntry>, words: string) => void
  onAway: () => void
}) {
  const [stage, setStage] = useState('wound')
  const [celsius, setCelsius] = useState(20)
  return (
    <fieldset className="mt-2 border-t border-hairline pt-1">
      <legend className="label text-[16px] font-semibold">{name}</legend>
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry
          label="Wire, American gauge"
          value={coil.gauge}
          from={30}
          to={48}
          onCommit={(gauge) => onChange({ gauge }, `gauge ${gauge}`)}
        />
        <NumberEntry
          label="Turns"
          value={coil.turns}
          from={1}
          to={40000}
          whole
          onCommit={(turns) => onChange({ turns }, `${turns} turns`)}
        />
        <NumberEntry
          label="One turn half way up, mm"
          value={coil.turn}
          from={20}
          to={400}
          onCommit={(turn) => onChange({ turn }, `a turn of ${turn} mm`)}
        />
        <Choice
          label="Wound, seen from its face"
          value={coil.winding}
          options={[
            ['clockwise', 'clockwise'],
            ['counter-clockwise', 'counter-clockwise'],
          ]}
          onChange={(winding) => onChange({ winding }, `wound ${winding}`)}
        />
        <Choice
          label="Its poles draw the needle’s"
          value={coil.magnet}
          options={[
            ['north', 'north end'],
            ['south', 'south end'],
          ]}
          onChange={(magnet) => onChange({ magnet }, `draws the ${magnet} end`)}
        />
        <Field label="Where it goes, and its leads">
          {(props) => (
            <input
              {...props}
              className={INPUT}
              maxLength={60}
              defaultValue={coil.place ?? ''}
              onBlur={(e) => e.target.value !== (coil.place ?? '') && onChange({ place: e.target.value }, e.target.value)}
            />
          )}
        </Field>
      </div>
      <div className="mt-1 grid grid-cols-3 gap-2">
        <Field label="After which stage">
          {(props) => <input {...props} className={INPUT} maxLength={40} value={stage} onChange={(e) => setStage(e.target.value)} />}
        </Field>
        <NumberEntry label="at, °C" value={celsius} from={-10} to={60} onCommit={setCelsius} />
        <Reading
          key={coil.read.length}
          label="It reads"
          value={undefined}
          onRead={(ohm) => onChange({ read: [...coil.read, { stage: stage.trim() || 'read', ohm, celsius }] }, `${stage} read`)}
        />
      </div>
      {stagesSay(coil).map((s) => (
        <p key={s}>{s}</p>
      ))}
      <p className="mt-1 text-[17px]">{coilSays(woundOf(coil))}</p>
      <Button look="quiet" onClick={onAway}>
        Take {name} out of the log
      </Button>
    </fieldset>
  )
}
