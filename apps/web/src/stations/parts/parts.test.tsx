import type { StockItem } from '@snug/core'
import { changed, fullBuild, without } from '@snug/core/testing/fullBuild'
import { fireEvent, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { inHand, layOut, loupe, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import { CsvSheet } from './CsvSheet'
import PartsStation from './PartsStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({
  Line: () => null,
  Bar: (p: { 'aria-label': string }) => <div role="img" aria-label={p['aria-label']} />,
}))

const stash = (more: Partial<StockItem> = {}): StockItem => ({
  id: 's0',
  part: { ...fullBuild().parts.nut!, name: 'Nut from the drawer' },
  holding: 'stash',
  quantity: 2,
  reserved: {},
  ...more,
})

describe('slots', () => {
  it('what is chosen or needed first; the slot in hand with its part, sizes and drawing', () => {
    layOut(without(fullBuild(), 'nut'))
    show(<PartsStation />, 'parts/jack')
    const rows = [...document.querySelectorAll('.ws-list li')]
    expect(rows[0]!.textContent).toMatch(/body/)
    expect(rows.find((r) => r.textContent!.includes('Nut: empty'))!.textContent).toMatch(/the build cannot do without it/)
    expect(inHand().getByLabelText<HTMLInputElement>('Bore it needs').value).toBe('9.5')
    expect(loupe().getByRole('img', { name: 'jack' })).toBeTruthy()
  })
  it('a part that nothing takes says why, in the list and in the hand', () => {
    layOut(changed(fullBuild(), {}, { 'bridge/mount': 'screws' }))
    show(<PartsStation />, 'parts/springs')
    expect(
      inHand().getByText('Nothing here takes it: the bridge does not move. Take it out, or say of the other part what it is.'),
    ).toBeTruthy()
    const rows = [...document.querySelectorAll('.ws-list li')]
    expect(rows.filter((r) => r.textContent!.includes('nothing takes it')).map((r) => r.textContent)).toEqual([
      expect.stringMatching(/nothing takes it: the bridge does not move/),
    ])
  })
  it('two sizes that cannot both be right are said in the list and in the hand, until one is read again', async () => {
    layOut(changed(fullBuild(), { 'neck-screws/root': 4.2, 'neck-screws/thread': 3 }))
    show(<PartsStation />, 'parts/neck-screws')
    const odd = /Root diameter 4\.2 mm and thread diameter 3 mm cannot both be right/
    expect(inHand().getByText(odd)).toBeTruthy()
    const rows = () => [...document.querySelectorAll('.ws-list li')].filter((r) => r.textContent!.includes('cannot be right together'))
    expect(rows()).toHaveLength(1)
    const root = inHand().getByLabelText<HTMLInputElement>('Root diameter')
    expect(root.value).toBe('4.2')
    await userEvent.clear(root)
    await userEvent.type(root, '2.1{Enter}')
    await waitFor(() => expect(inHand().queryByText(odd)).toBeNull())
    expect(rows()).toHaveLength(0)
  })
  it('of neck and body in one piece nothing is asked of a pocket or a heel, and how high the board stands is', async () => {
    layOut(fullBuild())
    show(<PartsStation />, 'parts/body')
    expect(inHand().getByLabelText('Pocket length')).toBeTruthy()
    await userEvent.click(inHand().getByText(/^What it is/))
    await userEvent.selectOptions(inHand().getByLabelText('Neck and body are'), 'in one piece: built so, or the neck glued in')
    await waitFor(() => expect(inHand().queryByLabelText('Pocket length')).toBeNull())
    expect(inHand().getByLabelText('Top of the board over the front')).toBeTruthy()
    // 255 mm from a pocket of 76: a guess from the board's end, until it is read from there.
    expect(inHand().getByLabelText<HTMLInputElement>('Bridge studs or screws, along the centre line').value).toBe('179')
    expect(server.build.parts.body!.sizes.mouthToBridge).toMatchObject({ value: 179, known: 'assumed' })
    expect(server.build.parts.body!.sizes['pocket.length']).toEqual(fullBuild().parts.body!.sizes['pocket.length'])
  })
  it('a part is put into an empty slot by its name, then wants its sizes', async () => {
    layOut(without(fullBuild(), 'nut'))
    show(<PartsStation />, 'parts/nut')
    await userEvent.type(inHand().getByLabelText('Name of the nut'), 'Bone blank')
    await userEvent.click(inHand().getByRole('button', { name: 'Put it in' }))
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toBe('Bone blank'))
    expect(inHand().getByText(/sizes are needed before its joints can be judged/)).toBeTruthy()
    await waitFor(() => expect(server.build.parts.nut!.state).toBe('planned'))
  })
  it('then the next one that is empty and needed is in the hand', async () => {
    layOut(without(without(fullBuild(), 'nut'), 'strings'))
    show(<PartsStation />, 'parts/nut')
    await userEvent.click(inHand().getByRole('button', { name: 'Put it in' }))
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toBe('Strings'))
    expect(server.build.parts.nut!.name).toBe('Nut')
  })
  it('the size a person is at is shown where it is taken, with how', () => {
    layOut(fullBuild())
    show(<PartsStation />, 'parts/body')
    const field = inHand().getByLabelText('Pocket width, mouth')
    fireEvent.focus(field)
    expect(loupe().getByRole('img', { name: 'Body, from the front' })).toBeTruthy()
    expect(field.getAttribute('aria-describedby')).toBeTruthy()
    fireEvent.blur(field)
    expect(loupe().queryByRole('img', { name: 'Body, from the front' })).toBeNull()
  })
  it('from the stash it comes with its sizes and is put by', async () => {
    layOut(without(fullBuild(), 'nut'))
    server.stock = [stash()]
    show(<PartsStation />, 'parts/nut')
    await userEvent.click(await inHand().findByRole('button', { name: 'Take this one' }))
    await waitFor(() => expect(server.build.parts.nut!.name).toBe('Nut from the drawer'))
    expect(server.build.parts.nut!.sizes.width!.value).toBe(3.33)
    await waitFor(() => expect(server.stock[0]!.reserved).toEqual({ b: 1 }))
  })
  it('an impossible price is told and the old one kept', async () => {
    layOut()
    show(<PartsStation />, 'parts/guard')
    const price = inHand().getByLabelText('Price, EUR')
    await userEvent.type(price, 'ten{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/"ten" is not a number; write it like 12\.50/)
    expect(server.build.parts.guard!.price).toBeUndefined()
    await userEvent.clear(price)
    await userEvent.type(price, '16.5{Enter}')
    await waitFor(() => expect(server.build.parts.guard!.price).toBe(16.5))
  })
  it('fixed, preferred or open, and a property: each is a change with words', async () => {
    layOut()
    show(<PartsStation />, 'parts/jack')
    await userEvent.selectOptions(inHand().getByLabelText('This slot'), 'preferred')
    await userEvent.selectOptions(inHand().getByLabelText('Contacts'), 'stereo')
    await waitFor(() => expect(server.build.slots).toEqual({ jack: 'preferred' }))
    await waitFor(() => expect(server.build.parts.jack!.traits.contacts).toBe('stereo'))
    expect(server.done.map((c) => c.label)).toEqual(['Jack: preferred', 'Jack, contacts: stereo'])
  })
  it('not as listed: measured against what was promised, with a claim to take away', () => {
    const b = structuredClone(fullBuild())
    b.parts.guard!.promised = { thickness: { value: 3.9, doubt: 0.4, known: 'listed' } }
    layOut(b)
    show(<PartsStation />, 'parts/guard')
    expect(inHand().getByRole('alert').textContent).toMatch(/Not as listed.*Thickness: promised 3\.9 mm, came 2\.5 mm/)
    expect(inHand().getByRole('button', { name: 'Claim sheet' })).toBeTruthy()
  })
  it('a size can be forgotten, a part taken out or put into the stash', async () => {
    layOut()
    show(<PartsStation />, 'parts/nut')
    await userEvent.click(inHand().getByRole('button', { name: 'Forget Length' }))
    await waitFor(() => expect(server.build.parts.nut!.sizes.length).toBeUndefined())
    await userEvent.click(inHand().getByRole('button', { name: 'Put it in the stash' }))
    await waitFor(() => expect(server.stock.map((i) => i.part.name)).toEqual(['nut']))
    await waitFor(() => expect(server.build.parts.nut).toBeUndefined())
  })
})

describe('money', () => {
  const priced = () => {
    const b = structuredClone(fullBuild())
    Object.assign(b.parts.guard!, { price: 16, seller: 'Low Tide Plastics' })
    Object.assign(b.parts.bridge!, { price: 58, seller: 'Capstan Hardware', state: 'ordered', arrives: '2027-01-04' })
    return { ...b, budget: 100, due: '2027-02-15', parcels: { 'Capstan Hardware': 4.5 } }
  }
  it('by seller, one postage a parcel, and what is left', () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    const row = screen.getByRole('row', { name: /Capstan Hardware/ })
    expect(row.textContent).toMatch(/158\.0058\.00/)
    expect(screen.getByRole('img', { name: /Planned money by seller: Capstan Hardware 63/ })).toBeTruthy()
  })
  it('postage and budget are entered where they stand; nonsense is told', async () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    const postage = screen.getByLabelText('Postage from Capstan Hardware')
    await userEvent.clear(postage)
    await userEvent.type(postage, '-4{Enter}')
    expect(screen.getByRole('alert').textContent).toMatch(/-4 cannot be; 0 to 100000 is allowed/)
    await userEvent.clear(postage)
    await userEvent.type(postage, '6{Enter}')
    await waitFor(() => expect(server.build.parcels).toEqual({ 'Capstan Hardware': 6 }))
  })
  it('what is still to come stands with its day', () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    expect(inHand().getByText(/Promised for 4 Jan/)).toBeTruthy()
  })
})

describe('a table of parts', () => {
  const file = (text: string, name = 'parts.csv') => new File([text], name, { type: 'text/csv' })
  it('errors by row and column, nothing to take', async () => {
    layOut()
    show(<CsvSheet file={file('kind,name,pocket.depth\nbody,Deep,160\nbodi,Slip,16\n')} onClose={() => undefined} />)
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/2 cells cannot be; nothing is taken in/))
    expect(screen.getAllByRole('row')[1]!.textContent).toMatch(/^2pocket\.depth160/)
    expect(screen.queryByRole('button', { name: /Take/ })).toBeNull()
  })
  it('a good one is looked over, then taken in', async () => {
    layOut()
    const close = vi.fn()
    show(<CsvSheet file={file('kind,name,quantity\nnut,One,2\nnut,Two,1\n')} onClose={close} />)
    await userEvent.click(await screen.findByRole('button', { name: 'Take 2 parts in' }))
    await waitFor(() => expect(close).toHaveBeenCalled())
    expect(server.stock.map((i) => i.part.name)).toEqual(['One', 'Two'])
  })
  it('a file far too large is refused before it is read', async () => {
    layOut()
    const huge = file('x')
    Object.defineProperty(huge, 'size', { value: 11e6 })
    show(<CsvSheet file={huge} onClose={() => undefined} />)
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/11\.0 MB; at most 10 MB/))
  })
})

describe('the stash', () => {
  it('lists, searches, and opens what is in hand', async () => {
    layOut()
    server.stock = [stash(), stash({ id: 's1', part: { ...fullBuild().parts.jack!, name: 'Jack, open' }, minimum: 5 })]
    show(<PartsStation />, 'parts?tab=stock')
    await waitFor(() => expect(screen.getByText('2').parentElement!.textContent).toBe('2 parts'))
    fireEvent.change(screen.getByLabelText('Search parts'), { target: { value: 'jack' } })
    await waitFor(() => expect(screen.getByText('1').parentElement!.textContent).toBe('1 parts'))
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toBe('Jack, open'))
    const many = inHand().getByLabelText('How many')
    await userEvent.clear(many)
    await userEvent.type(many, '7{Enter}')
    await waitFor(() => expect(server.stock[1]!.quantity).toBe(7))
  })
  it('the place is written and cleared; nobody can put by more than there is', async () => {
    layOut()
    server.stock = [stash({ place: 'tin 2', reserved: { other: 1 } })]
    show(<PartsStation />, 'parts?tab=stock')
    const place = await waitFor(() => inHand().getByLabelText('Where it lies'))
    await userEvent.clear(place)
    await userEvent.type(place, 'tin 7{Enter}')
    await waitFor(() => expect(server.stock[0]!.place).toBe('tin 7'))
    const again = inHand().getByLabelText('Where it lies')
    await userEvent.clear(again)
    await userEvent.type(again, '{Enter}')
    await waitFor(() => expect(server.stock[0]!.place).toBeUndefined())
    const by = inHand().getByLabelText(/^Put by for .*1 free/)
    await userEvent.clear(by)
    await userEvent.type(by, '2{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/0 to 1 is allowed/)
    await userEvent.clear(by)
    await userEvent.type(by, '1{Enter}')
    await waitFor(() => expect(server.stock[0]!.reserved).toEqual({ other: 1, b: 1 }))
  })
  it('used in the build it is put by; put back it lies where it lay, with what was measured', async () => {
    layOut(without(fullBuild(), 'nut'))
    server.stock = [stash({ quantity: 1, place: 'tin 2' })]
    show(<PartsStation />, 'parts?tab=stock')
    await userEvent.click(await inHand().findByRole('button', { name: /^Use it in/ }))
    await waitFor(() => expect(server.stock[0]!.reserved).toEqual({ b: 1 }))
    const width = inHand().getByLabelText('Width, along the strings')
    await userEvent.clear(width)
    await userEvent.type(width, '3.41{Enter}')
    await userEvent.click(inHand().getByRole('button', { name: 'Put it in the stash' }))
    await waitFor(() => expect(server.build.parts.nut).toBeUndefined())
    expect(server.stock).toHaveLength(1)
    expect(server.stock[0]).toMatchObject({ place: 'tin 2', quantity: 1, reserved: {} })
    expect(server.stock[0]!.part.sizes.width!.value).toBe(3.41)
  })
  it('what never was in the stash goes into it as a part of its own', async () => {
    layOut()
    show(<PartsStation />, 'parts/jack')
    await userEvent.click(inHand().getByRole('button', { name: 'Put it in the stash' }))
    await waitFor(() => expect(server.stock).toHaveLength(1))
    await waitFor(() => expect(server.build.parts.jack).toBeUndefined())
    expect(server.stock[0]).toMatchObject({ quantity: 1, reserved: {}, part: { kind: 'jack' } })
  })
  it('an offer: price, postage, days promised and what they turned out to be', async () => {
    layOut()
    server.stock = [stash({ holding: 'offer' })]
    show(<PartsStation />, 'parts?tab=stock')
    for (const [label, text] of [
      ['Price, EUR', '12.5'],
      ['Postage of a parcel', '4'],
      ['Days promised', '14'],
      ['Days it took so far', '56'],
    ] as const) {
      await userEvent.type(await waitFor(() => inHand().getByLabelText(label)), `${text}{Enter}`)
      await waitFor(() => expect(JSON.stringify(server.stock[0])).toContain(text))
    }
    expect(server.stock[0]).toMatchObject({ shipping: 4, lead: { promised: 14, seen: 56 }, part: { price: 12.5 } })
    await userEvent.click(inHand().getByRole('button', { name: 'Forget this offer' }))
    await waitFor(() => expect(server.stock).toEqual([]))
  })
  it('nothing by that name; an empty stash says how to fill it', async () => {
    layOut()
    show(<PartsStation />, 'parts?tab=stock')
    await waitFor(() => expect(screen.getByText(/The stash is empty/)).toBeTruthy())
    fireEvent.change(screen.getByLabelText('Search parts'), { target: { value: 'zither' } })
    await waitFor(() => expect(screen.getByText('Nothing by that name.')).toBeTruthy())
  })
})
