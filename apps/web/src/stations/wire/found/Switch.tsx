import { asKnown, nameSwitch, setCircuit, SWITCHES, tableProblems, traitAt, type SwitchTable } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../../state/buildStore'
import { Button } from '../../../ui/Button'
import { Field, INPUT } from '../../../ui/Field'

export function Switch() {
  const [text, setText] = useState(['a b', 'b c', ''])
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const table = tableOf(text)
  const problems = table ? tableProblems(table) : []
  const named = table && !problems.length ? nameSwitch(table) : undefined
  const own = traitAt(build, 'switch', 'contacts')
  const take = () => {
    const known = asKnown(table!, named!)
    const kept = { lugs: [...known.lugs], positions: known.positions.map((p) => ({ pairs: p.map(([a, b]) => ({ a, b })) })) }
    change((b) => setCircuit(b, 'tables', { ...b.circuit.tables, switch: kept }, 'The selector’s contacts, as they were found'))
  }
  return (
    <section>
      <h2 className="text-[22px]">A switch nobody knows</h2>
      <p>Call its lugs a, b, c … Say for each position which beep together: “a b, d e”. The frame stays out of it.</p>
      {text.map((t, i) => (
        <Field key={i} label={`Position ${i + 1}`}>
          {(props) => (
            <input {...props} className={INPUT} value={t} onChange={(e) => setText(text.map((x, j) => (j === i ? e.target.value : x)))} />
          )}
        </Field>
      ))}
      <div className="mt-2 flex gap-2">
        <Button onClick={() => setText([...text, ''])}>Another position</Button>
        <Button look="quiet" disabled={text.length < 2} onClick={() => setText(text.slice(0, -1))}>
          One less
        </Button>
      </div>
      {problems.map((p) => (
        <p key={p} role="alert" className="mt-1 text-wont">
          {p}
        </p>
      ))}
      {table && !problems.length && (
        <div role="status" className="mt-2">
          {named ? (
            <>
              <p className="text-[17px]">
                It is a {SWITCHES[named.name].label}
                {named.turned ? ', its positions counted from the other end' : ''}.
              </p>
              <p className="text-[15px] text-soft">
                {Object.entries(named.lugs)
                  .map(([own, as]) => `${own} is ${as}`)
                  .join(', ')}
                . Lugs that never beep are not used.
              </p>
              {named.name === own && (
                <Button className="mt-1" onClick={take}>
                  The selector is this one
                </Button>
              )}
            </>
          ) : (
            <p>None of the usual ones does this. Measure it again; if it stays so, it goes in by its own table.</p>
          )}
        </div>
      )}
    </section>
  )
}

/** "a b, d e" for each position, as contacts; nothing while no pair is there. */
function tableOf(text: readonly string[]): SwitchTable | undefined {
  const positions = text.map((t) =>
    t
      .split(/[,;]/)
      .map((pair) => pair.trim().split(/\s+/).filter(Boolean))
      .flatMap((group) => group.slice(1).map((b) => [group[0]!, b] as const)),
  )
  const lugs = [...new Set(positions.flat(2))]
  return lugs.length >= 2 ? { label: 'as found', lugs, positions } : undefined
}
