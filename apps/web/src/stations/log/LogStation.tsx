import { buildBook, careSheet, drawingOf, placeOf, STATION_NAME, type LogEntry, type Point } from '@snug/core'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { format, parseISO } from 'date-fns'
import { Coins, Eye, Gauge, Lightbulb, Notebook, PaintRoller, RotateCw, Ruler, type LucideIcon } from 'lucide-react'
import { useMemo } from 'react'
import { toast } from 'sonner'
import { QuickLog } from '../../app/QuickLog'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { api } from '../../state/api'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useThings } from '../../state/useThings'
import { Button } from '../../ui/Button'
import { PrintSheet } from '../../ui/PrintSheet'
import { ThingRow } from '../../ui/ThingRow'

const ICON: Record<LogEntry['kind'], LucideIcon> = {
  note: Notebook,
  measurement: Ruler,
  reading: Gauge,
  turns: RotateCw,
  coat: PaintRoller,
  mistake: Eye,
  decision: Lightbulb,
  cost: Coins,
}

/** Log: everything written down at the bench, each entry where it belongs on the instrument. */
export default function LogStation() {
  const { id, go } = useWhere()
  const build = useOpenBuild()
  const evaluation = useBuild((s) => s.evaluation!)
  const things = useThings()
  const queries = useQueryClient()
  const log = useQuery({ queryKey: ['log', id], queryFn: () => api.log(id) })
  const entries = useMemo(() => (log.data ?? []).toReversed(), [log.data])
  const { hand, pick } = useHand('log', entries)
  const strike = useMutation({
    mutationFn: (e: LogEntry) => api.strike(id, e.id, !e.struck),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['log', id] }),
    onError: (e) => toast.error(e.message),
  })
  const pins = useMemo(
    () =>
      entries
        .filter((e) => e.thing && !e.struck)
        .map((e, i) => ({
          id: e.id,
          at: beside(placeOf(build, things, e), i),
          label: e.text,
          shape: <path d="M-6 -8h12v16l-6 -4l-6 4z" fill="var(--sheet)" stroke="var(--violet)" strokeWidth="1.6" />,
        })),
    [entries, build, things],
  )
  const loupe = useMemo(() => hand && drawingOf(build, things, hand), [hand, build, things])
  return (
    <Workspace
      pins={pins}
      selected={hand?.id}
      onPick={pick}
      loupe={loupe}
      listLabel="Log, latest first"
      list={
        entries.length ? (
          <ul>
            {entries.map((e) => {
              const Icon = ICON[e.kind]
              return (
                <ThingRow
                  key={e.id}
                  mark={<Icon size={17} aria-label={e.kind} />}
                  title={<span className={`font-normal ${e.struck ? 'line-through' : ''}`}>{e.text}</span>}
                  about={[e.kind, e.station && STATION_NAME[e.station], e.thing?.replaceAll('-', ' ')].filter(Boolean).join(' · ')}
                  figure={<span className="text-[13px]">{format(parseISO(e.at), 'd MMM')}</span>}
                  under={format(parseISO(e.at), 'HH:mm')}
                  selected={e.id === hand?.id}
                  onSelect={() => pick(e.id)}
                />
              )
            })}
          </ul>
        ) : (
          <Empty>
            {log.isLoading ? 'Fetching the log…' : 'Nothing written yet. Press L anywhere; an entry is tied to the thing you have in hand.'}
          </Empty>
        )
      }
      hand={
        <div>
          <h2 className="text-[23px]">Write it down</h2>
          <QuickLog />
          {hand && (
            <div className="mt-5 border-t border-hairline pt-3">
              <h3 className="text-[18px]">Entry of {format(parseISO(hand.at), 'EEE d MMM yyyy, HH:mm')}</h3>
              <p className={`mt-1 whitespace-pre-wrap ${hand.struck ? 'line-through' : ''}`}>{hand.text}</p>
              <div className="mt-2 flex gap-2">
                {hand.station && (
                  <Button onClick={() => go(hand.station!, hand.thing)}>
                    To {STATION_NAME[hand.station]}
                    {hand.thing ? `, ${hand.thing.replaceAll('-', ' ')}` : ''}
                  </Button>
                )}
                <Button look="quiet" onClick={() => strike.mutate(hand)}>
                  {hand.struck ? 'Take the strike back' : 'Strike it'}
                </Button>
              </div>
            </div>
          )}
          <section aria-label="On paper" className="mt-5 border-t border-hairline pt-3">
            <h3 className="text-[18px]">The whole of it</h3>
            <PrintSheet sheet={() => buildBook(build, evaluation, log.data ?? [])} label="Build book" named="build book" />
            <PrintSheet sheet={() => careSheet(build, evaluation.setup)} label="Care sheet" named="care sheet" />
          </section>
        </div>
      }
    />
  )
}

/** Entries about one thing fan out a little. */
const beside = ({ x, y }: Point, i: number): Point => ({ x, y: y + (i % 2) * 10 })
