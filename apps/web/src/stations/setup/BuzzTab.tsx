import { buzzDrawing, hasTrussNut, missed, printMm, setSetup, setupModel, usualAttack, type bestRelief, type BuzzWork } from '@snug/core'
import { useMemo, useState } from 'react'
import { Board } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { circuitWorker } from '../../workers/compute'
import { BuzzMapTable } from './BuzzMapTable'
import { Rocker } from './Rocker'
import { SetupTabs } from './tabs'
import { useBuzzWork } from './useBuzzWork'

/** Every string at every fret: what is left over the fret that comes nearest, at this attack. */
export default function BuzzTab() {
  const build = useOpenBuild()
  const model = useMemo(() => setupModel(build), [build])
  const work = useBuzzWork()
  const [seen, setSeen] = useState<{ string: number; stop: number }>()
  const cell = work && (work.map.cells.find((c) => c.string === seen?.string && c.stop === seen.stop) ?? work.map.worst)
  const drawing = useMemo(() => cell && cell.string <= model.strings.length && buzzDrawing(build, model, cell), [build, model, cell])
  return (
    <Board
      boardLabel="Buzz"
      board={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          <p className="px-4 pt-2" role="status">
            {work ? `${work.map.says} ${work.bends}` : 'Working it out …'}
          </p>
          {work && <BuzzMapTable cells={work.map.cells} strings={build.strings} frets={model.frets} seen={cell} onSee={setSeen} />}
          <p className="px-4 text-[14px] text-soft">
            Rows are strings, the thinnest on top; columns the fret it is held at, 0 open. Figures in hundredths of a millimetre to spare; a
            dark cell hits. Curved crowns, the free neck a parabola; an ideal string, pulled either way.
            {!(model.actionRead && model.reliefRead)
              ? ' Relief or action are not read yet: what is wanted stands in for them.'
              : !(model.actionHolds && model.reliefHolds)
                ? ' Relief or action were read before something was turned, levelled or strung otherwise: read them again.'
                : ''}
          </p>
          {drawing && (
            <div className="h-56 px-2">
              <DrawingView drawing={drawing} />
            </div>
          )}
        </div>
      }
      hand={<BuzzInHand work={work} />}
    />
  )
}

/** How hard it is plucked, how low it could go, the relief that lets it go lowest, frets in the way, and the rocker. */
function BuzzInHand({ work }: { work: BuzzWork | undefined }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [found, setFound] = useState<{ of: typeof build; best: ReturnType<typeof bestRelief> }>()
  const find = async () => setFound({ of: build, best: await circuitWorker().bestRelief(build) })
  // Of other readings, or plucked otherwise, another relief would be.
  const best = found?.of === build ? found.best : undefined
  return (
    <div>
      <h2 className="text-[23px]">Buzz at this attack</h2>
      <NumberEntry
        label="Depth of a pluck, mm: 0.5 light, 0.8 usual, 1.5 hard"
        value={build.setup.attack ?? usualAttack(build)}
        from={0.1}
        to={6}
        onCommit={(v) => change((b) => setSetup(b, 'attack', v, `Plucked ${v} mm deep`))}
      />
      <h3 className="mt-3 text-[18px]">Lowest without a buzz, over fret 12</h3>
      <p className="figure">
        {work?.low.map((l) => (
          <span key={l.string} className="mr-3 inline-block">
            {l.string}: {printMm(l.action)}
          </span>
        ))}
      </p>
      {hasTrussNut(build) && (
        <Button className="mt-2" onClick={() => void find()}>
          Best relief for the lowest strings
        </Button>
      )}
      {best && (
        <p role="status" className="mt-1">
          At <b className="figure">{best.relief.toFixed(2)} mm</b> of relief they could lie at {printMm(best.treble)} treble,{' '}
          {printMm(best.bass)} bass.
        </p>
      )}
      <h3 className="mt-3 text-[18px]">Frets in the way</h3>
      {work?.way.length ? (
        <ul>
          {work.way.slice(0, 5).map((f) => (
            <li key={f.fret}>
              Fret {f.fret}: hit from {f.times} {f.times === 1 ? 'place' : 'places'}, by up to {missed(-f.by)}
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-soft">None at this attack.</p>
      )}
      <Rocker />
    </div>
  )
}
