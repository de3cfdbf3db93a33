import { PLACES_OF_FILM, type Budget, type FilmPlace, type Sampled, type Spots } from '@snug/core'
import { proxy } from 'comlink'
import { useEffect, useState } from 'react'
import { circuitWorker } from '../../workers/compute'
import { Button } from '../../ui/Button'
import { percent } from './words'

const RUNS = 40_000

/** The whole instrument laid and sanded many times over, with every stretch of its edge: shown as it comes, stopped at any time. */
export function SampleOdds({ budget, spots }: { budget: Budget; spots: Spots }) {
  const [so, setSo] = useState<Sampled>()
  const [running, setRunning] = useState(false)
  const stop = () => {
    setRunning(false)
    void circuitWorker().stopSampling()
  }
  const start = () => {
    setRunning(true)
    setSo(undefined)
    void circuitWorker()
      .sampleStrike(budget, spots, RUNS, proxy(setSo))
      .then(() => setRunning(false))
  }
  // Another plan is another question.
  useEffect(() => {
    setSo(undefined)
    setRunning(false)
    void circuitWorker().stopSampling()
  }, [budget])
  const places = Object.keys(PLACES_OF_FILM) as FilmPlace[]
  return (
    <section className="mt-2 pb-3" aria-label="Somewhere on the instrument">
      <div className="flex flex-wrap items-center gap-3">
        {running ? (
          <Button onClick={stop}>Stop</Button>
        ) : (
          <Button onClick={start}>Somewhere on the instrument? Try it {RUNS.toLocaleString('en')} times</Button>
        )}
        {so && (
          <div
            role="progressbar"
            aria-label="Tried so far"
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(100 * so.done)}
            className="h-2 w-40 rounded bg-hairline"
          >
            <div className="h-full rounded bg-violet" style={{ width: `${100 * so.done}%` }} />
          </div>
        )}
      </div>
      {so && (
        <p className="mt-1" role="status">
          Of {so.runs.toLocaleString('en')} instruments <b className="figure">{percent(so.anywhere)}</b> in 100 were cut through somewhere (
          {places
            .map(
              (p) =>
                `${spots[p]} ${p === 'edge' ? 'stretches of edge' : p === 'corner' ? 'corners' : 'flats'}: ${percent(so.somewhere[p])}`,
            )
            .join(', ')}
          ). Thinnest place: {so.thinnest.middle.toFixed(0)} µm, from {so.thinnest.low.toFixed(0)} to {so.thinnest.high.toFixed(0)}.
        </p>
      )}
    </section>
  )
}
