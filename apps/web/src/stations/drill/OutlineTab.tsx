import { rowBetween, setOutline, widthOf, widthsDrawing, widthSet, type OutlineRow, type WidthSide } from '@snug/core'
import { useMemo, useState } from 'react'
import { Empty, Workspace } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { OutlineFile } from './OutlineFile'
import { DrillTabs } from './tabs'

const PARTS = { body: 'the body', neck: 'the headstock', guard: 'the guard' } as const
type Outlined = keyof typeof PARTS
const COLUMNS: readonly (readonly ['x' | WidthSide, string])[] = [
  ['x', 'along'],
  ['bass', 'bass side'],
  ['treble', 'treble side'],
  ['bassInner', 'bass horn, inside'],
  ['trebleInner', 'treble horn, inside'],
]
const NONE: readonly OutlineRow[] = []

/** A part's edge as half-widths along its own centre line: typed from a rule, dragged on the drawing, or read from a file. */
export function OutlineTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const parts = (Object.keys(PARTS) as Outlined[]).filter((p) => build.parts[p])
  const [chosen, setChosen] = useState<Outlined>('body')
  const slot = parts.includes(chosen) ? chosen : parts[0]
  const rows = (slot && build.parts[slot]?.outline) ?? NONE
  const drawing = useMemo(
    () => (slot && rows.length >= 3 ? widthsDrawing(rows, `Edge of ${PARTS[slot]}`, build.handedness) : undefined),
    [rows, slot, build.handedness],
  )
  const keep = (next: readonly OutlineRow[]) => slot && change((b) => setOutline(b, slot, next))
  const drag = (id: string, value: number) => {
    const width = widthOf(id)
    if (width) keep(widthSet(rows, width.at, width.side, value))
  }
  const shown = COLUMNS.filter(([key]) => key === 'x' || key === 'bass' || key === 'treble' || rows.some((r) => r[key] !== undefined))
  return (
    <Workspace
      loupe={drawing ? <DrawingView drawing={drawing} onHandle={drag} /> : <p className="p-6 text-soft">Three rows make an edge.</p>}
      listLabel="Half-widths"
      list={
        <div className="flex h-full flex-col">
          <DrillTabs />
          {!slot && <Empty>An edge belongs to a part: choose a body, a neck or a guard under Parts (key 1).</Empty>}
          <table className="mx-4 my-2 text-[15px]">
            <caption className="sr-only">Points of the edge</caption>
            <thead>
              <tr className="label text-left text-soft">
                {shown.map(([key, label]) => (
                  <th key={key} scope="col" className="pr-2 font-normal">
                    {label}
                  </th>
                ))}
                <td />
              </tr>
            </thead>
            <tbody>
              {rows.map((row, i) => (
                <tr key={`${i}/${row.x}`}>
                  {shown.map(([key, label]) => (
                    <td key={key} className="pr-2">
                      {row[key] !== undefined && (
                        <NumberEntry
                          quiet
                          label={`${label}, row ${i + 1}, mm`}
                          value={row[key]}
                          from={key === 'x' ? -300 : -400}
                          to={key === 'x' ? 700 : 400}
                          onCommit={(v) => keep(widthSet(rows, i, key, v))}
                        />
                      )}
                    </td>
                  ))}
                  <td>
                    <Button
                      look="quiet"
                      aria-label={`Row ${i + 1} away`}
                      disabled={rows.length <= 3}
                      onClick={() => keep(rows.filter((_, j) => j !== i))}
                    >
                      away
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          <h2 className="text-[23px]">Outline</h2>
          {slot && parts.length > 1 && (
            <Choice<Outlined> label="Edge of" value={slot} options={parts.map((p) => [p, PARTS[p]] as const)} onChange={setChosen} />
          )}
          <p>
            Every 20 mm along the centre line, the rule across: how far the edge lies on either side. Closer where it bends; a horn has an
            inner edge too.
          </p>
          <Button className="self-start" disabled={!slot} onClick={() => keep(rowBetween(rows))}>
            Another row
          </Button>
          <OutlineFile />
        </div>
      }
    />
  )
}
