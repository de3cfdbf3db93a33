import { budgetSays, GRITS, ladder, layersOf, strikeThrough, TEXTURES, type Budget, type Texture } from '@snug/core'
import { useState } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { Choice } from '../../ui/Field'
import { Toggle } from '../../ui/Toggle'

/** How much one coat of a hand differs from another, share, 95 %. [ours] */
const COAT_DOUBT = 0.3
const WET = GRITS.filter((g) => g >= 400)

/** Before any wet sanding: how close the colour is, where it goes first, and how many coats would keep it. */
export function BeforeSanding() {
  const build = useOpenBuild()
  const top = layersOf(build).find((l) => l.name === 'top')
  const laid = Object.keys(build.finish.laid ?? {}).filter((id) => id.startsWith('top-')).length
  const [texture, setTexture] = useState<Texture>('light peel')
  const [from, setFrom] = useState('1200')
  const [block, setBlock] = useState(true)
  const [sure, setSure] = useState(true)
  if (!top) return null
  const n = laid || top.coats
  const coats = sure ? { from: n, to: n } : { from: Math.max(1, n - 1), to: n + 1 }
  const grits = ladder(Number(from), 2500)
  const budget: Budget = { coats, film: top.film, doubt: COAT_DOUBT, texture, grits, block }
  return (
    <section className="mt-3">
      <h3 className="text-[18px]">Before wet sanding: how close is what lies under it?</h3>
      <p className="text-[15px] text-soft">
        {n} coats of {top.label.toLowerCase()} {laid ? 'laid' : 'as planned'}, {top.film} µm each; {grits.map((g) => `P${g}`).join(', ')}.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="It looks"
          value={texture}
          options={(Object.keys(TEXTURES) as Texture[]).map((t) => [t, TEXTURES[t].label] as const)}
          onChange={setTexture}
        />
        <Choice label="Begin with" value={from} options={WET.map((g) => [String(g), `P${g}`] as const)} onChange={setFrom} />
      </div>
      <Toggle label="With a block (fingers alone otherwise)" on={block} onChange={setBlock} />
      <Toggle label="The coats were counted" on={sure} onChange={setSure} />
      <table className="mt-1 w-full text-[15px]">
        <thead>
          <tr className="label text-left text-soft">
            <th>where</th>
            <th className="text-right">left, µm</th>
            <th className="text-right">through</th>
          </tr>
        </thead>
        <tbody>
          {strikeThrough(budget).map((r) => (
            <tr key={r.place} className="border-t border-hairline">
              <td>{r.label}</td>
              <td className="figure text-right">{r.left.toFixed(0)}</td>
              <td className={`figure text-right ${r.chance < 0.05 ? 'text-snug' : 'text-wont'}`}>
                {r.chance < 0.005 ? '<1' : r.chance > 0.995 ? '>99' : Math.round(100 * r.chance)} %
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 font-semibold">{budgetSays(budget)}</p>
      <p className="text-[15px] text-soft">
        A grit is done when it is dry, under raking light, even and matt, without shiny specks, the last scratches crossed: a hand is fooled
        before the eye. Seal every hole first; hardly any water.
      </p>
    </section>
  )
}
