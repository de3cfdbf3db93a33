import {
  type Build,
  parseGauges,
  printMm,
  gaugeName,
  putOn,
  stringPulls,
  stringsThen,
  tuningOf,
  tuningsFor,
  wantedLength,
  wantedSpan,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { useWhere } from '../../app/where'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice, Field, INPUT } from '../../ui/Field'

/** Another tuning or other strings, thought about before anything is bought or turned: what moves, and what has to be read again. */
export function OtherStrings() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const now = tuningOf(build)
  const all = useMemo(() => tuningsFor(build.strings), [build.strings])
  const [name, setName] = useState(now.name)
  const [text, setText] = useState('')
  const tuning = all.find((t) => t.name === name) ?? now
  const gauges = useMemo(() => (text.trim() ? parseGauges(text, build.strings) : undefined), [text, build.strings])
  const written = gauges?.ok ? gauges.value : undefined
  const retuned = tuning.name !== now.name
  const differs = retuned || written !== undefined
  const then = useMemo(() => (differs ? stringsThen(build, { tuning, ...written }) : undefined), [build, tuning, written, differs])
  const set = stringPulls(build).map((p) => gaugeName(p.gauge))
  const { go } = useWhere()
  const reach = useMemo(() => wants(build), [build])
  return (
    <section aria-label="What if" className="mt-4">
      <h3 className="text-[18px]">What if</h3>
      <Choice label="Tuned otherwise" value={tuning.name} options={all.map((t) => [t.name, t.name] as const)} onChange={setName} />
      <Field
        label="Other strings, the thinnest first"
        error={gauges && !gauges.ok ? gauges.why : undefined}
        hint="thousandths, inches or mm; 24w where it is wound"
      >
        {(p) => <input {...p} className={INPUT} value={text} placeholder={set.join(' ')} onChange={(e) => setText(e.target.value)} />}
      </Field>
      {then && (
        <>
          <table className="mt-2 w-full text-[14px]">
            <caption className="sr-only">Pull of each string, now and then</caption>
            <thead>
              <tr className="text-left text-soft">
                <th>string</th>
                <th className="text-right">now, N</th>
                <th className="text-right">then, N</th>
                <th className="text-right">saddle, mm</th>
              </tr>
            </thead>
            <tbody className="figure">
              {then.strings.map((s) => (
                <tr key={s.number} className="border-t border-hairline">
                  <td>
                    {s.number} {s.note}
                    {written && <span className="text-soft"> {gaugeName(written.gauges[s.number - 1]!)} thou</span>}
                  </td>
                  <td className="text-right">{s.was?.toFixed(1) ?? '–'}</td>
                  <td className="text-right">{s.will.toFixed(1)}</td>
                  <td className="text-right">
                    {s.saddle === undefined
                      ? '–'
                      : Math.abs(s.saddle) < 0.05
                        ? 'stays'
                        : `${Math.abs(s.saddle).toFixed(1)} ${s.saddle > 0 ? 'back' : 'forward'}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {then.says.map((line) => (
            <p key={line} className="mt-1">
              {line}
            </p>
          ))}
          {then.stale.length > 0 && <p className="mt-1 font-semibold">To be read again then: {then.stale.join(', ')}.</p>}
          <Button
            className="mt-2"
            onClick={() => {
              change((b) => putOn(b, { ...(retuned ? { tuning } : {}), ...written }))
              setText('')
            }}
          >
            {written ? (retuned ? 'These go on, and it is tuned so' : 'These strings go on') : 'Tune it so'}
          </Button>
        </>
      )}
      <p className="mt-2 text-[14px] text-soft">
        Slacken all strings evenly before any is cut, eyes covered; on a vibrato the springs let go with the last. Used strings cut short
        may no longer reach their post{reach}.{' '}
        <button type="button" className="underline" onClick={() => go('parts', 'strings')}>
          Enter their lengths
        </button>{' '}
        among the sizes the set may have, and Dry fit judges each.
      </p>
    </section>
  )
}

/** How long strings have to be, once it is known where they run. */
function wants(build: Build): string {
  const span = wantedSpan(build)
  if (!span) return ''
  return `: string ${span.longest.number} wants about ${printMm(wantedLength(span.longest), 0)} mm from ball to end, string ${span.shortest.number} about ${printMm(wantedLength(span.shortest), 0)}`
}
