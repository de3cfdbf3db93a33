import {
  asKnown,
  nameLeads,
  namePot,
  nameSwitch,
  parseReading,
  printOhms,
  setField,
  SWITCHES,
  tableProblems,
  tagSheet,
  traitAt,
  type SwitchTable,
} from '@snug/core'
import { useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { EntryField } from '../../ui/EntryField'
import { Field, INPUT } from '../../ui/Field'
import { PrintSheet } from '../../ui/PrintSheet'
import { ThingRow } from '../../ui/ThingRow'
import { WireTabs } from './tabs'

const GUIDES = [
  ['pot', 'A pot without a mark', 'value and taper by two readings'],
  ['switch', 'A switch nobody knows', 'by what beeps in which position'],
  ['leads', 'A pickup’s leads', 'pairs, screen and sums by resistance'],
] as const
type Guide = (typeof GUIDES)[number][0]

/** What have I got: parts without a mark, named by a meter. */
export default function FoundTab() {
  const build = useOpenBuild()
  const [guide, setGuide] = useState<Guide>('pot')
  return (
    <Workspace
      loupe={undefined}
      listLabel="Guides"
      list={
        <div>
          <WireTabs />
          <ul>
            {GUIDES.map(([id, title, about], i) => (
              <ThingRow key={id} number={i + 1} title={title} about={about} selected={guide === id} onSelect={() => setGuide(id)} />
            ))}
          </ul>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          {guide === 'pot' ? <Pot /> : guide === 'switch' ? <Switch /> : <Leads />}
          <section>
            <h3 className="text-[18px]">Tags</h3>
            <p className="text-[15px] text-soft">Leads that look alike get a flag of tape each before they vanish in the body.</p>
            <PrintSheet sheet={() => tagSheet(build)} label="Print tags" />
          </section>
        </div>
      }
    />
  )
}

function Reading({ label, value, onRead }: { label: string; value: number | undefined; onRead: (ohm: number) => void }) {
  const [error, setError] = useState<string>()
  return (
    <Field label={label} error={error}>
      {({ id }) => (
        <EntryField
          id={id}
          label={label}
          shown={value === undefined ? '' : printOhms(value).replace(' ', '')}
          parse={parseReading}
          onError={setError}
          onCommit={onRead}
        />
      )}
    </Field>
  )
}

function Pot() {
  const [outer, setOuter] = useState<number>()
  const [half, setHalf] = useState<number>()
  return (
    <section>
      <h2 className="text-[22px]">A pot without a mark</h2>
      <p>Nothing soldered to it. Shaft towards you, lugs down: they count from the left. The one with the capacitor on it was a tone.</p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Reading label="Outer lug to outer lug" value={outer} onRead={setOuter} />
        <Reading label="Left lug to the middle one, knob half way" value={half} onRead={setHalf} />
      </div>
      {outer !== undefined && half !== undefined && (
        <p role="status" className="mt-2 text-[17px]">
          {namePot(outer, half).says}
        </p>
      )}
    </section>
  )
}

function Switch() {
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
    change((b) => setField(b, ['circuit', 'tables'], { ...b.circuit.tables, switch: kept }, 'The selector’s contacts, as they were found'))
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

const COLOURS = ['red', 'green', 'white', 'black', 'bare']

function Leads() {
  const [read, setRead] = useState<Record<string, number>>({})
  const pairs = COLOURS.flatMap((a, i) => COLOURS.slice(i + 1).map((b) => ({ a, b })))
  const named = nameLeads(pairs.flatMap(({ a, b }) => (read[`${a} ${b}`] === undefined ? [] : [{ a, b, ohm: read[`${a} ${b}`]! }])))
  return (
    <section>
      <h2 className="text-[22px]">A pickup’s leads</h2>
      <p>
        Every lead against every other: ohms, or OL. Colours are the leads’ own, whatever a sheet says they mean; other colours take the
        nearest name.
      </p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {pairs.map(({ a, b }) => (
          <Reading
            key={`${a} ${b}`}
            label={`${a} to ${b}`}
            value={read[`${a} ${b}`]}
            onRead={(ohm) => setRead({ ...read, [`${a} ${b}`]: ohm })}
          />
        ))}
      </div>
      {Object.keys(read).length > 0 && (
        <div role="status" className="mt-2">
          {named.says.map((s) => (
            <p key={s}>{s}</p>
          ))}
        </div>
      )}
    </section>
  )
}
