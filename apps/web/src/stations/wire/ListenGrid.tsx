import { positionWords } from './positionWords'
import { GAIN_WORDS, listeningSheet, setCircuit, type Gain, type Harness, type Heard } from '@snug/core'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Choice } from '../../ui/Field'

const NEXT: Record<string, Heard | undefined> = { '': 'good', good: 'bad', bad: undefined }
const SIGN: Record<string, string> = { '': '·', good: '✓', bad: '✗' }
const WORD: Record<string, string> = { '': 'not tried', good: 'as it should be', bad: 'not as it should be' }

/** Position by position, control by control: heard or not yet. A press goes on from not tried to good to bad. */
export function ListenGrid({ harness }: { harness: Harness }) {
  const { circuit } = useOpenBuild()
  const change = useBuild((s) => s.change)
  const sheet = useMemo(() => listeningSheet(harness, circuit), [harness, circuit])
  const set = (key: string, to: Heard | undefined) => {
    const { [key]: _, ...others } = circuit.heard ?? {}
    change((b) => setCircuit(b, 'heard', to ? { ...others, [key]: to } : others, `Position ${key}: ${WORD[to ?? '']}`))
  }
  return (
    <section className="p-3">
      <div className="max-w-sm">
        <Choice<Gain | ''>
          label="Amplifier"
          value={circuit.gain ?? ''}
          options={[['', 'not noted'], ...Object.entries(GAIN_WORDS)] as [Gain | '', string][]}
          onChange={(gain) => change((b) => setCircuit(b, 'gain', gain || undefined, 'The amplifier it was listened to with'))}
        />
      </div>
      <p role="status" className="my-2">
        {sheet.says}
      </p>
      <div className="overflow-x-auto">
        <table className="text-[14px]">
          <caption className="sr-only">What is heard, by position and control</caption>
          <thead>
            <tr className="label text-left text-soft">
              <th className="pr-2">position</th>
              {sheet.controls.map((c) => (
                <th key={c} className="px-1 font-medium">
                  {c}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.rows.map((r) => (
              <tr key={r.id} className="border-t border-hairline">
                <th className="figure pr-2 text-left">{r.id || 'all'}</th>
                {r.cells.map((c) => (
                  <td key={c.key} className="px-1 py-0.5">
                    <button
                      type="button"
                      className={`min-h-11 w-full min-w-24 rounded border border-hairline px-2 text-left text-[13px] leading-tight ${c.heard === 'bad' ? 'text-wont' : c.heard ? 'text-snug' : 'text-soft'}`}
                      aria-label={`${SIGN[c.heard ?? '']} ${c.expect}: ${positionWords(r.id)}, ${c.control}, ${WORD[c.heard ?? '']}`}
                      onClick={() => set(c.key, NEXT[c.heard ?? ''])}
                    >
                      <b>{SIGN[c.heard ?? '']}</b> {c.expect}
                    </button>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
