import { LOG_KINDS, setSize, understand, type LogKind } from '@snug/core'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { toast } from 'sonner'
import { api } from '../state/api'
import { useBuild, useOpenBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { Button } from '../ui/Button'
import { INPUT } from '../ui/Field'
import { printSize } from '../ui/SizeField'
import { useWhere } from './where'

const isLogKind = (s: string): s is LogKind => LOG_KINDS.includes(s as LogKind)

/**
 * Writes one entry, tied to what is in hand. Words like "pocket width mouth 56.12 calipers" are understood and offered for filing:
 * then the size is set as well.
 */
export function QuickLog({ onDone }: { onDone?: () => void }) {
  const { id, station, thing } = useWhere()
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const system = usePrefs((p) => p.system)
  const [text, setText] = useState('')
  const [kind, setKind] = useState<LogKind>('note')
  const queries = useQueryClient()
  const filing = text ? understand(build, text, system) : undefined
  const write = useMutation({
    mutationFn: (as: LogKind) =>
      api.addLog(id, {
        kind: as,
        text: text.trim(),
        ...(station && station !== 'log' ? { station } : {}),
        ...(thing && station !== 'log' ? { thing } : {}),
      }),
    onSuccess: async () => {
      setText('')
      await queries.invalidateQueries({ queryKey: ['log', id] })
      onDone?.()
    },
    onError: (e) => toast.error(e.message),
  })
  const file = () => {
    if (!filing) return
    change((b) => setSize(b, filing.ref, filing.size))
    write.mutate('measurement')
  }
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        if (text.trim()) write.mutate(kind)
      }}
    >
      <label htmlFor="quick-log" className="label text-[14px] text-soft">
        What happened{thing && station !== 'log' ? `, about ${thing.replaceAll('-', ' ')}` : ''}
      </label>
      <textarea
        id="quick-log"
        rows={3}
        autoFocus={!!onDone}
        className={`${INPUT} py-1.5`}
        placeholder="pocket width mouth 56.12 calipers"
        value={text}
        maxLength={4000}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && (e.ctrlKey || e.metaKey) && e.currentTarget.form?.requestSubmit()}
      />
      {filing && (
        <p className="mt-1 border-l-4 border-violet bg-wash px-3 py-1.5 text-[14px]">
          Understood: {filing.label}{' '}
          <span className="figure">{printSize(filing.size.value, filing.ref.size.includes('resistance') ? 'ohm' : 'mm', system)}</span>,{' '}
          {filing.size.known}.{' '}
          <Button look="quiet" className="!min-h-8" onClick={file}>
            Write it and set the size
          </Button>
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <select
          aria-label="Kind of entry"
          className={`${INPUT} !w-auto`}
          value={kind}
          onChange={(e) => isLogKind(e.target.value) && setKind(e.target.value)}
        >
          {LOG_KINDS.map((k) => (
            <option key={k}>{k}</option>
          ))}
        </select>
        <Button look="main" type="submit" disabled={!text.trim() || write.isPending}>
          Write it down
        </Button>
        <span className="text-[13px] text-soft">Entries are struck, never deleted.</span>
      </div>
    </form>
  )
}
