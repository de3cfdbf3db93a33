import { counted, freeOf, handWords, KIND_NAMES, KINDS, leadWords, type StockItem } from '@snug/core'
import { Download, Upload } from 'lucide-react'
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react'
import { toast } from 'sonner'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { VirtualRows } from '../../ui/VirtualRows'
import { useWhere } from '../../app/where'
import { CsvSheet } from './CsvSheet'
import { PartsList } from './PartsList'
import { StockInHand } from './StockInHand'
import { stockDrawing } from './stockDrawing'
import { useStock, useStockActs } from './useStock'

/** Stash and offers: searched, scrolled, imported and exported, however many there are. */
export function StockTab() {
  const build = useOpenBuild()
  const { id } = useWhere()
  const [q, setQ] = useState('')
  const [kind, setKind] = useState('')
  const [holding, setHolding] = useState('')
  const [chosen, setChosen] = useState<string>()
  const [csv, setCsv] = useState<File>()
  const file = useRef<HTMLInputElement>(null)
  const acts = useStockActs()
  const takeJson = async (from: File) => {
    try {
      acts.importJson.mutate(JSON.parse(await from.text()), { onSuccess: ({ taken }) => toast(`${counted(taken, 'part')} taken in.`) })
    } catch (e) {
      toast.error(`${from.name} is not JSON: ${(e as Error).message}. Nothing was taken in.`)
    }
  }
  const text = useDeferredValue(q)
  const stock = useStock({ q: text, kind, holding })
  const items = useMemo(() => stock.data?.pages.flatMap((p) => p.items) ?? [], [stock.data])
  const total = stock.data?.pages[0]?.total ?? 0
  const { fetchNextPage, hasNextPage, isFetchingNextPage } = stock
  const more = useCallback(() => {
    if (hasNextPage && !isFetchingNextPage) void fetchNextPage()
  }, [hasNextPage, isFetchingNextPage, fetchNextPage])
  const hand = items.find((i) => i.id === chosen) ?? items[0]
  const drawing = useMemo(() => (hand ? stockDrawing(build, hand) : undefined), [build, hand])
  return (
    <>
      <Workspace
        loupe={drawing}
        listLabel="Stash and offers"
        list={
          <PartsList
            foot={
              <>
                <span role="status">
                  <b className="figure">{total}</b> parts
                </span>
                <input
                  ref={file}
                  type="file"
                  accept=".csv,text/csv,.json,application/json"
                  className="sr-only"
                  tabIndex={-1}
                  aria-hidden
                  aria-label="Table of parts"
                  onChange={(e) => {
                    const [chosenFile] = e.target.files ?? []
                    if (chosenFile?.name.endsWith('.json')) void takeJson(chosenFile)
                    else setCsv(chosenFile)
                    e.target.value = ''
                  }}
                />
                <Button className="!min-h-9" onClick={() => file.current?.click()}>
                  <Upload size={15} aria-hidden /> Take a table in
                </Button>
                <a href="/api/stock.csv" download className="inline-flex min-h-9 items-center gap-1.5 hover:text-violet">
                  <Download size={15} aria-hidden /> CSV
                </a>
                <a href="/api/stock.json" download className="inline-flex min-h-9 items-center gap-1.5 hover:text-violet">
                  <Download size={15} aria-hidden /> JSON
                </a>
              </>
            }
          >
            <div className="flex h-full flex-col">
              <div className="grid shrink-0 grid-cols-[1fr_11rem_8.5rem] gap-2 border-b border-hairline p-2">
                <input
                  aria-label="Search parts"
                  placeholder="Name, hand, seller, place"
                  className={INPUT}
                  value={q}
                  onChange={(e) => setQ(e.target.value)}
                />
                <select aria-label="Kind of part" className={INPUT} value={kind} onChange={(e) => setKind(e.target.value)}>
                  <option value="">every kind</option>
                  {KIND_NAMES.map((k) => (
                    <option key={k} value={k}>
                      {KINDS[k].label}
                    </option>
                  ))}
                </select>
                <select aria-label="Stash or offers" className={INPUT} value={holding} onChange={(e) => setHolding(e.target.value)}>
                  <option value="">both</option>
                  <option value="stash">stash</option>
                  <option value="offer">offers</option>
                </select>
              </div>
              {stock.isError && (
                <p role="alert" className="p-4 text-wont">
                  {stock.error.message}
                </p>
              )}
              {stock.data && !items.length && (
                <p className="p-6 text-soft">
                  {q || kind || holding
                    ? 'Nothing by that name.'
                    : 'The stash is empty. Put a part of a build in it, break a donor up, or take a table in.'}
                </p>
              )}
              <VirtualRows
                items={items}
                hand={hand}
                onNearEnd={more}
                testId="stock-rows"
                row={(item) => <StockRow item={item} buildId={id} selected={item === hand} onSelect={() => setChosen(item.id)} />}
              />
            </div>
          </PartsList>
        }
        hand={hand ? <StockInHand key={hand.id} item={hand} /> : <p className="text-soft">Choose a part on the left.</p>}
      />
      {csv && <CsvSheet file={csv} onClose={() => setCsv(undefined)} />}
    </>
  )
}

function StockRow({ item, buildId, selected, onSelect }: { item: StockItem; buildId: string; selected: boolean; onSelect: () => void }) {
  const { part } = item
  const free = freeOf(item, buildId)
  const low = item.minimum !== undefined && free < item.minimum
  return (
    <button
      type="button"
      aria-current={selected ? 'true' : undefined}
      onClick={onSelect}
      className={`grid h-full w-full grid-cols-[1fr_auto] items-center gap-3 border-b border-l-4 border-b-hairline px-3 text-left ${selected ? 'border-l-violet bg-wash' : 'border-l-transparent hover:bg-canvas/60'}`}
    >
      <span className="min-w-0">
        <span className="block truncate font-bold">{part.name}</span>
        <span className={`block truncate text-[13.5px] ${selected ? 'text-ink' : 'text-soft'}`}>
          {[KINDS[part.kind].label, handWords(part), part.seller, item.place].filter(Boolean).join(' · ')}
        </span>
      </span>
      <span className="figure text-right text-[15px]">
        {item.holding === 'stash' ? `${free} of ${item.quantity}` : (part.price?.toFixed(2) ?? '')}
        <span className={`block text-[12px] ${low ? 'text-wont' : selected ? 'text-ink' : 'text-soft'}`}>
          {item.holding === 'stash' ? (low ? 'order more' : 'free') : leadWords(item)}
        </span>
      </span>
    </button>
  )
}
