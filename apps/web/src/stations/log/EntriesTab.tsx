import { drawingOf, LOG_KINDS, placeOf, STATION_NAME, type LogEntry, type LogKind, type Point } from '@snug/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useDeferredValue, useMemo, useState } from 'react'
import { toast } from 'sonner'
import { QuickLog } from '../../app/QuickLog'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { api, photoAddress } from '../../state/api'
import { keptPicture } from '../../state/keptPictures'
import { sendWordsAlone, useWaiting, type Waiting } from '../../state/logQueue'
import { here } from '../../state/now'
import { useOpenBuild } from '../../state/buildStore'
import { useThings } from '../../state/useThings'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { INPUT } from '../../ui/Field'
import { ThingButton } from '../../ui/ThingRow'
import { shortDay, timeOfDay } from '../../ui/times'
import { VirtualRows } from '../../ui/VirtualRows'
import { EntryIcon } from './entryIcon'
import { EntryInHand } from './EntryInHand'
import { LogTabs } from './tabs'

/** Pins on the instrument: the newest of them, or it would be hidden under its own history. */
const PINS = 60

/** Everything written down at the bench, latest first, each entry where it belongs on the instrument. */
export function EntriesTab() {
  const { id } = useWhere()
  const build = useOpenBuild()
  const things = useThings()
  const log = useQuery({ queryKey: ['log', id], queryFn: () => api.log(id) })
  const [typed, setTyped] = useState('')
  const [kind, setKind] = useState<LogKind | ''>('')
  const text = useDeferredValue(typed)
  const all = useMemo(() => (log.data ?? []).toReversed(), [log.data])
  const entries = useMemo(() => all.filter((e) => (!kind || e.kind === kind) && holds(e, text)), [all, kind, text])
  const { hand, pick } = useHand('log', entries)
  const pins = useMemo(
    () =>
      entries
        .filter((e) => e.thing && !e.struck)
        .slice(0, PINS)
        .map((e, i) => ({
          id: e.id,
          at: beside(placeOf(build, things, e), i),
          label: e.text,
          shape: <path d="M-6 -8h12v16l-6 -4l-6 4z" fill="var(--sheet)" stroke="var(--violet)" strokeWidth="1.6" />,
        })),
    [entries, build, things],
  )
  const drawing = useMemo(() => hand && drawingOf(build, things, hand), [hand, build, things])
  return (
    <Workspace
      pins={pins}
      selected={hand?.id}
      onPick={pick}
      loupe={
        hand?.photo ? (
          <Picture entry={hand} address={photoAddress(id, hand.photo)} />
        ) : (
          (drawing ?? <Empty>What an entry is about is drawn here; this one is about the whole of it.</Empty>)
        )
      }
      listLabel="Log, latest first"
      list={
        <div className="flex h-full flex-col">
          <LogTabs />
          {all.length > 0 && (
            <div className="grid shrink-0 grid-cols-[1fr_9rem] gap-2 border-b border-hairline p-2">
              <input
                type="search"
                aria-label="Search the log"
                placeholder="A word, a part, a day as 2026-11-24"
                className={INPUT}
                value={typed}
                onChange={(e) => setTyped(e.target.value)}
              />
              <select
                aria-label="Kinds shown"
                className={INPUT}
                value={kind}
                onChange={(e) => setKind(LOG_KINDS.find((k) => k === e.target.value) ?? '')}
              >
                <option value="">every kind</option>
                {LOG_KINDS.map((k) => (
                  <option key={k}>{k}</option>
                ))}
              </select>
              <p role="status" className="sr-only">
                {entries.length} of {all.length} entries
              </p>
            </div>
          )}
          <NotSentYet build={id} />
          {entries.length ? (
            <VirtualRows
              items={entries}
              hand={hand}
              testId="log-rows"
              row={(e) => (
                <ThingButton
                  mark={<EntryIcon kind={e.kind} />}
                  title={<span className={`font-normal ${e.struck ? 'line-through' : ''}`}>{e.text}</span>}
                  about={[e.kind, e.station && STATION_NAME[e.station], e.thing?.replaceAll('-', ' ')].filter(Boolean).join(' · ')}
                  figure={<span className="text-[13px]">{shortDay(e.at)}</span>}
                  under={timeOfDay(e.at)}
                  selected={e === hand}
                  onSelect={() => pick(e.id)}
                />
              )}
            />
          ) : (
            <Empty>
              {log.isLoading
                ? 'Fetching the log…'
                : all.length
                  ? 'Nothing of that in the log.'
                  : 'Nothing written yet. Press L anywhere; an entry is tied to the thing you have in hand.'}
            </Empty>
          )}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Write it down</h2>
          <QuickLog />
          {hand && <EntryInHand key={hand.id} entry={hand} />}
        </div>
      }
    />
  )
}

/** Written while the server was away: it is in the log once it answers. */
function NotSentYet({ build }: { build: string }) {
  const waiting = useWaiting((s) => s.waiting)
  const mine = waiting.filter((w) => w.build === build)
  if (!mine.length) return null
  return (
    <ul aria-label="Waits for the server" className="shrink-0 border-b border-hairline bg-canvas">
      {mine.toReversed().map((w) => (
        <li key={w.id} className="flex flex-wrap gap-x-3 px-3 py-1.5">
          <span className="min-w-0 flex-1">{w.text}</span>
          <span className="text-[13px] whitespace-nowrap text-soft">
            {timeOfDay(here(w.at))} · {w.refused ? 'waits for you' : w.pictured ? 'waits with its picture' : 'waits for the server'}
          </span>
          {w.refused && <Refused entry={w} why={w.refused} />}
        </li>
      ))}
    </ul>
  )
}

/** A picture the server does not take: kept here until it is saved or let go. */
function Refused({ entry, why }: { entry: Waiting; why: string }) {
  const queries = useQueryClient()
  const save = async () => {
    const file = await keptPicture(entry.id).catch(() => undefined)
    if (file) download(file.name, file.type, new Uint8Array(await file.arrayBuffer()))
    else toast('This browser has not kept the picture.')
  }
  const alone = async () => {
    await sendWordsAlone(entry.id)
    await queries.invalidateQueries({ queryKey: ['log', entry.build] })
  }
  return (
    <div role="status" className="basis-full border-l-4 border-mind pl-3 text-[14px]">
      Its picture was not taken: {why}
      <div className="flex gap-2">
        <Button look="quiet" onClick={() => void save()}>
          Save the picture
        </Button>
        <Button look="quiet" onClick={() => void alone()}>
          Send the words alone
        </Button>
      </div>
    </div>
  )
}

const Picture = ({ entry, address }: { entry: LogEntry; address: string }) => (
  <a href={address} target="_blank" rel="noopener noreferrer" className="flex h-full min-h-0 items-center justify-center p-2">
    <img src={address} alt={`Picture: ${entry.text}`} className="max-h-full max-w-full object-contain" />
  </a>
)

/** Every word somewhere in the entry: in its text, its kind, its station, what it is about, or its day. */
function holds(e: LogEntry, text: string): boolean {
  const whole = `${e.text} ${e.kind} ${e.station ? STATION_NAME[e.station] : ''} ${e.thing ?? ''} ${e.at.slice(0, 10)}`.toLowerCase()
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => whole.includes(word))
}

/** Entries about one thing fan out a little. */
const beside = ({ x, y }: Point, i: number): Point => ({ x, y: y + (i % 2) * 10 })
