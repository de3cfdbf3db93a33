import { STATION_NAME, type LogEntry } from '@snug/core'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { toast } from 'sonner'
import { useWhere } from '../../app/where'
import { api } from '../../state/api'
import { Button } from '../../ui/Button'
import { moment } from '../../ui/times'

/** One entry whole: its picture, the way to what it is about, and the strike. */
export function EntryInHand({ entry }: { entry: LogEntry }) {
  const { id, go } = useWhere()
  const queries = useQueryClient()
  const strike = useMutation({
    mutationFn: (e: LogEntry) => api.strike(id, e.id, !e.struck),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['log', id] }),
    onError: (e) => toast.error(e.message),
  })
  return (
    <div className="mt-5 border-t border-hairline pt-3">
      <h3 className="text-[18px]">Entry of {moment(entry.at)}</h3>
      <p className={`mt-1 whitespace-pre-wrap ${entry.struck ? 'line-through' : ''}`}>{entry.text}</p>
      {entry.struck && <p className="text-[14px] text-soft">Struck {moment(entry.struck)}.</p>}
      <div className="mt-2 flex flex-wrap gap-2">
        {entry.station && (
          <Button onClick={() => go(entry.station!, entry.thing)}>
            To {STATION_NAME[entry.station]}
            {entry.thing ? `, ${entry.thing.replaceAll('-', ' ')}` : ''}
          </Button>
        )}
        <Button look="quiet" onClick={() => strike.mutate(entry)}>
          {entry.struck ? 'Take the strike back' : 'Strike it'}
        </Button>
      </div>
    </div>
  )
}
