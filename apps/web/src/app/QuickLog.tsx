import { heardAs, knownWord, LOG_KINDS, specAt, type LogKind, type Understood } from '@snug/core'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Camera } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { toast } from 'sonner'
import { useBuild, useOpenBuild } from '../state/buildStore'
import { writeDown } from '../state/logQueue'
import { usePrefs } from '../state/prefs'
import { Button } from '../ui/Button'
import { INPUT } from '../ui/Field'
import { FileButton } from '../ui/FileButton'
import { shrunk } from './shrunk'
import { printWithUnit } from '../ui/SizeField'
import { useWhere } from './where'
import { now } from '../state/now'

const isLogKind = (s: string): s is LogKind => LOG_KINDS.includes(s as LogKind)

/**
 * Writes one entry, tied to what is in hand. Words like "pocket width mouth 56.12 calipers" are understood and offered for filing:
 * then the size is set as well.
 */
export function QuickLog({ onDone }: { onDone?: () => void }) {
  const { id, station, thing } = useWhere()
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const coats = useBuild((s) => s.evaluation?.finish.plan?.coats)
  const system = usePrefs((p) => p.system)
  const [text, setText] = useState('')
  const [kind, setKind] = useState<LogKind>('note')
  const queries = useQueryClient()
  const heard = useMemo(() => (text.trim() ? heardAs(build, text, system, coats) : undefined), [build, text, system, coats])
  const [picture, setPicture] = useState<File>()
  const write = useMutation({
    mutationFn: async ({ as }: { as: LogKind; said: string; shown: File | undefined }) => {
      const words = {
        kind: picture && as === 'note' ? ('photo' as const) : as,
        text: text.trim() || 'A picture',
        ...(station && station !== 'log' ? { station } : {}),
        ...(thing && station !== 'log' ? { thing } : {}),
      }
      return writeDown(id, words, picture && (await shrunk(picture)))
    },
    onSuccess: async (is, { said, shown }) => {
      if (is === 'waits') toast('Written down here. It goes into the log as soon as the server answers.')
      // What was typed meanwhile is the next entry, and stays.
      setText((now) => (now === said ? '' : now))
      setPicture((now) => (now === shown ? undefined : now))
      await queries.invalidateQueries({ queryKey: ['log', id] })
      onDone?.()
    },
    onError: (e) => toast.error(e.message),
  })
  const ready = text.trim() !== '' || picture !== undefined
  const file = ({ kind: as, change: to }: Understood) => {
    if (to) change((b) => to(b, now()))
    write.mutate({ as, said: text, shown: picture })
  }
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault()
        if (ready) write.mutate({ as: kind, said: text, shown: picture })
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
      {heard?.understood && (
        <p className="mt-1 border-l-4 border-violet bg-wash px-3 py-1.5 text-[14px]" role="status">
          Understood: {heard.understood.says} <Amount of={heard.understood} />
          <Button look="quiet" className="!min-h-8" onClick={() => file(heard.understood!)}>
            {heard.understood.size ? 'Write it and set the size' : heard.understood.change ? 'Write it and enter it' : 'Write it so'}
          </Button>
        </p>
      )}
      {heard && heard.near.length > 0 && (
        <div className="mt-1 border-l-4 border-mind bg-wash px-3 py-1.5 text-[14px]" role="status">
          Not certain which is meant; nearest:
          {heard.near.map((n) => (
            <p key={n.says}>
              {n.says} <Amount of={n} />
              <Button look="quiet" className="!min-h-8" onClick={() => file(n)}>
                This one<span className="sr-only">, {n.says}</span>
              </Button>
            </p>
          ))}
        </div>
      )}
      {heard && !heard.understood && !heard.near.length && /\d/.test(text) && (
        <p className="mt-1 text-[14px] text-soft" role="status">
          No size, reading or price was understood in it: it is kept as a note.
        </p>
      )}
      {picture && <Preview file={picture} onDrop={() => setPicture(undefined)} />}
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
        <Button look="main" type="submit" disabled={!ready || write.isPending}>
          Write it down
        </Button>
        <FileButton name="Picture for the log" accept="image/jpeg,image/png" onFile={setPicture}>
          <Camera size={16} aria-hidden /> Picture
        </FileButton>
        <span className="text-[13px] text-soft">Entries are struck, never deleted.</span>
      </div>
    </form>
  )
}

/** What goes along with the entry, before it is written. */
function Preview({ file, onDrop }: { file: File; onDrop: () => void }) {
  const address = useMemo(() => URL.createObjectURL(file), [file])
  useEffect(() => () => URL.revokeObjectURL(address), [address])
  return (
    <div className="mt-2 flex items-end gap-2">
      <img src={address} alt={`Picture to go along: ${file.name}`} className="max-h-[120px] max-w-[60%] border border-hairline" />
      <Button look="quiet" onClick={onDrop}>
        Leave it out
      </Button>
    </div>
  )
}

/** The size that would be set, with how it is known. */
function Amount({ of: { size } }: { of: Understood }) {
  const system = usePrefs((p) => p.system)
  if (!size) return null
  return (
    <>
      <span className="figure">{printWithUnit(size.size.value, specAt(size.ref).unit, system)}</span>,{' '}
      {knownWord(specAt(size.ref).unit, size.size.known)}.{' '}
    </>
  )
}
