import {
  dropLayer,
  finishSheet,
  setFinish,
  setLayer,
  waitSays,
  WHOLE,
  zoneOf,
  type Coat,
  type FinishResult,
  type Layer,
  type ProductLabel,
  type StackOf,
} from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { NumberEntry } from '../../ui/NumberEntry'
import { PrintSheet } from '../../ui/PrintSheet'
import { useAtBench } from '../../app/useAtBench'
import { CoatBench } from './CoatBench'
import { Evening } from './Evening'
import { OwnProduct } from './OwnProduct'
import { Shopping } from './Shopping'
import { useStackEdit } from './useStackEdit'
import { recoatSays } from './words'

/** One layer: what it puts on and when, the label's figures, its coats to tick, what all of it takes. */
export function LayerInHand({
  finish,
  of,
  at,
  layer,
  coats,
  all,
}: {
  finish: FinishResult
  of: StackOf
  at: number
  layer: Layer | undefined
  coats: readonly Coat[]
  all: readonly Coat[]
}) {
  const build = useOpenBuild()
  const stackEdit = useStackEdit()
  const [bench, setBench] = useAtBench()
  if (!layer)
    return (
      <div>
        <h2 className="text-[23px]">Nothing is laid yet</h2>
        <p className="mt-1">Each finish asks for other lungs, rooms, weather and weeks: they stand side by side under Which finish.</p>
        <p className="mt-1 text-soft">
          Or put it together here, product by product, from the wood up. What does not hold on what lies under it is not offered.
        </p>
        <OwnProduct />
      </div>
    )
  const zone = zoneOf(of)
  const follows = zone !== undefined && !build.finish.zones?.[zone]
  return (
    <div>
      <h2 className="text-[23px]">{layer.label}</h2>
      <p className="text-[15px] text-soft">{layer.how}</p>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-[15px]">
        <dt className="label text-soft">puts on</dt>
        <dd>
          {layer.film
            ? `${layer.film} µm dry on flats, ${Math.round(layer.film * 0.65)} on edges, ±${Math.round(layer.film * layer.filmDoubt)}`
            : 'goes into the wood'}{' '}
          <span className="text-soft">({layer.from === 'label' ? 'by the label' : 'usual, practice'})</span>
        </dd>
        <dt className="label text-soft">again</dt>
        <dd>{recoatSays(layer)}</dd>
        <dt className="label text-soft">sanded</dt>
        <dd>
          {layer.beforeSanding === undefined ? 'never' : `after ${waitSays(layer.beforeSanding)}`}
          {layer.sanding ? `, ${layer.sanding}` : ''}; hard after{' '}
          {layer.cure.from === layer.cure.to
            ? layer.cure.to === 1
              ? 'a day'
              : `${layer.cure.to} days`
            : `${layer.cure.from} to ${layer.cure.to} days`}
        </dd>
        <dt className="label text-soft">air</dt>
        <dd>
          {layer.limits.air[0]} to {layer.limits.air[1]} °C, {layer.limits.humidity[0] ? `${layer.limits.humidity[0]} to` : 'at most'}{' '}
          {layer.limits.humidity[1]} %
        </dd>
      </dl>
      {coats.length > 0 && (
        <>
          <Evening coats={coats} all={all} />
          <Button className="mt-1" onClick={() => setBench(true)}>
            Bench view: one big tap a coat
          </Button>
          {bench && <CoatBench all={all} finish={finish} onClose={() => setBench(false)} />}
        </>
      )}
      {follows ? (
        <p className="mt-2 text-soft">It follows the whole; give the zone its own stack to change it here.</p>
      ) : (
        <>
          <div className="mt-3 grid grid-cols-2 gap-2">
            <NumberEntry
              label={`Coats of ${layer.label.toLowerCase()}`}
              value={layer.coats}
              from={1}
              to={40}
              whole
              onCommit={(coats) => stackEdit((b) => setLayer(b, of, at, { coats }, `${layer.label}: ${coats} coats`))}
            />
          </div>
          <Button look="quiet" onClick={() => stackEdit((b) => dropLayer(b, of, at))}>
            Take it out of the stack
          </Button>
        </>
      )}
      <LabelFigures layer={layer} />
      <OwnProduct like={layer.product} />
      <Shopping finish={finish} />
      <Caution lines={[...layer.cautions]} />
      <PrintSheet sheet={() => finishSheet(build, finish)} label="Finish sheet to print" />
      {of === WHOLE && (
        <p className="mt-2 text-[13px] text-soft">Times and films are the trade’s usual ranges. The label on the can always wins.</p>
      )}
    </div>
  )
}

const FIGURES = [
  ['solids', 'Solids, %', 0.5, 100],
  ['film', 'Film a coat, µm', 0, 500],
  ['recoat', 'Next coat after, min', 0, 100_000],
  ['beforeSanding', 'Sanded after, min', 0, 100_000],
  ['coldest', 'Coldest, °C', -20, 60],
  ['warmest', 'Warmest, °C', -20, 60],
  ['dampest', 'Dampest, %', 1, 100],
  ['container', 'In a can, ml', 1, 50_000],
  ['price', 'A can costs', 0, 100_000],
] as const

/** What stands on the can: it wins over what is usual. */
function LabelFigures({ layer }: { layer: Layer }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const label: ProductLabel = build.finish.labels?.[layer.product] ?? {}
  const put = (to: ProductLabel, says: string) =>
    change((b) => setFinish(b, 'labels', { ...b.finish.labels, [layer.product]: { ...b.finish.labels?.[layer.product], ...to } }, says))
  const plain = () => {
    const { name, like } = label
    const { [layer.product]: _, ...others } = build.finish.labels ?? {}
    change((b) =>
      setFinish(
        b,
        'labels',
        name ? { ...others, [layer.product]: { name, ...(like ? { like } : {}) } } : others,
        `${layer.label}: usual figures again`,
      ),
    )
  }
  const some = Object.keys(label).some((k) => k !== 'name' && k !== 'like')
  return (
    <details className="mt-2" open={some}>
      <summary className="label min-h-9 font-semibold">What its label says</summary>
      <div className="grid grid-cols-3 gap-2">
        {FIGURES.map(([key, name, from, to]) => (
          <NumberEntry
            key={key}
            label={name}
            value={label[key]}
            from={from}
            to={to}
            placeholder="usual"
            onCommit={(v) => put({ [key]: v }, `${layer.label}, ${name.toLowerCase()}: ${v}`)}
          />
        ))}
      </div>
      <label className="label mt-1 flex min-h-10 items-center gap-2 text-[15px]">
        solids are by
        <select
          className="min-h-9 rounded border border-hairline bg-sheet px-1"
          value={label.basis ?? ''}
          onChange={(e) => put({ basis: e.target.value as 'volume' | 'weight' }, `${layer.label}: solids by ${e.target.value}`)}
        >
          {!label.basis && <option value="">not said</option>}
          <option value="volume">volume</option>
          <option value="weight">weight</option>
        </select>
      </label>
      {some && (
        <Button look="quiet" onClick={plain}>
          The usual figures again
        </Button>
      )}
    </details>
  )
}
