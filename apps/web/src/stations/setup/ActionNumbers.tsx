import { HIGH_FRETS, neckShim, printMm, saddleArch, valueAt, type SetupResult } from '@snug/core'
import { useOpenBuild } from '../../state/buildStore'
import { LookedAt } from './FirstStrings'

/** Each string over fret 12 beside what is wanted of it, and how high its saddle stands over the line of the outer two. */
export function ActionNumbers({ setup }: { setup: SetupResult }) {
  const build = useOpenBuild()
  const arch = saddleArch(build)
  const key = valueAt(build, { slot: 'bridge', size: 'key' })
  const bass = setup.actions.at(-1)
  const down = bass?.read && !bass.stale ? bass.wanted - bass.is : 0
  const shim = neckShim(build, down)
  return (
    <>
      <table className="mt-2 w-full text-[14px]">
        <caption className="sr-only">Height of each string</caption>
        <thead>
          <tr className="text-left text-soft">
            <th>string</th>
            <th className="text-right">over fret 12</th>
            <th className="text-right">wanted</th>
            {arch && <th className="text-right">saddle’s arch</th>}
          </tr>
        </thead>
        <tbody className="figure">
          {setup.actions.map((a) => (
            <tr key={a.number} className="border-t border-hairline">
              <td>{a.number}</td>
              <td className="text-right">
                {setup.actions.some((x) => x.read) ? printMm(a.is) : '–'}
                {a.stale ? ', old' : a.read || !setup.actions.some((x) => x.read) ? '' : ' by the line'}
              </td>
              <td className="text-right">{printMm(a.wanted)}</td>
              {arch && <td className="text-right">+{arch.tops.find((t) => t.number === a.number)?.over.toFixed(2)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      {arch && (
        <p className="text-[14px] text-soft">
          Board radius at the saddles {Math.round(arch.radius)} mm: {arch.says}
        </p>
      )}
      {shim && down < -0.1 && (
        <p className="mt-1 text-[14px]">
          If the saddles are at their stop: a taper of <b className="figure">{shim.thickness.toFixed(2)} mm</b> at the pocket’s end, nothing
          at its mouth, over {Math.round(shim.length)} mm, does it too ({shim.degrees.toFixed(2)}°).
        </p>
      )}
      <p className="mt-1 text-[14px] text-soft">
        {key === undefined
          ? 'A key that fits its height screws snugly; a worn one rounds them.'
          : `Key of its height screws: ${printMm(key)} mm across flats.`}
      </p>
      <LookedAt id={HIGH_FRETS} line="Every fret from 15 up played on every string: clean" />
    </>
  )
}
