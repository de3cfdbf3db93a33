import { lugName, lugsOf, nameLeads, setCircuit } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../../state/buildStore'
import { Field, INPUT } from '../../../ui/Field'
import { useHarness } from '../useHarness'
import { Reading } from './Reading'

/** A pickup's leads named by ohms from each to each, under the colours they have. */
export function Leads() {
  const [text, setText] = useState('red, green, white, black, bare')
  const [read, setRead] = useState<Record<string, number>>({})
  const colours = [
    ...new Set(
      text
        .split(/[,;]/)
        .map((c) => c.trim())
        .filter(Boolean),
    ),
  ].slice(0, 6)
  const pairs = colours.flatMap((a, i) => colours.slice(i + 1).map((b) => ({ a, b })))
  const named = nameLeads(pairs.flatMap(({ a, b }) => (read[`${a} ${b}`] === undefined ? [] : [{ a, b, ohm: read[`${a} ${b}`]! }])))
  return (
    <section>
      <h2 className="text-[22px]">A pickup’s leads</h2>
      <p>Every lead against every other: ohms, or OL. Colours are the leads’ own, whatever a sheet says they mean.</p>
      <Field label="Its leads, by their colours">
        {(props) => <input {...props} className={INPUT} maxLength={80} value={text} onChange={(e) => setText(e.target.value)} />}
      </Field>
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
      <LeadMap />
    </section>
  )
}

/** Which colour comes from which end of which coil: the wire list, the tags and the sheets speak of it from then on. */
function LeadMap() {
  const harness = useHarness()
  const leads = useOpenBuild().circuit.leads ?? {}
  const change = useBuild((s) => s.change)
  if (!harness) return null
  const ends = harness.components.filter((c) => c.is === 'coil').flatMap(lugsOf)
  const keep = (lug: string, colour: string) => {
    const { [lug]: _, ...others } = leads
    const name = colour.trim().toLowerCase()
    if ((leads[lug] ?? '') === name) return
    change((b) =>
      setCircuit(b, 'leads', name ? { ...others, [lug]: name } : others, `${lugName(harness, lug)}: ${name || 'no colour noted'}`),
    )
  }
  return (
    <>
      <h3 className="mt-3 text-[18px]">The leads of this build</h3>
      <div className="grid grid-cols-2 gap-2">
        {ends.map((lug) => (
          <Field key={`${lug} ${leads[lug] ?? ''}`} label={lugName(harness, lug)}>
            {(props) => (
              <input
                {...props}
                className={INPUT}
                maxLength={20}
                defaultValue={leads[lug] ?? ''}
                onBlur={(e) => keep(lug, e.target.value)}
              />
            )}
          </Field>
        ))}
      </div>
    </>
  )
}
