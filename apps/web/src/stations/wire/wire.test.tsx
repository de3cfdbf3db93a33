import { changed, fullBuild, without } from '@snug/core/testing/fullBuild'
import { countsOf, parseOhms } from '@snug/core'
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { useKnobs } from '../../state/knobs'
import { inHand, layOut, loupe, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import WireStation from './WireStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({
  Line: (p: { 'aria-label': string; data: { datasets: unknown[] } }) => (
    <div role="img" aria-label={p['aria-label']}>
      {p.data.datasets.length} curves
    </div>
  ),
}))

const list = () => within(screen.getByRole('region', { name: 'Switch positions and wires' }))
const positions = () => list().getAllByRole('listitem')
const readings = () => Object.values(server.build.readings)
const expected = () => {
  const w = useBuild.getState().evaluation!.wire
  if (!w.ok) throw new Error('not wired')
  return w.positions[0]!.reading.ohm
}

beforeEach(() => useKnobs.getState().allAtTen())

describe('Wire', () => {
  it('every position with what sounds and its reading; its curve among the others', async () => {
    layOut()
    show(<WireStation />, 'wire')
    expect(positions()).toHaveLength(5)
    expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/^Position 1:/)
    await waitFor(() => expect(inHand().getByRole('img', { name: /Response of position 1.*peak at \d+ Hz/ }).textContent).toBe('5 curves'))
    expect(inHand().getByText(/Solder and flux fumes/)).toBeTruthy()
    await userEvent.click(within(positions()[2]!).getByRole('button'))
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/^Position 3:/))
    expect(loupe().getByRole('img')).toBeTruthy()
  })
  it('a reading inside its band is good; a fifth off is told with where to look', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const meter = inHand().getByLabelText(/^Meter at the jack/)
    await userEvent.type(meter, `${expected().toFixed(0)}{Enter}`)
    await waitFor(() => expect(inHand().getByText(/these joints are good/)).toBeTruthy())
    expect(within(positions()[0]!).getByRole('img', { name: 'inside its band' })).toBeTruthy()
    await userEvent.clear(meter)
    await userEvent.type(meter, `${(expected() * 1.2).toFixed(0)}{Enter}`)
    await waitFor(() => expect(inHand().getByText(/above the expected; look over the leads of the bridge pickup and/)).toBeTruthy())
    expect(within(positions()[0]!).getByRole('img', { name: 'outside its band' })).toBeTruthy()
    expect(readings()).toMatchObject([
      { probes: ['jack.tip', 'jack.sleeve'], setting: { switches: { switch: 1 }, knobs: { volume: 10, tone: 10 } } },
    ])
  })
  it('a reading that is no resistance is told, and nothing is kept', async () => {
    layOut()
    show(<WireStation />, 'wire')
    await userEvent.type(inHand().getByLabelText(/^Meter at the jack/), 'loud{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/"loud"/)
    expect(server.build.readings).toEqual({})
  })
  it('a good reading stays good when a knob moves: it is judged by the knobs it was taken at', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const knob = inHand().getByRole('slider', { name: 'volume' })
    const meter = inHand().getByLabelText(/^Meter at the jack/)
    await userEvent.type(meter, `${expected().toFixed(0)}{Enter}`)
    await waitFor(() => expect(readings()).toHaveLength(1))
    fireEvent.keyDown(knob, { key: 'Home' })
    await waitFor(() => expect(inHand().getByText(/^Taken with all knobs at 10\. Inside its band/)).toBeTruthy())
    expect(inHand().getByText(/Meter at the jack, volume at 0, tone at 10/).textContent).toMatch(/expected 0 /)
    expect(within(positions()[0]!).getByRole('img', { name: 'inside its band' })).toBeTruthy()
    await waitFor(() => expect(countsOf(useBuild.getState().build!, useBuild.getState().evaluation!).wire).toBe(0))
    // Read again with the volume shut, the same ohms are wrong.
    await userEvent.clear(meter)
    await userEvent.type(meter, `${(expected() + 10).toFixed(0)}{Enter}`)
    await waitFor(() => expect(inHand().getByText(/above the expected/)).toBeTruthy())
    await waitFor(() => expect(countsOf(useBuild.getState().build!, useBuild.getState().evaluation!).wire).toBe(1))
  })
  it('turning knobs is looking: no change, nothing to undo, and all go back to 10 at once', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const back = inHand().getByRole('button', { name: 'All at 10' })
    expect((back as HTMLButtonElement).disabled).toBe(true)
    fireEvent.keyDown(inHand().getByRole('slider', { name: 'tone' }), { key: 'ArrowLeft' })
    fireEvent.keyDown(inHand().getByRole('slider', { name: 'volume' }), { key: 'Home' })
    await waitFor(() => expect(inHand().getByText(/Meter at the jack, volume at 0, tone at 9.5/)).toBeTruthy())
    expect(useBuild.getState().canUndo).toBe(false)
    expect(server.done).toEqual([])
    await userEvent.click(back)
    expect(inHand().getByText(/Meter at the jack, all knobs at 10/)).toBeTruthy()
  })
  it('wires in soldering order, a length to cut for each, metres by colour', async () => {
    layOut()
    show(<WireStation />, 'wire')
    await userEvent.click(list().getByRole('tab', { name: /Wire list/ }))
    const rows = (await list().findAllByRole('row')).slice(1)
    const w = useBuild.getState().evaluation!.wire
    expect(rows).toHaveLength(w.ok ? w.wires.length : 0)
    for (const r of rows) expect(Number(r.lastElementChild!.textContent)).toBeGreaterThan(20)
    expect(list().getByText(/In all: /)).toBeTruthy()
  })
  it('tapping the humbuckers is one change', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const tap = list().getByRole('checkbox')
    const was = server.build.circuit.split
    await userEvent.click(tap)
    await waitFor(() => expect(server.build.circuit.split).toBe(!was))
    expect(server.done).toHaveLength(1)
  })
  it('what the circuit still needs is named', () => {
    layOut(without(fullBuild(), 'pot-volume', 'switch'))
    show(<WireStation />, 'wire')
    expect(screen.getByText(/The circuit needs .*volume/)).toBeTruthy()
  })
  it('a larger pot reads higher with the volume half open', async () => {
    const half = async (ohm: number) => {
      cleanup()
      layOut(changed(fullBuild(), { 'pot-volume/resistance': ohm }))
      show(<WireStation />, 'wire')
      act(() => useKnobs.getState().turn('b', 'volume', 5))
      const said = await inHand().findByText(/volume at 5/)
      return parseOhms(/expected ([\d.]+ ?[kM]?)/.exec(said.textContent!)![1]!)
    }
    const [small, large] = [await half(250e3), await half(500e3)]
    if (!small.ok || !large.ok) throw new Error('no ohms')
    expect(large.value).toBeGreaterThan(small.value)
  })
})
