import { decisionsOf, setDecision, type OpenDecision } from '@snug/core'
import { useMemo, useState, type FormEvent } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { shortDay } from '../../ui/times'
import { newId } from '../../state/newId'

/** Questions still open, each with its options and the step before which it has to be answered; what was chosen keeps its reason. */
export function Decisions() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const change = useBuild((s) => s.change)
  const list = useMemo(() => decisionsOf(build, plan), [build, plan])
  const [question, setQuestion] = useState('')
  const [options, setOptions] = useState('')
  const [before, setBefore] = useState('')
  const open = plan.steps.filter((s) => s.state !== 'done')
  const given = options
    .split(/[,;\n]/)
    .map((o) => o.trim())
    .filter(Boolean)
  const add = (e: FormEvent) => {
    e.preventDefault()
    if (!question.trim() || given.length < 2) return
    change((b) => setDecision(b, newId(), { question: question.trim(), options: given, ...(before ? { before } : {}) }))
    setQuestion('')
    setOptions('')
  }
  return (
    <section className="px-4 py-2" aria-label="Still to decide">
      <h3 className="text-[18px]">Still to decide</h3>
      <ul>
        {list.map((d) => (
          <li key={d.id} className="border-t border-hairline py-2">
            <Asked decision={d} />
          </li>
        ))}
      </ul>
      <details className="mt-1">
        <summary className="min-h-9 cursor-pointer py-1 text-[15px]">Another question</summary>
        <form onSubmit={add} className="mt-1 grid gap-2">
          <Field label="The question">
            {(p) => <input {...p} className={INPUT} maxLength={400} value={question} onChange={(e) => setQuestion(e.target.value)} />}
          </Field>
          <Field label="Its options, with commas between" hint={given.length < 2 ? 'two at least' : given.join(' · ')}>
            {(p) => <input {...p} className={INPUT} value={options} onChange={(e) => setOptions(e.target.value)} />}
          </Field>
          <Field label="To be decided before">
            {(p) => (
              <select {...p} className={INPUT} value={before} onChange={(e) => setBefore(e.target.value)}>
                <option value="">no step</option>
                {open.map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.title}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Button type="submit" className="justify-self-start" disabled={!question.trim() || given.length < 2}>
            Ask it
          </Button>
        </form>
      </details>
    </section>
  )
}

const STATE: Record<OpenDecision['state'], string> = {
  open: 'open',
  soon: 'has to be decided this week',
  chosen: 'decided',
  overtaken: 'its step was done and nobody chose',
}

function Asked({ decision: { id, state, binds, ...decision } }: { decision: OpenDecision }) {
  const change = useBuild((s) => s.change)
  const [reason, setReason] = useState(decision.reason ?? '')
  const { question, options, chosen, before } = decision
  const put = (to: { chosen?: string; reason?: string }) =>
    change((b) =>
      setDecision(b, id, { question, options, ...(before ? { before } : {}), ...to, ...(reason.trim() ? { reason: reason.trim() } : {}) }),
    )
  return (
    <>
      <p className="font-semibold">{question}</p>
      <p className={`text-[14px] ${state === 'soon' || state === 'overtaken' ? 'text-mind' : 'text-soft'}`}>
        {STATE[state]}
        {binds && state !== 'chosen' && `; before: ${binds.title}${binds.date ? `, ${shortDay(binds.date)}` : ''}`}
        {chosen && `: ${chosen}${decision.reason ? `, ${decision.reason}` : ''}`}
      </p>
      {!chosen && (
        <>
          <Field label="Because">
            {(p) => <input {...p} className={INPUT} maxLength={1000} value={reason} onChange={(e) => setReason(e.target.value)} />}
          </Field>
          <div role="group" aria-label={question} className="mt-1 flex flex-wrap gap-2">
            {options.map((o) => (
              <Button key={o} onClick={() => put({ chosen: o })}>
                {o}
              </Button>
            ))}
          </div>
        </>
      )}
      {chosen && (
        <Button look="quiet" onClick={() => put({})}>
          Open again<span className="sr-only">, {question}</span>
        </Button>
      )}
    </>
  )
}
