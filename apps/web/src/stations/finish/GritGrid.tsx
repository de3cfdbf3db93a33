import { areaToCoat, gritGrid, gritKey, SECTIONS, setFinish, sheetsFor, STOP_TEST, woodGrits, layersOf, type Section } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { today } from '../../state/today'

/** Bare wood, section by grit: all of it at one grit, then the sheet is changed. None counts as done without the stop test. */
export function GritGrid() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const stain = layersOf(build).some((l) => l.name === 'dye')
  const grits = woodGrits(stain ? 'stain' : 'film')
  const cells = gritGrid(build, grits)
  const [asked, setAsked] = useState<{ section: Section; grit: number }>()
  const [passed, setPassed] = useState<ReadonlySet<number>>(new Set())
  const put = (section: Section, grit: number, done: boolean) => {
    const key = gritKey(section, grit)
    const { [key]: _, ...others } = build.finish.grits ?? {}
    change((b) =>
      setFinish(b, 'grits', done ? { ...others, [key]: today() } : others, `${section} P${grit}: ${done ? 'done' : 'not done'}`),
    )
    setAsked(undefined)
    setPassed(new Set())
  }
  return (
    <section className="px-4 pt-2" aria-label="Grits of the bare wood">
      <h3 className="text-[18px]">The bare wood{stain ? ', for stain' : ''}</h3>
      <table className="w-full text-[15px]">
        <caption className="sr-only">Half sheets of each grit</caption>
        <thead>
          <tr className="label text-left text-soft">
            <th>grit</th>
            {SECTIONS.map((s) => (
              <th key={s}>{s}</th>
            ))}
            <th className="text-right">half sheets</th>
          </tr>
        </thead>
        <tbody>
          {grits.map((g) => (
            <tr key={g} className="border-t border-hairline">
              <th scope="row" className="figure text-left">
                P{g}
              </th>
              {SECTIONS.map((s) => {
                const cell = cells.find((c) => c.grit === g && c.section === s)!
                const open = asked?.section === s && asked.grit === g
                return (
                  <td key={s} className="py-0.5">
                    <button
                      type="button"
                      title={cell.waits}
                      disabled={cell.waits !== undefined}
                      aria-label={`${cell.done ? '✓' : '·'} ${s} P${g}: ${cell.done ? `done ${cell.done}` : (cell.waits ?? 'to do')}`}
                      aria-pressed={open}
                      onClick={() => {
                        if (cell.done) put(s, g, false)
                        else {
                          setAsked({ section: s, grit: g })
                          setPassed(new Set())
                        }
                      }}
                      className={`min-h-9 w-full rounded border ${open ? 'border-violet' : 'border-hairline'} ${cell.done ? 'bg-snug/15 text-snug' : 'bg-sheet'} disabled:opacity-40`}
                    >
                      {cell.done ? '✓' : '·'}
                    </button>
                  </td>
                )
              })}
              <td className="figure text-right">{sheetsFor(g, areaToCoat(build).total)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {asked && (
        <div className="mt-1 border-l-4 border-violet pl-3">
          <p>
            Is {asked.section} at P{asked.grit} done? A hand is fooled before the eye.
          </p>
          {STOP_TEST.map((t, i) => (
            <label key={t} className="flex min-h-9 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-[var(--violet)]"
                checked={passed.has(i)}
                onChange={(e) => setPassed((was) => new Set(e.target.checked ? [...was, i] : [...was].filter((x) => x !== i)))}
              />
              {t}
            </label>
          ))}
          <Button look="main" disabled={passed.size < STOP_TEST.length} onClick={() => put(asked.section, asked.grit, true)}>
            It is done
          </Button>
        </div>
      )}
    </section>
  )
}
