import type { bestRelief } from '@snug/core'
import {
  buzzDrawing,
  buzzMap,
  fretsInTheWay,
  highFrets,
  lowestActions,
  printMm,
  setSetup,
  setupModel,
  USUAL_ATTACK,
  type BuzzCell,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Board } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { circuitWorker } from '../../workers/compute'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { SetupTabs } from './tabs'

/** Every string at every fret: what is left over the fret that comes nearest, at this attack. */
export default function BuzzTab() {
  const build = useOpenBuild()
  const model = useMemo(() => setupModel(build), [build])
  const map = useMemo(() => buzzMap(build, model), [build, model])
  const [seen, setSeen] = useState<{ string: number; stop: number }>()
  const cell = map.cells.find((c) => c.string === seen?.string && c.stop === seen.stop) ?? map.worst
  const drawing = useMemo(() => cell && buzzDrawing(build, model, cell), [build, model, cell])
  return (
    <Board
      boardLabel="Buzz"
      board={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          <p className="px-4 pt-2" role="status">
            {map.says}
          </p>
          <Map cells={map.cells} strings={build.strings} frets={model.frets} seen={cell} onSee={setSeen} />
          <p className="px-4 text-[14px] text-soft">
            Rows are strings, the thinnest on top; columns the fret it is held at, 0 open. Figures in hundredths of a millimetre to spare; a
            dark cell hits.
            {model.actionRead && model.reliefRead ? '' : ' Relief or action are not read yet: what is wanted stands in for them.'}
          </p>
          {drawing && (
            <div className="h-56 px-2">
              <DrawingView drawing={drawing} />
            </div>
          )}
        </div>
      }
      hand={<BuzzInHand />}
    />
  )
}

function Map({
  cells,
  strings,
  frets,
  seen,
  onSee,
}: {
  cells: readonly BuzzCell[]
  strings: number
  frets: number
  seen: BuzzCell | undefined
  onSee: (at: { string: number; stop: number }) => void
}) {
  const rows = Array.from({ length: strings }, (_, i) => cells.filter((c) => c.string === i + 1))
  return (
    <div className="overflow-x-auto px-4 py-2">
      <table className="w-full table-fixed border-collapse text-center">
        <caption className="sr-only">Clearance of every string at every fret</caption>
        <thead>
          <tr className="figure text-[11px] text-soft">
            <th className="w-6" />
            {Array.from({ length: frets }, (_, i) => (
              <th key={i} className="font-normal">
                {i}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i}>
              <th scope="row" className="figure text-[12px]">
                {i + 1}
              </th>
              {row.map((c) => {
                const here = c.string === seen?.string && c.stop === seen.stop
                return (
                  <td key={c.stop} className="p-0">
                    <button
                      type="button"
                      aria-pressed={here}
                      aria-label={`${Math.round(100 * c.margin)}: string ${c.string}, ${c.stop ? `held at ${c.stop}` : 'open'}, ${c.margin.toFixed(2)} mm over fret ${c.hits}`}
                      onClick={() => onSee(c)}
                      className={`figure block min-h-9 w-full text-[10.5px] ${here ? 'outline-2 -outline-offset-2 outline-violet' : ''} ${c.margin < 0 ? 'bg-wont text-sheet' : ''}`}
                      style={
                        c.margin < 0
                          ? {}
                          : { background: `color-mix(in srgb, var(--snug) ${Math.round(Math.min(0.4, c.margin) * 120)}%, var(--sheet))` }
                      }
                    >
                      {Math.round(100 * c.margin)}
                    </button>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

/** How hard it is plucked, how low it could go, the relief that lets it go lowest, frets in the way, and the rocker. */
function BuzzInHand() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const low = useMemo(() => lowestActions(build), [build])
  const way = useMemo(() => fretsInTheWay(build), [build])
  const [best, setBest] = useState<ReturnType<typeof bestRelief>>()
  const [string, setString] = useState(1)
  const high = highFrets(build)
  const rocks = build.setup.rocks ?? {}
  const find = async () => setBest(await circuitWorker().bestRelief(build))
  return (
    <div>
      <h2 className="text-[23px]">Buzz at this attack</h2>
      <NumberEntry
        label="Depth of a pluck, mm: 0.5 light, 0.8 usual, 1.5 hard"
        value={build.setup.attack ?? USUAL_ATTACK}
        from={0.1}
        to={6}
        onCommit={(v) => change((b) => setSetup(b, 'attack', v, `Plucked ${v} mm deep`))}
      />
      <h3 className="mt-3 text-[18px]">Lowest without a buzz, over fret 12</h3>
      <p className="figure">
        {low.map((l) => (
          <span key={l.string} className="mr-3 inline-block">
            {l.string}: {printMm(l.action)}
          </span>
        ))}
      </p>
      <Button className="mt-2" onClick={() => void find()}>
        Best relief for the lowest strings
      </Button>
      {best && (
        <p role="status" className="mt-1">
          At <b className="figure">{best.relief.toFixed(2)} mm</b> of relief they could lie at {printMm(best.treble)} treble,{' '}
          {printMm(best.bass)} bass.
        </p>
      )}
      <h3 className="mt-3 text-[18px]">Frets in the way</h3>
      {way.length ? (
        <ul>
          {way.slice(0, 5).map((f) => (
            <li key={f.fret}>
              Fret {f.fret}: hit from {f.times} {f.times === 1 ? 'place' : 'places'}, by up to {f.by.toFixed(2)} mm
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-soft">None at this attack.</p>
      )}
      <h3 className="mt-3 text-[18px]">Rocker over three frets</h3>
      <p className="text-[14px] text-soft">
        The neck straight, a short edge over three crowns: how far it tips, mm; 0 where it lies still. The middle one is high.
      </p>
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry label="String" value={string} from={1} to={build.strings} whole onCommit={setString} />
      </div>
      <div className="mt-1 grid grid-cols-6 gap-1">
        {Array.from({ length: 20 }, (_, i) => i + 2).map((fret) => (
          <NumberEntry
            key={`${string}-${fret}`}
            label={`fret ${fret}`}
            value={rocks[`${string}-${fret}`]}
            from={0}
            to={2}
            onCommit={(mm) =>
              change((b) =>
                setSetup(b, 'rocks', { ...b.setup.rocks, [`${string}-${fret}`]: mm }, `Rocker at fret ${fret}, string ${string}: ${mm} mm`),
              )
            }
          />
        ))}
      </div>
      {high.length > 0 && (
        <>
          <p className="mt-2 font-semibold">To level: {high.map((h) => `fret ${h.fret} by ${h.by.toFixed(2)} mm`).join(', ')}.</p>
          <p className="text-[14px] text-soft">
            Tape the board, cover the pickups against filings. Mark, level the high ones, rock all again until none tips, then crown and
            polish. Nut work only after it. A shop does it for a price: that is a step too.
          </p>
          <Button look="quiet" onClick={() => change((b) => setSetup(b, 'rocks', {}, 'Frets levelled: all rocked again'))}>
            Levelled: rock them all again
          </Button>
        </>
      )}
    </div>
  )
}
