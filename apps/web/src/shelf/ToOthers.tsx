import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { toast } from 'sonner'
import { api, linkAddress, type ShownLink } from '../state/api'
import { Button } from '../ui/Button'
import { INPUT } from '../ui/Field'
import { Sheet } from '../ui/Sheet'
import { shortDay } from '../ui/times'
import { useMe } from './useMe'

/** A build for other people: shown by a link, or given to another bench. Only where others reach this server at all. */
export function ToOthers({ id, name }: { id: string; name: string }) {
  const me = useMe()
  const [open, setOpen] = useState(false)
  if (!me?.reached) return null
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} className="label min-h-10 px-2 text-[14px] text-soft hover:text-violet">
        {me.bench === undefined ? 'Show' : 'Show or hand over'}
      </button>
      <Sheet open={open} onOpenChange={setOpen} title={`${name} for others`}>
        <Links id={id} />
        {me.others && <HandOver id={id} name={name} others={me.others} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  )
}

function Links({ id }: { id: string }) {
  const queries = useQueryClient()
  const links = useQuery({ queryKey: ['links', id], queryFn: () => api.links(id) })
  const again = () => queries.invalidateQueries({ queryKey: ['links', id] })
  const make = useMutation({ mutationFn: () => api.addLink(id), onSuccess: again, onError: (e) => toast.error(e.message) })
  const back = useMutation({
    mutationFn: (token: string) => api.removeLink(id, token),
    onSuccess: again,
    onError: (e) => toast.error(e.message),
  })
  return (
    <section aria-labelledby="by-link">
      <h3 id="by-link" className="text-[18px]">
        Shown by a link
      </h3>
      <p className="text-soft">
        Whoever has the link sees every station, the log and the pictures, can try things out, and changes nothing. Links are not listed
        anywhere; treat one like a key.
      </p>
      <ul className="mt-2 space-y-2">
        {links.data?.map((link) => (
          <LinkRow key={link.token} link={link} onBack={() => back.mutate(link.token)} />
        ))}
      </ul>
      <Button className="mt-2" onClick={() => make.mutate()} disabled={make.isPending}>
        Make a link
      </Button>
    </section>
  )
}

function LinkRow({ link, onBack }: { link: ShownLink; onBack: () => void }) {
  const address = linkAddress(link.token)
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(address)
      toast('The link is copied.')
    } catch {
      // Browsers allow it on secure addresses only; the address stands there to be marked and copied.
      toast('Your browser does not let this page copy. Mark the link and copy it yourself.')
    }
  }
  return (
    <li className="flex flex-wrap items-center gap-2">
      <input
        readOnly
        aria-label={`Link made ${shortDay(link.createdAt)}`}
        className={`${INPUT} min-w-0 flex-1`}
        value={address}
        onFocus={(e) => e.target.select()}
      />
      <Button onClick={() => void copy()}>Copy</Button>
      <Button look="quiet" onClick={onBack}>
        Take it back
      </Button>
    </li>
  )
}

/** Given away is asked twice: it cannot be taken back from here. */
function HandOver({ id, name, others, onDone }: { id: string; name: string; others: string[]; onDone: () => void }) {
  const queries = useQueryClient()
  const [to, setTo] = useState('')
  const [sure, setSure] = useState(false)
  const give = useMutation({
    mutationFn: () => api.handOver(id, to),
    onSuccess: async () => {
      onDone()
      toast(`${name} is at ${to} now.`)
      await queries.invalidateQueries({ queryKey: ['builds'] })
      await queries.invalidateQueries({ queryKey: ['stock'] })
    },
    onError: (e) => toast.error(e.message),
  })
  return (
    <section aria-labelledby="by-hand" className="mt-6 border-t border-hairline pt-4">
      <h3 id="by-hand" className="text-[18px]">
        Handed to another bench
      </h3>
      {others.length === 0 ? (
        <p className="text-soft">There is no other bench here yet.</p>
      ) : (
        <>
          <p className="text-soft">
            It goes with its log, its pictures and the parts put by for it, which leave your stash. Only the other bench can hand it back.
          </p>
          <label className="mt-2 flex items-center gap-2">
            To
            <select
              className={INPUT}
              value={to}
              onChange={(e) => {
                setTo(e.target.value)
                setSure(false)
              }}
            >
              <option value="">choose a bench</option>
              {others.map((o) => (
                <option key={o}>{o}</option>
              ))}
            </select>
          </label>
          <Button
            className="mt-2"
            look={sure ? 'main' : 'plain'}
            disabled={!to || give.isPending}
            onClick={() => (sure ? give.mutate() : setSure(true))}
          >
            {sure ? `Yes, ${name} goes to ${to}` : 'Hand it over'}
          </Button>
        </>
      )}
    </section>
  )
}
