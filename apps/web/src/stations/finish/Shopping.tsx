import { asJson, setIn, type FinishResult } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'

/** What all coats take, by product, and their cost into the build's money. */
export function Shopping({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const { shopping, area } = finish
  if (!shopping.length) return null
  const noted = build.consumables?.['finish-cans']?.price
  const unpriced = shopping.filter((s) => s.price === undefined)
  return (
    <section className="mt-3">
      <h3 className="text-[18px]">To buy</h3>
      <table aria-label="To buy" className="w-full text-[15px]">
        <tbody>
          {shopping.map((s) => (
            <tr key={s.product} className="border-t border-hairline">
              <th scope="row" className="text-left font-normal">
                {s.label}
              </th>
              <td className="figure text-right">
                {s.band.to > s.band.from * 1.05 ? `${Math.round(s.band.from)}–${Math.round(s.band.to)}` : Math.round(s.millilitres)} ml
              </td>
              <td className="text-right">
                <b>{s.containers}</b> {s.containerName}
                {s.containers === 1 ? '' : 's'} of {s.container}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[14px] text-soft">
        For <span className="figure">{area.total.toFixed(2)}</span> m²{area.known ? ' by the outline' : ', a usual size: no outline yet'},
        one more where the last would be over four fifths used.
      </p>
      {finish.cost > 0 && (
        <p className="mt-1">
          <b className="figure">
            {finish.cost.toFixed(2)} {build.currency}
          </b>
          {unpriced.length ? `, ${unpriced.length} without a price` : ''}{' '}
          <Button
            disabled={noted === finish.cost}
            onClick={() =>
              change((b) =>
                setIn(
                  b,
                  'consumables',
                  'finish-cans',
                  asJson({ name: 'Cans and jars of the finish', price: finish.cost, share: 1 }),
                  'Finish into the money',
                ),
              )
            }
          >
            {noted === finish.cost ? 'In the money' : 'Into the money'}
          </Button>
        </p>
      )}
    </section>
  )
}
