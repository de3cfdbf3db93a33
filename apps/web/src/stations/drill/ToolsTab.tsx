import { drillMethods, wanderDrawing, type Bench } from '@snug/core'
import { X } from 'lucide-react'
import { useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBench } from '../../state/benchStore'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { Toggle } from '../../ui/Toggle'
import { DrillTabs } from './tabs'

type Many = 'bits' | 'throats' | 'routerBits' | 'bushings'
const MANY: readonly { key: Many; title: string; about: string; one: string; from: number; to: number }[] = [
  { key: 'bits', title: 'Bits', about: 'Every diameter in the box, mm.', one: 'Another bit, mm', from: 0.3, to: 60 },
  {
    key: 'throats',
    title: 'Drill presses',
    about: 'How far the post stands from the spindle, mm: so far from an edge it reaches.',
    one: 'A press’s throat, mm',
    from: 20,
    to: 1000,
  },
  { key: 'routerBits', title: 'Router bits', about: 'Diameters, mm.', one: 'Another router bit, mm', from: 0.3, to: 60 },
  { key: 'bushings', title: 'Guide bushings', about: 'Outside diameters, mm.', one: 'Another bushing, mm', from: 3, to: 80 },
]

/** What there is to drill and rout with: it belongs to the person, and every build's cards follow it. */
export function ToolsTab() {
  const { bench, save } = useBench()
  const set = (next: Bench) => void save(next).then(() => useBuild.getState().again())
  return (
    <Workspace
      loupe={wanderDrawing(bench)}
      listLabel="My tools"
      list={
        <div>
          <DrillTabs />
          <div className="flex flex-col gap-5 px-4 py-3">
            {MANY.map(({ key, ...words }) => (
              <Sizes key={key} {...words} sizes={bench[key]} onChange={(sizes) => set({ ...bench, [key]: sizes })} />
            ))}
          </div>
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">How a drill is held upright</h2>
          <p className="text-[15px] text-soft">These tools are yours, not this instrument’s: every build’s cards follow them.</p>
          {(
            [
              ['stand', 'a stand that slides on the work'],
              ['block', 'a guide block: scrap with a hole drilled square through it'],
            ] as const
          ).map(([key, label]) => (
            <Toggle key={key} label={label} on={bench[key]} onChange={(on) => set({ ...bench, [key]: on })} />
          ))}
          <table className="mt-3 w-full text-[15px]">
            <caption className="sr-only">How far off each way of holding a drill goes</caption>
            <thead>
              <tr className="label text-left text-soft">
                <th>held by</th>
                <th>off by, degrees</th>
                <th>over 45 mm, mm</th>
              </tr>
            </thead>
            <tbody>
              {drillMethods(45).map((m) => (
                <tr key={m.words} className="border-t border-hairline">
                  <td>{m.words}</td>
                  <td className="figure">{m.degrees}</td>
                  <td className="figure">{m.error.toFixed(2)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      }
    />
  )
}

function Sizes({
  title,
  about,
  one,
  from,
  to,
  sizes,
  onChange,
}: {
  title: string
  about: string
  one: string
  from: number
  to: number
  sizes: readonly number[]
  onChange: (sizes: number[]) => void
}) {
  const [added, setAdded] = useState(0)
  return (
    <section aria-label={title}>
      <h3 className="text-[19px]">{title}</h3>
      <p className="text-[15px] text-soft">{about}</p>
      <ul className="mt-1 flex flex-wrap gap-1.5">
        {sizes.map((size) => (
          <li key={size}>
            <Button
              className="figure !gap-1 !px-2"
              aria-label={`${size} mm: take it out`}
              onClick={() => onChange(sizes.filter((s) => s !== size))}
            >
              {size} <X size={13} aria-hidden />
            </Button>
          </li>
        ))}
        {sizes.length === 0 && <li className="text-soft">none</li>}
      </ul>
      <div className="mt-1 max-w-44">
        {/* A new field once a size was taken in. */}
        <NumberEntry
          key={added}
          label={one}
          value={undefined}
          from={from}
          to={to}
          onCommit={(v) => {
            setAdded((n) => n + 1)
            onChange([...new Set([...sizes, v])].sort((a, b) => a - b))
          }}
        />
      </div>
    </section>
  )
}
