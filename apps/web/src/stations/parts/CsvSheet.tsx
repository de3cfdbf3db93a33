import { counted, KINDS } from '@snug/core'
import type { CsvRead } from '@snug/formats/partsCsv'
import { useEffect, useState } from 'react'
import { toast } from 'sonner'
import { rankWorker } from '../../workers/compute'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { useStockActs } from './useStock'

/** A table of parts looked over before any of it is taken in: what is wrong by row and column, or what will come. */
export function CsvSheet({ file, onClose }: { file: File; onClose: () => void }) {
  const [text, setText] = useState<string>()
  const [read, setRead] = useState<CsvRead>()
  const [failed, setFailed] = useState<string>()
  const acts = useStockActs()
  useEffect(() => {
    let gone = false
    const run = async () => {
      if (file.size > 10e6)
        return setFailed(`${file.name} is ${(file.size / 1e6).toFixed(1)} MB; at most 10 MB are taken. Nothing was taken in.`)
      const csv = await file.text()
      const result = await rankWorker().readCsv(csv)
      if (gone) return
      setText(csv)
      setRead(result)
    }
    void run().catch((e: Error) => setFailed(e.message))
    return () => {
      gone = true
    }
  }, [file])
  const take = () =>
    acts.importCsv.mutate(text!, {
      onSuccess: ({ taken }) => {
        toast(`${counted(taken, 'part')} taken in.`)
        onClose()
      },
    })
  return (
    <Sheet open onOpenChange={(o) => !o && onClose()} title={file.name}>
      {failed && (
        <p role="alert" className="text-wont">
          {failed}
        </p>
      )}
      {!read && !failed && <p className="text-soft">Reading…</p>}
      {read && read.problems.length > 0 && (
        <>
          <p role="alert" className="font-bold">
            {read.problems.length} {read.problems.length === 1 ? 'cell' : 'cells'} cannot be; nothing is taken in until they are mended.
          </p>
          <table className="mt-2 w-full text-[14px]">
            <caption className="sr-only">Cells that cannot be</caption>
            <thead>
              <tr className="label text-left text-soft">
                <th className="pr-2">row</th>
                <th className="pr-2">column</th>
                <th className="pr-2">read</th>
                <th>why</th>
              </tr>
            </thead>
            <tbody>
              {read.problems.slice(0, 100).map((p, i) => (
                <tr key={i} className="border-t border-hairline align-top">
                  <td className="figure pr-2">{p.row}</td>
                  <td className="pr-2">{p.column}</td>
                  <td className="figure max-w-32 pr-2 break-words">{p.read}</td>
                  <td>{p.why}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {read.problems.length > 100 && <p className="text-soft">and {read.problems.length - 100} more.</p>}
        </>
      )}
      {read && !read.problems.length && (
        <>
          <p>
            <b className="figure">{read.items.length}</b> parts, all sound. The first of them:
          </p>
          <ul className="mt-2">
            {read.items.slice(0, 6).map((i, n) => (
              <li key={n} className="flex justify-between gap-3 border-t border-hairline py-1">
                <span className="truncate">
                  {i.part.name} <span className="text-soft">{KINDS[i.part.kind].label}</span>
                </span>
                <span className="figure text-soft">
                  {i.holding}, {Object.keys(i.part.sizes).length} sizes
                </span>
              </li>
            ))}
          </ul>
          <Button look="main" className="mt-3" disabled={!read.items.length || acts.importCsv.isPending} onClick={take}>
            {acts.importCsv.isPending ? 'Taking in…' : `Take ${counted(read.items.length, 'part')} in`}
          </Button>
        </>
      )}
    </Sheet>
  )
}
