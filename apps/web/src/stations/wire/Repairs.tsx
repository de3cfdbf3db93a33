import { repairSays, setCircuit, REPAIR_OUTCOMES, type Hunt, type Repair } from '@snug/core'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { writeDown } from '../../state/logQueue'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { Choice, Field, INPUT } from '../../ui/Field'
import { Toggle } from '../../ui/Toggle'

type Suspect = Hunt['suspects'][number]

/** The fault in hand taken over into the plan, and what each mending changed: one at a time, kept or put back. */
export function Repairs({ suspect }: { suspect: Suspect | undefined }) {
  const { mends = {}, repairs = {} } = useOpenBuild().circuit
  const id = useBuild((s) => s.id)!
  const change = useBuild((s) => s.change)
  const queries = useQueryClient()
  const done = Object.values(repairs)
  const write = (entry: { kind: 'reading' | 'note'; text: string; station: 'wire' }) =>
    void writeDown(id, entry).then(() => queries.invalidateQueries({ queryKey: ['log', id] }))
  const file = (s: Suspect) => {
    const mend = { says: s.says, cure: s.cure, lugs: [...s.at] }
    change((b) => setCircuit(b, 'mends', { ...mends, [s.id]: mend }, `To mend: ${s.says}`))
    write({ kind: 'reading', text: `Found by tests: ${s.says} ${s.cure}`, station: 'wire' })
  }
  const real = suspect && suspect.id !== 'nothing' ? suspect : undefined
  return (
    <section>
      {real && (
        <Button disabled={mends[real.id] !== undefined} onClick={() => file(real)}>
          {mends[real.id] ? 'It is in the plan and the log' : 'That is it: into the plan and the log'}
        </Button>
      )}
      {repairSays(done) && <p className="mt-2 text-mind">{repairSays(done)}</p>}
      <Mended
        key={done.length}
        suspect={real}
        count={done.length}
        onDone={(r) => {
          change((b) => setCircuit(b, 'repairs', { ...repairs, [`r${done.length + 1}`]: r }, `Mended: ${r.what}`))
          write({ kind: 'note', text: `${r.what}: ${r.then}, ${r.kept ? 'kept' : 'put back'}.`, station: 'wire' })
        }}
      />
      {done.length > 0 && (
        <ol className="mt-2 list-decimal pl-6">
          {done.map((r, i) => (
            <li key={i}>
              {r.what}: <b>{r.then}</b>, {r.kept ? 'kept' : 'put back'}
            </li>
          ))}
        </ol>
      )}
    </section>
  )
}

const WORDS: Record<Repair['then'], string> = { gone: 'it is gone', better: 'better', same: 'the same as before', worse: 'worse' }

function Mended({ suspect, count, onDone }: { suspect: Suspect | undefined; count: number; onDone: (r: Repair) => void }) {
  const [what, setWhat] = useState('')
  const [then, setThen] = useState<Repair['then']>('same')
  const [kept, setKept] = useState(true)
  const words = what.trim() || suspect?.cure || ''
  return (
    <details className="mt-2">
      <summary className="label min-h-9 cursor-pointer pt-1.5 text-[16px] font-semibold">
        {count ? 'Something else was mended' : 'Something was mended'}
      </summary>
      <Field label="What was done, one thing at a time">
        {(props) => (
          <input
            {...props}
            className={INPUT}
            maxLength={300}
            value={what}
            placeholder={suspect?.cure ?? ''}
            onChange={(e) => setWhat(e.target.value)}
          />
        )}
      </Field>
      <Choice label="And then it was" value={then} options={REPAIR_OUTCOMES.map((o) => [o, WORDS[o]] as const)} onChange={setThen} />
      <Toggle label="Kept so (otherwise put back as it was)" on={kept} onChange={setKept} />
      <Button disabled={!words} onClick={() => onDone({ on: today(), what: words, lugs: [...(suspect?.at ?? [])], then, kept })}>
        File it
      </Button>
    </details>
  )
}
