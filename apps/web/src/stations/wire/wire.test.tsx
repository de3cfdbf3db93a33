import { changed, fullBuild, without } from '@snug/core/testing/fullBuild'
import { countsOf, parseOhms } from '@snug/core'
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { useKnobs } from '../../state/knobs'
import { inHand, layOut, loupe, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import { circuitWorker } from '../../workers/compute'
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

const parse = (text: string) => {
  const read = parseOhms(text)
  if (!read.ok) throw new Error(read.why)
  return read.value
}
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
  it('before its curve is there nothing is said of a peak', () => {
    const waits = vi.spyOn(circuitWorker(), 'responses').mockReturnValue(Promise.resolve())
    layOut()
    show(<WireStation />, 'wire')
    expect(inHand().getByText(/^Hum cancelled/)).toBeTruthy()
    expect(inHand().queryByText(/[Pp]eak/)).toBeNull()
    waits.mockRestore()
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
  it('a pickup of which nobody said whether it has one coil or two is looked at first; said, the circuit is there', async () => {
    const b = structuredClone(fullBuild())
    delete b.parts['pickup-bridge']!.traits.coils
    layOut(b)
    show(<WireStation />, 'wire')
    expect(inHand().getByText(/One look at the pickup is wanted: one row of poles is usually one coil/)).toBeTruthy()
    expect(inHand().queryByText(/look at the switch/)).toBeNull()
    await userEvent.selectOptions(inHand().getByLabelText('Coils (bridge pickup)'), 'two')
    await userEvent.tab()
    await waitFor(() => expect(positions()).toHaveLength(5))
  })
  it('where no pickup was ever read, a reading proves no joint', async () => {
    const b = structuredClone(fullBuild())
    for (const slot of ['pickup-neck', 'pickup-middle', 'pickup-bridge'] as const)
      b.parts[slot]!.sizes.resistance = { value: 7000, doubt: 30000, known: 'assumed' }
    layOut(b)
    show(<WireStation />, 'wire')
    expect(within(positions()[0]!).getByText('not known yet')).toBeTruthy()
    expect(inHand().getByText('what it should read nobody can say yet')).toBeTruthy()
    expect(inHand().getByText(/So it is with such pickups as a rule; nobody has read these/)).toBeTruthy()
    await userEvent.type(inHand().getByLabelText(/^Meter at the jack/), '12k{Enter}')
    await waitFor(() => expect(inHand().getByText(/It proves no joint: nobody has said what these pickups read/)).toBeTruthy())
    expect(within(positions()[0]!).getByRole('img', { name: 'read, and proves nothing yet' })).toBeTruthy()
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
  it('an open line and a dead short are readings too, and say what they are', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const meter = inHand().getByLabelText(/^Meter at the jack/)
    await userEvent.type(meter, 'OL{Enter}')
    await waitFor(() => expect(inHand().getByText(/An open line where there should be none.*bridge pickup/)).toBeTruthy())
    await userEvent.clear(meter)
    await userEvent.type(meter, '0{Enter}')
    await waitFor(() => expect(inHand().getByText(/short between hot and ground, or a volume that stands at 0/)).toBeTruthy())
    // What is refused leaves no old verdict under it.
    await userEvent.clear(meter)
    await userEvent.type(meter, 'beep{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/OL or open/)
    expect(inHand().queryByText(/short between/)).toBeNull()
  })
  it('the band of parts as they come is drawn when it is wanted, and the sound is told in words', async () => {
    layOut()
    show(<WireStation />, 'wire')
    await userEvent.click(inHand().getByRole('checkbox', { name: 'Band of parts as they come' }))
    await waitFor(() => expect(inHand().getByRole('img', { name: /Response of position 1/ }).textContent).toBe('7 curves'))
    await userEvent.click(inHand().getByRole('button', { name: 'In words' }))
    await waitFor(() => expect(inHand().getByText(/^It sounds .*centre of weight at \d+ Hz/)).toBeTruthy())
  })
  it('a circuit file is laid over the curve; one that is none is told', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const choose = inHand().getByLabelText('Choose a circuit file')
    await userEvent.upload(
      choose,
      new File(['t\nV1 a 0 AC 1\nR1 a tip 6k\nC1 tip 0 500p\nR2 tip 0 250k'], 'other.cir', { type: 'text/plain' }),
    )
    await waitFor(() => expect(inHand().getByRole('img', { name: /Response of position 1/ }).textContent).toBe('6 curves'))
    await userEvent.upload(choose, new File(['t\nQ1 a b c'], 'bad.cir', { type: 'text/plain' }))
    await waitFor(() => expect(inHand().getByRole('alert').textContent).toMatch(/Q is not known here/))
  })
  it('the hint in the meter’s field is this build’s own reading', () => {
    layOut()
    show(<WireStation />, 'wire')
    const shown = (inHand().getByLabelText(/^Meter at the jack/) as HTMLInputElement).placeholder
    expect(parseOhms(shown)).toMatchObject({ ok: true })
    expect(Math.abs((parseOhms(shown) as { value: number }).value / expected() - 1)).toBeLessThan(0.01)
  })
  it('wires in soldering order, a length to cut for each, metres by colour', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=wires')
    const wires = within(screen.getByRole('region', { name: 'Wires' }))
    const rows = (await wires.findAllByRole('row')).slice(1)
    const w = useBuild.getState().evaluation!.wire
    expect(rows).toHaveLength(w.ok ? w.wires.length : 0)
    for (const r of rows) expect(Number(r.lastElementChild!.textContent)).toBeGreaterThan(20)
    expect(inHand().getByText(/In all: .*white/)).toBeTruthy()
  })
  it('what the circuit still needs is named', () => {
    layOut(without(fullBuild(), 'switch'))
    show(<WireStation />, 'wire')
    expect(screen.getByText(/The circuit needs selector switch/)).toBeTruthy()
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

describe('check, fault and trainer', () => {
  it('the check list takes what the meter shows and says what is not as it should be', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=check')
    const lines = await waitFor(
      () => {
        const found = within(screen.getByRole('region', { name: 'Check list' })).getAllByRole('listitem')
        expect(found.length).toBeGreaterThan(5)
        return found
      },
      { timeout: 8000 },
    )
    const meter = lines.map((l) => within(l).queryByRole('textbox')).find((x) => x)!
    await userEvent.type(meter, 'OL{Enter}')
    await waitFor(() => expect(Object.values(server.build.circuit.found ?? {})).toEqual([1e8]))
  })
  it('tip to strings nothing, sleeve to strings kilohms: the swapped jack is named first', async () => {
    const b = fullBuild()
    b.circuit.found = { 'ohms jack.tip strings.1 ': 0.2, 'ohms jack.sleeve strings.1 ': 8000, touch: 'rises' }
    layOut(b)
    show(<WireStation />, 'wire?tab=fault')
    const suspects = await waitFor(() => within(screen.getByRole('region', { name: 'Suspects' })).getAllByRole('listitem'))
    expect(suspects[0]!.textContent).toMatch(/Tip and sleeve are in each other’s place/)
    expect(inHand().getByRole('heading', { name: 'Next test' })).toBeTruthy()
  })
  it('a round of the trainer: a test done, the fault named, the score told, the same round by its number', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=trainer')
    const tests = () => within(screen.getByRole('region', { name: 'Tests' }))
    await screen.findByRole('region', { name: 'Tests' })
    const first = (await tests().findAllByRole('button', { name: /^Do it/ }, { timeout: 8000 }))[0]!
    await userEvent.click(first)
    await waitFor(() => expect(inHand().getByText(/^1 test done/)).toBeTruthy())
    await userEvent.selectOptions(inHand().getByLabelText('It is'), 'jack-swapped')
    await waitFor(() => expect(inHand().getByRole('status').textContent).toMatch(/of 10 points/))
  })
})

describe('what have I got', () => {
  it('names a pot by two readings, and says what cannot be', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=found')
    await screen.findByRole('region', { name: 'Guides' })
    await userEvent.type(inHand().getByLabelText('Outer lug to outer lug'), '482k{Enter}')
    await userEvent.type(inHand().getByLabelText(/^Left lug to the middle/), '47k{Enter}')
    expect(inHand().getByRole('status').textContent).toMatch(/A 500 k pot, 4 % under, audio/)
  })
  it('names a switch by its beeps', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=found')
    await userEvent.click(
      within(await screen.findByRole('region', { name: 'Guides' })).getByRole('button', { name: /A switch nobody knows/ }),
    )
    const field = (n: number) => inHand().getByLabelText(`Position ${n}`)
    for (const [n, text] of [
      [1, 'x y'],
      [2, 'x y, x z'],
      [3, 'x z'],
    ] as const) {
      await userEvent.clear(field(n))
      await userEvent.type(field(n), text)
    }
    expect(inHand().getByRole('status').textContent).toMatch(/It is a 3-way toggle/)
    expect(inHand().getByRole('status').textContent).toMatch(/x is A0/)
  })
})

describe('at the bench', () => {
  it('a wire is ticked when it is soldered and beeped along; the day is kept, and taken back', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=wires')
    const box = await screen.findByRole('checkbox', { name: 'Wire 1 soldered and checked' })
    await userEvent.click(box)
    await waitFor(() => expect(Object.keys(server.build.circuit.soldered ?? {})).toHaveLength(1))
    expect(inHand().getByRole('status').textContent).toMatch(/^1 of \d+ soldered/)
    await userEvent.click(screen.getByRole('checkbox', { name: 'Wire 1 soldered and checked' }))
    await waitFor(() => expect(server.build.circuit.soldered).toEqual({}))
  })
  it('colours on hand go into the list; too short a reel is said', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=wires')
    for (const c of ['Yellow', 'brown']) {
      await userEvent.type(inHand().getByLabelText('A colour'), c)
      await userEvent.click(inHand().getByRole('button', { name: 'Add' }))
    }
    await waitFor(() => expect(server.build.circuit.reels).toEqual({ yellow: 1, brown: 1 }))
    const wires = within(screen.getByRole('region', { name: 'Wires' }))
    expect(wires.getAllByText('brown').length).toBeGreaterThan(2)
    await userEvent.clear(inHand().getByLabelText('brown, m'))
    await userEvent.type(inHand().getByLabelText('brown, m'), '0.1{Enter}')
    await waitFor(() => expect(inHand().getByText(/wanted: too short/)).toBeTruthy())
  })
  it('a meter between two lugs picked: the pot’s track, and the jack’s tip against its sleeve', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=harness')
    await userEvent.selectOptions(inHand().getByLabelText('From'), 'jack.tip')
    await userEvent.selectOptions(inHand().getByLabelText('To'), 'jack.sleeve')
    const shown = inHand().getByRole('status').textContent!
    expect(Math.abs(parse(/ohms([\d.]+ k)/.exec(shown)![1]!) / expected() - 1)).toBeLessThan(0.01)
    expect(shown).toMatch(/no beep/)
  })
  it('another capacitor laid beside the curve is one more on the chart', async () => {
    layOut()
    show(<WireStation />, 'wire')
    const chart = await inHand().findByRole('img', { name: /Response of position 1/ })
    await waitFor(() => expect(chart.textContent).toBe('5 curves'))
    await userEvent.selectOptions(inHand().getByLabelText('Lay beside it'), inHand().getByRole('option', { name: /tone capacitor 10 n/ }))
    await waitFor(() => expect(inHand().getByRole('img', { name: /Response of position 1/ }).textContent).toBe('6 curves'))
  })
  it('the listening sheet goes from not tried to good to bad, and counts what was never tried', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=check')
    await userEvent.click(await screen.findByLabelText(/^Listening sheet/))
    const cell = () => screen.getByRole('button', { name: /position 2, strum/ })
    await userEvent.click(cell())
    await waitFor(() => expect(server.build.circuit.heard).toEqual({ '2 strum': 'good' }))
    await userEvent.click(cell())
    await waitFor(() => expect(server.build.circuit.heard).toEqual({ '2 strum': 'bad' }))
    expect(screen.getByText(/never tried, 1 not as it should be; amplifier not noted/)).toBeTruthy()
  })
  it('a complaint is evidence; the fault goes into the plan and the log, and what mending did is kept', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=fault')
    await userEvent.selectOptions(await screen.findByLabelText('What is wrong with it'), 'touch rises')
    await waitFor(() => expect(Object.keys(server.build.circuit.complaints ?? {})).toEqual(['touch rises']))
    await userEvent.click(await screen.findByRole('button', { name: /^That is it/ }, { timeout: 8000 }))
    await waitFor(() => expect(Object.keys(server.build.circuit.mends ?? {})).toHaveLength(1))
    await userEvent.click(screen.getByText('Something was mended'))
    await userEvent.selectOptions(screen.getByLabelText('And then it was'), 'gone')
    await userEvent.click(screen.getByRole('button', { name: 'File it' }))
    await waitFor(() => expect(Object.values(server.build.circuit.repairs ?? {})).toMatchObject([{ then: 'gone', kept: true }]))
    expect(screen.getByText(/Do the check again/)).toBeTruthy()
  })
  it('a sheet begun from ours, one joint struck out, is told as one joint apart', async () => {
    layOut()
    show(<WireStation />, 'wire?tab=found')
    await userEvent.click(await screen.findByText('A sheet, or a circuit as found'))
    await userEvent.click(inHand().getByRole('button', { name: /^Begin from ours/ }))
    await waitFor(() => expect(inHand().getByText('It joins the same things as ours does.')).toBeTruthy())
    await userEvent.click(inHand().getAllByRole('button', { name: /not on the sheet, .*jack, tip/ })[0]!)
    await waitFor(() => expect(inHand().getByText('1 joint differs.')).toBeTruthy())
    expect(inHand().getAllByText('another').length).toBeGreaterThan(0)
  })
})
