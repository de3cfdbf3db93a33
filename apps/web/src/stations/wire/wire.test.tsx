import { changed, fullBuild, without } from '@snug/core/testing/fullBuild'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
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
const expected = () => {
  const w = useBuild.getState().evaluation!.wire
  if (!w.ok) throw new Error('not wired')
  return w.positions[0]!.reading.ohm
}

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
    await waitFor(() => expect(inHand().getByText(/above the expected; look over the pickup leads/)).toBeTruthy())
    expect(within(positions()[0]!).getByRole('img', { name: 'outside its band' })).toBeTruthy()
    expect(server.build.readings['1']).toMatchObject({ volume: 10, tone: 10 })
  })
  it('a reading that is no resistance is told, and nothing is kept', async () => {
    layOut()
    show(<WireStation />, 'wire')
    await userEvent.type(inHand().getByLabelText(/^Meter at the jack/), 'loud{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/"loud"/)
    expect(server.build.readings).toEqual({})
  })
  it('read with the knobs elsewhere it is not compared', async () => {
    layOut()
    show(<WireStation />, 'wire')
    await userEvent.type(inHand().getByLabelText(/^Meter at the jack/), `${expected().toFixed(0)}{Enter}`)
    await waitFor(() => expect(server.build.readings['1']).toBeTruthy())
    const knob = inHand().getByRole('slider', { name: 'tone' })
    fireEvent.keyDown(knob, { key: 'ArrowLeft' })
    await waitFor(() => expect(server.build.circuit.tone).toBe(9.5))
    await waitFor(() => expect(inHand().getByText(/Taken with the knobs at 10 and 10; set them back/)).toBeTruthy())
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
  it('a larger pot reads higher with the volume half open', () => {
    const half = (ohm: number) => {
      layOut(changed({ ...fullBuild(), circuit: { ...fullBuild().circuit, volume: 5 } }, { 'pot-volume/resistance': ohm }))
      return expected()
    }
    expect(half(500e3)).toBeGreaterThan(half(250e3))
  })
})
