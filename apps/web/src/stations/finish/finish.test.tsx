import { addDays, lateSays, simulatedWeather, triedFinishes, type Build } from '@snug/core'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { today } from '../../state/today'
import { inHand, layOut, loupe, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import { shortDay } from '../../ui/times'
import FinishStation from './FinishStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
// jsdom draws nothing on a canvas; what the chart says of itself is all there is to see.
vi.mock('react-chartjs-2', () => ({ Line: (p: { 'aria-label': string }) => <figure aria-label={p['aria-label']} /> }))

const made = (finish: Partial<Build['finish']> = {}): Build => {
  const b = changed(fullBuild(), {}, { 'body/surface': 'raw', 'neck/surface': 'raw' })
  return { ...b, finish: { ...b.finish, ...finish } }
}
const at = (path: string, finish: Partial<Build['finish']> = {}) => {
  layOut(made(finish))
  show(<FinishStation />, `finish${path}`)
}
const stack = () => within(screen.getByRole('region', { name: 'Stack' }))
const CLEAR = {
  layers: [
    { product: 'acrylic-colour', coats: 3, colour: '#1f6f78' },
    { product: 'acrylic-clear', coats: 4 },
  ],
}

describe('the stack', () => {
  it('shows every layer with its coats, what is to buy, when it is rubbed out, the odds of cutting through', () => {
    at('')
    expect(stack().getByRole('button', { name: /^Lacquer sanding sealer .*2 coats, 0 laid/ })).toBeTruthy()
    expect(stack().getByText(/rub out from/)).toBeTruthy()
    expect(stack().getByText(/Cut from P1200 to P2500 with a block, .*at corners first/)).toBeTruthy()
    expect(inHand().getByText('To buy')).toBeTruthy()
    expect(inHand().getByText(/Spray outdoors/)).toBeTruthy()
    expect(loupe().getByRole('img', { name: 'The film round an edge' })).toBeTruthy()
  })
  it('a layer laid on from what is offered; what does not hold is not offered and says why', async () => {
    at('')
    await userEvent.click(stack().getByRole('button', { name: /^Transfer or decal/ }))
    await waitFor(() => expect(server.build.finish.layers?.map((l) => l.product)).toEqual(['sanding-sealer', 'lacquer-clear', 'decal']))
    expect(stack().queryByRole('button', { name: /^Water dye/ })).toBeNull()
    expect(stack().getByText(/Water dye in the wood: Dye does not go into the wood through/)).toBeTruthy()
    expect(stack().getByText(/supplied-air protection/)).toBeTruthy()
  })
  it('what does not hold on top is laid where it does, as it is told', async () => {
    at('')
    expect(
      stack().getByText(/Water dye in the wood: Dye does not go into the wood through lacquer\. Lay it before the lacquer\./),
    ).toBeTruthy()
    await userEvent.click(stack().getByText(/^Not offered here, and why/))
    await userEvent.click(stack().getByRole('button', { name: 'Lay water dye in the wood there' }))
    await waitFor(() => expect(server.build.finish.layers?.map((l) => l.product)).toEqual(['water-dye', 'sanding-sealer', 'lacquer-clear']))
    expect(inHand().getByRole('heading', { name: 'Water dye in the wood' })).toBeTruthy()
  })
  it('what the label says wins, and can be taken back', async () => {
    at('', CLEAR)
    await userEvent.click(stack().getByRole('button', { name: /^Acrylic clear 4 ×/ }))
    await userEvent.type(inHand().getByLabelText('Film a coat, µm'), '15{Enter}')
    await waitFor(() => expect(server.build.finish.labels?.['acrylic-clear']).toEqual({ film: 15 }))
    expect(await inHand().findByText('(by the label)')).toBeTruthy()
    await userEvent.type(inHand().getByLabelText('Solids, %'), '200{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/0.5 to 100 is allowed/)
    await userEvent.click(inHand().getByRole('button', { name: 'The usual figures again' }))
    await waitFor(() => expect(server.build.finish.labels).toEqual({}))
  })
  it('a zone of its own, laid and counted by itself', async () => {
    at('?zone=neck-back', CLEAR)
    await userEvent.click(stack().getByRole('button', { name: 'Leave it bare' }))
    await waitFor(() => expect(server.build.finish.zones?.['neck-back']).toEqual({ layers: [] }))
    await userEvent.click(await stack().findByRole('button', { name: /^Oil, or oil and varnish/ }))
    await waitFor(() => expect(server.build.finish.zones?.['neck-back']?.layers).toEqual([{ product: 'oil-varnish', coats: 6 }]))
    await userEvent.click(await inHand().findByRole('button', { name: 'It is on: Neck back Oil, or oil and varnish 1' }))
    await waitFor(() => expect(server.build.finish.laid?.['neck-back/top-1']).toMatchObject({ zone: 'neck-back', product: 'oil-varnish' }))
    expect(server.build.finish.layers).toEqual(CLEAR.layers)
  })
  it('a coat is counted with one tap and the air it dries in; the next one’s turn comes, and it can be taken back', async () => {
    at('', { drying: { air: 12, humidity: 55 } })
    await userEvent.click(inHand().getByRole('button', { name: 'It is on: Lacquer sanding sealer 1' }))
    await waitFor(() =>
      expect(server.build.finish.laid?.['sealer-1']).toMatchObject({ product: 'sanding-sealer', air: 12, humidity: 55, surface: 20 }),
    )
    await userEvent.click(await screen.findByRole('button', { name: 'It is on: Lacquer sanding sealer 2' }))
    await waitFor(() => expect(server.build.steps['coats-sealer']?.done).toBeTruthy())
    await userEvent.click(await screen.findByRole('button', { name: 'not laid: Lacquer sanding sealer 1' }))
    await waitFor(() => expect(server.build.steps['coats-sealer']).toBeUndefined())
    await waitFor(() => expect(server.build.finish.laid?.['sealer-1']).toBeUndefined())
  })
  it('bench view: nothing is counted before the respirator is said to be on; then one big tap', async () => {
    at('')
    await userEvent.click(inHand().getByRole('button', { name: /^Bench view/ }))
    const view = within(screen.getByRole('dialog'))
    expect(view.getByRole('button', { name: 'It is on' })).toHaveProperty('disabled', true)
    await userEvent.click(view.getByRole('checkbox'))
    await userEvent.click(view.getByRole('button', { name: 'It is on' }))
    await waitFor(() => expect(server.build.finish.laid?.['sealer-1']).toBeTruthy())
    expect(await view.findByText(/dries:/)).toBeTruthy()
    await userEvent.click(view.getByRole('button', { name: /was not laid after all/ }))
    await waitFor(() => expect(server.build.finish.laid).toEqual({}))
  })
  it('cans with a price go into the money', async () => {
    at('', { ...CLEAR, labels: { 'acrylic-clear': { price: 12 } } })
    await userEvent.click(inHand().getByRole('button', { name: 'Into the money' }))
    await waitFor(() => expect(server.build.consumables?.['finish-cans']).toMatchObject({ share: 1 }))
    expect(server.build.consumables!['finish-cans']!.price % 12).toBe(0)
  })
  it('a product of one’s own can be laid', async () => {
    at('', CLEAR)
    await userEvent.click(inHand().getByText('A product of your own'))
    await userEvent.type(inHand().getByLabelText('Its name'), 'Shop clear')
    await userEvent.selectOptions(inHand().getByLabelText('It is like'), 'acrylic-clear')
    await userEvent.click(inHand().getByRole('button', { name: /^Add it/ }))
    expect(await stack().findByRole('button', { name: /^Shop clear/ })).toBeTruthy()
  })
  it('evenings too short for a coat: says why there is no calendar', () => {
    layOut({ ...made(), evenings: [5, 5, 5, 5, 5, 5, 5] })
    show(<FinishStation />, 'finish')
    expect(screen.getByText(/No evening is long enough/)).toBeTruthy()
  })
})

describe('which finish', () => {
  it('another system brings its own solids along, in one change, and a stack put together by hand gives way', async () => {
    at('?tab=choose', CLEAR)
    await userEvent.click(screen.getByRole('button', { name: /^Wipe-on polyurethane/ }))
    expect(inHand().getByText(/Oil-wet rags heat up/)).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: 'Choose this' }))
    await waitFor(() => expect(server.build.finish).toMatchObject({ system: 'wipe-on', solids: 32, coats: 5 }))
    expect(server.build.finish.layers).toBeUndefined()
    expect(server.done).toHaveLength(1)
  })
  it('each says when all is done with it, and by how much that misses the due date; the calendar says the same of the chosen one', async () => {
    const due = addDays(today(), 12)
    const build = { ...made(), due }
    const { offers } = [...triedFinishes(build, today())].at(-1)!
    const oil = offers.find((o) => o.id === 'oil')!
    expect(oil.late).toBeGreaterThan(0)
    layOut(build)
    show(<FinishStation />, 'finish?tab=choose')
    const row = within(screen.getByRole('region', { name: 'Finishes' })).getByRole('button', { name: /^Oil, or oil and varnish/ })
    await waitFor(() => expect(row.textContent).toContain(`${oil.late} d late`))
    expect(row.textContent).toContain(`done ${shortDay(oil.ends!)}`)
    await userEvent.click(row)
    expect(inHand().getByText('all done').nextElementSibling!.textContent).toBe(`${shortDay(oil.ends!)}, with all that comes after it`)
    expect(inHand().getByText(`All is done ${oil.late} days after the due date.`, { exact: false })).toBeTruthy()
    await userEvent.click(screen.getByRole('tab', { name: 'Weather and calendar' }))
    const says = lateSays(build, { offers })!.split(' No finish')[0]!
    await waitFor(() => expect(inHand().getByText(says, { exact: false })).toBeTruthy())
  })
  it('nothing chosen: all of them side by side, none chosen, no coats', () => {
    at('', { system: 'none' })
    expect(within(screen.getByRole('region', { name: 'Finishes' })).getAllByRole('button').length).toBeGreaterThanOrEqual(8)
    expect(screen.queryByText('chosen')).toBeNull()
    expect(inHand().getByText('lungs')).toBeTruthy()
  })
})

describe('colour', () => {
  it('a layer gets its colour and its burst; the zones are shown as they will look', async () => {
    at('?tab=colour', { layers: [{ product: 'lacquer-toner', coats: 3, colour: '#402010' }] })
    await userEvent.selectOptions(await screen.findByLabelText('Where'), 'burst')
    await waitFor(() => expect(server.build.finish.layers![0]).toMatchObject({ burst: 70 }))
    expect(await screen.findByLabelText('Fades out over, mm')).toBeTruthy()
    expect(screen.getByText(/Toner: lacquer with dye in it: 70 mm in from the edge, sprayed/)).toBeTruthy()
  })
  it('a mix in parts becomes millilitres, thinned of the paint', async () => {
    at('?tab=colour', {
      ...CLEAR,
      mixes: {
        a: {
          name: 'Edge',
          parts: [
            { name: 'brown', parts: 3 },
            { name: 'red', parts: 1 },
          ],
          thin: 900,
        },
      },
    })
    expect(await screen.findByText('7.5 ml brown, 2.5 ml red, then 90 ml of thinner.')).toBeTruthy()
  })
})

describe('weather and calendar', () => {
  it('coats by evening; whether one may coat now', async () => {
    at('?tab=calendar')
    expect(await screen.findByText(/^Rub out from/)).toBeTruthy()
    expect(inHand().getByRole('status').textContent).toMatch(/You can coat now/)
  })
  it('damp and cold is told with its numbers', async () => {
    at('?tab=calendar', { weather: { air: 8, surface: 7, humidity: 92 } })
    await screen.findByText(/^Rub out from/)
    expect(inHand().getByRole('status').textContent).toMatch(/92 % humidity is above 75 %/)
  })
  it('the simulated station gives a week of hours; a day is typed over it', async () => {
    at('?tab=calendar')
    await userEvent.click(await screen.findByRole('button', { name: 'Ask the simulated station' }))
    await waitFor(() => expect(server.build.finish.forecast).toHaveLength(7 * 24))
    await userEvent.click(screen.getByRole('button', { name: 'Type a day' }))
    await userEvent.click(screen.getByRole('button', { name: 'Take the day' }))
    await waitFor(() =>
      expect(server.build.finish.forecast!.find((h) => h.at === `${today()}T15`)).toMatchObject({ air: 16, humidity: 60 }),
    )
  })
  it('a file that is no forecast says what is wrong and changes nothing', async () => {
    at('?tab=calendar', { forecast: simulatedWeather(1, addDays(today(), 1)) })
    await userEvent.upload(await screen.findByLabelText('Forecast as CSV'), new File(['time;temp\nnow;4'], 'f.csv', { type: 'text/csv' }))
    await waitFor(() => expect(server.done).toEqual([]))
  })
})

describe('sanding', () => {
  it('a heavy relief goes through where a glassy film does not', async () => {
    at('?tab=sanding')
    expect(await screen.findByText(/Under 5 % everywhere/)).toBeTruthy()
    await userEvent.selectOptions(inHand().getByLabelText('It looks'), 'relief')
    expect(inHand().getByText(/go first: .* to cut through/)).toBeTruthy()
  })
  it('a strike-through is logged; the film is less then, and the ways back stand under Trouble', async () => {
    at('?tab=sanding', CLEAR)
    await userEvent.click(await screen.findByRole('button', { name: 'Through at edges' }))
    await waitFor(() =>
      expect(Object.values(server.build.finish.passes!)).toMatchObject([{ zone: 'front', through: 'edge', grits: [1200, 2500] }]),
    )
    expect(await screen.findByText(/stand under Trouble/)).toBeTruthy()
    expect(screen.getByText(/1 pass taken off already/)).toBeTruthy()
  })
  it('a grit counts as done only after the stop test, and the next waits for all sections', async () => {
    at('?tab=sanding')
    expect((await screen.findByRole('button', { name: /top P240: top at P180 first/ })) as HTMLButtonElement).toHaveProperty(
      'disabled',
      true,
    )
    await userEvent.click(screen.getByRole('button', { name: /top P180: to do/ }))
    expect(screen.getByRole('button', { name: 'It is done' })).toHaveProperty('disabled', true)
    for (const line of [/It is dry/, /even, matt/, /No shiny speck/, /crossed by these/]) await userEvent.click(screen.getByLabelText(line))
    await userEvent.click(screen.getByRole('button', { name: 'It is done' }))
    await waitFor(() => expect(server.build.finish.grits).toEqual({ 'top 180': today() }))
  })
  it('tried many times over, somewhere on the instrument', async () => {
    at('?tab=sanding', CLEAR)
    await userEvent.click(await screen.findByRole('button', { name: /Try it 40,000 times/ }))
    expect(await screen.findByText(/stretches of edge/)).toBeTruthy()
  })
})

describe('cards and trouble', () => {
  it('a line is ticked; what cannot be undone is asked first', async () => {
    at('?tab=cards')
    await userEvent.click(await screen.findByRole('button', { name: /^Worn by hand/ }))
    const line = () => inHand().getByLabelText(/Outline in pencil/)
    expect(line()).toHaveProperty('disabled', true)
    await userEvent.click(inHand().getByLabelText(/cannot be undone/))
    await userEvent.click(line())
    await waitFor(() => expect(server.build.finish.ticked).toEqual({ 'relic-0': true }))
  })
  it.each([
    ['right', 1],
    ['left', -1],
  ] as const)('a worn place is outlined on the body by its corners, of a %s-handed one as it lies there', async (handedness, across) => {
    layOut({ ...made(), handedness })
    show(<FinishStation />, 'finish?tab=cards')
    await userEvent.click(await screen.findByRole('button', { name: /^Worn by hand/ }))
    const map = screen.getByRole('img', { name: /^Body outline/ })
    // jsdom lays nothing out: a point of the screen is a point of the body.
    Object.assign(map, { getScreenCTM: () => ({ inverse: () => ({}) }) })
    vi.stubGlobal(
      'DOMPoint',
      class {
        constructor(
          readonly x: number,
          readonly y: number,
        ) {}
        matrixTransform() {
          return this
        }
      },
    )
    for (const [clientX, clientY] of [
      [500, 100],
      [560, 100],
      [540, 150],
    ])
      fireEvent.click(map, { clientX, clientY })
    await userEvent.click(screen.getByRole('button', { name: 'Close the outline' }))
    await waitFor(() =>
      expect(Object.values(server.build.finish.wear!)[0]!.points).toEqual([
        { x: 500, y: 100 * across },
        { x: 560, y: 100 * across },
        { x: 540, y: 150 * across },
      ]),
    )
    expect(await screen.findByText(/15 cm²/)).toBeTruthy()
    vi.unstubAllGlobals()
  })
  it('causes by what was laid, a way back taken and kept', async () => {
    at('?tab=trouble', { laid: { 'top-1': { product: 'lacquer-clear', at: `${today()}T19:00`, air: 18, surface: 18, humidity: 88 } } })
    await userEvent.click(await screen.findByRole('button', { name: /^Milky white haze/ }))
    expect(inHand().getByText(/logged: nitrocellulose clear 1 went on at 88 % humidity/)).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: /^This one: Warm, dry air/ }))
    await waitFor(() => expect(Object.values(server.build.finish.troubles!)).toMatchObject([{ symptom: 'blush', way: 'wait' }]))
  })
})
