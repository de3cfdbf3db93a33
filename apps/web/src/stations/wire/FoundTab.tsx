import {
  asKnown,
  coilSays,
  pairSays,
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
  type WoundCoil,
} from '@snug/core'
import { useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { EntryField } from '../../ui/EntryField'
import { Choice, Field, INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { PrintSheet } from '../../ui/PrintSheet'
import { ThingRow } from '../../ui/ThingRow'
import { WireTabs } from './tabs'

const GUIDES = [
  ['pot', 'A pot without a mark', 'value and taper by two readings'],
  ['switch', 'A switch nobody knows', 'by what beeps in which position'],
  ['leads', 'A pickup’s leads', 'pairs, screen and sums by resistance'],
  ['coil', 'A coil of your own', 'what it should read, shorted turns, a pair that cancels'],
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
          {guide === 'pot' ? <Pot /> : guide === 'switch' ? <Switch /> : guide === 'leads' ? <Leads /> : <Coils />}
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

const WOUND: WoundCoil = { gauge: 42, turns: 8000, turn: 130, winding: 'clockwise', magnet: 'north' }

/** Two coils as they were wound: each against its own sum, and the two against each other. */
function Coils() {
  const [coils, setCoils] = useState<[WoundCoil, WoundCoil]>([WOUND, { ...WOUND, winding: 'counter-clockwise', magnet: 'south' }])
  const set = (i: number, more: Partial<WoundCoil>) =>
    setCoils(coils.map((c, j) => (i === j ? { ...c, ...more } : c)) as [WoundCoil, WoundCoil])
  return (
    <section>
      <h2 className="text-[22px]">A coil of your own</h2>
      <p>Written down after each stage: a break or a short shows at once, and where it came in.</p>
      {coils.map((c, i) => (
        <fieldset key={i} className="mt-2">
          <legend className="label text-[16px] font-semibold">{i ? 'The other coil' : 'One coil'}</legend>
          <div className="grid grid-cols-2 gap-2">
            <NumberEntry label="Wire, American gauge" value={c.gauge} from={30} to={48} onCommit={(gauge) => set(i, { gauge })} />
            <NumberEntry label="Turns" value={c.turns} from={1} to={40000} whole onCommit={(turns) => set(i, { turns })} />
            <NumberEntry label="One turn half way up, mm" value={c.turn} from={20} to={400} onCommit={(turn) => set(i, { turn })} />
            <Reading label="It reads" value={c.ohm} onRead={(ohm) => set(i, { ohm })} />
            <NumberEntry label="at, °C" value={c.celsius ?? 20} from={-10} to={60} onCommit={(celsius) => set(i, { celsius })} />
            <Choice
              label="Wound, seen from its face"
              value={c.winding}
              options={[
                ['clockwise', 'clockwise'],
                ['counter-clockwise', 'counter-clockwise'],
              ]}
              onChange={(winding) => set(i, { winding })}
            />
            <Choice
              label="Its poles draw the needle’s"
              value={c.magnet}
              options={[
                ['north', 'north end'],
                ['south', 'south end'],
              ]}
              onChange={(magnet) => set(i, { magnet })}
            />
          </div>
          <p className="mt-1">{coilSays(c)}</p>
        </fieldset>
      ))}
      <p role="status" className="mt-2 text-[17px]">
        {pairSays(coils[0], coils[1])}
      </p>
    </section>
  )
}
