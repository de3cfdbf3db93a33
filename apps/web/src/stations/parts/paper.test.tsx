import { changed, fullBuild, without } from '@snug/core/testing/fullBuild'
import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { inHand, layOut, loupe, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import PartsStation from './PartsStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({
  Line: () => null,
  Bar: (p: { 'aria-label': string }) => <div role="img" aria-label={p['aria-label']} />,
}))

/** What was opened for the printer, as text. */
const printed: Promise<string>[] = []
beforeEach(() => {
  printed.length = 0
  URL.createObjectURL = (b) => {
    printed.push((b as Blob).text())
    return 'blob:sheet'
  }
  URL.revokeObjectURL = () => undefined
  window.open = () => null
})
const sheet = async () => {
  await waitFor(() => expect(printed.length).toBeGreaterThan(0))
  return await printed[0]!
}
const openSheet = async (title: RegExp) => {
  show(<PartsStation />, 'parts?tab=paper')
  await userEvent.click(screen.getByRole('button', { name: title }))
}

describe('unpacking list', () => {
  it('counts what was looked over; a slip is taken back; printed with what is known', async () => {
    layOut()
    await openSheet(/Unpacking list/)
    const all = Object.keys(fullBuild().parts).length
    expect(inHand().getByText(new RegExp(`^0 of ${all} looked over`))).toBeTruthy()
    const came = inHand().getByLabelText('Nut: how it came')
    await userEvent.selectOptions(came, 'damaged')
    await waitFor(() => expect(server.build.unpacked).toEqual({ nut: 'damaged' }))
    expect(inHand().getByText(/^1 of/)).toBeTruthy()
    await userEvent.selectOptions(came, 'not yet')
    await waitFor(() => expect(server.build.unpacked).toEqual({}))
    await userEvent.selectOptions(came, 'missing')
    await userEvent.click(inHand().getByRole('button', { name: 'Print it' }))
    expect(await sheet()).toMatch(/Unpacking list[\s\S]*missing/)
  })
})

describe('order sheet', () => {
  it('keeps what was ordered; what comes is held against it, size by size', async () => {
    layOut()
    await openSheet(/Order sheet/)
    expect(inHand().getByText(/Nothing was sent yet/)).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: 'Keep this as the order' }))
    await waitFor(() => expect(server.build.orders?.guard?.revision).toBe(1))
    expect(inHand().getByText(/Revision 1, sent/)).toBeTruthy()
    const row = (name: RegExp) => inHand().getByText(name).closest('tr')!.textContent
    expect(row(/^Neck pickup opening, centre$/)).toMatch(/pass$/)
    useBuild.setState({ build: changed(server.build, { 'guard/opening.neck.centre': 112 }) })
    await waitFor(() => expect(row(/^Neck pickup opening, centre$/)).toMatch(/112 mmfail$/))
    expect(inHand().getByText('1 out of tolerance')).toBeTruthy()
  })
  it('another part by its name; its drawing lies in the loupe; a second revision counts on', async () => {
    layOut()
    await openSheet(/Order sheet/)
    await userEvent.selectOptions(inHand().getByLabelText('Part to order'), 'body')
    expect(loupe().getByRole('img', { name: /body/i })).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: 'Keep this as the order' }))
    await userEvent.click(await inHand().findByRole('button', { name: 'Keep a new revision' }))
    await waitFor(() => expect(server.build.orders?.body?.revision).toBe(2))
    await userEvent.click(inHand().getByRole('button', { name: 'Print it' }))
    expect(await sheet()).toMatch(/56\.55/)
  })
  it('nothing chosen: says what to do first', async () => {
    layOut({ ...fullBuild(), parts: {} })
    await openSheet(/Order sheet/)
    expect(inHand().getByText(/Put the part in its slot/)).toBeTruthy()
  })
})

describe('rescue estimate', () => {
  it('ticks add money and hours as ranges; what is left of its worth', async () => {
    layOut()
    await openSheet(/Rescue estimate/)
    const said = () => inHand().getByRole('status').textContent!
    expect(said()).toMatch(/Parts about 0 \(0 to 0\)/)
    await userEvent.click(inHand().getByRole('checkbox', { name: /Nut broken/ }))
    // A nut costs 2 to 12, most likely 7: nine times in ten within 1.645 · sqrt(10² / 24) = 3.4 of it.
    await waitFor(() => expect(said()).toMatch(/Parts about 7 \(4 to 10\) EUR, bench about 1\.2 \(0\.7 to 1\.7\) hours/))
    await userEvent.type(inHand().getByLabelText('Asked, EUR'), '300{Enter}')
    await userEvent.type(inHand().getByLabelText('Worth put right, EUR'), '250{Enter}')
    await waitFor(() => expect(said()).toMatch(/Left after price and parts: -57/))
    await userEvent.click(inHand().getByRole('checkbox', { name: /Nut broken/ }))
    await waitFor(() => expect(server.build.rescue).toEqual({ defects: [], asking: 300, worth: 250 }))
    expect(said()).toMatch(/-50/)
  })
  it('questions for the seller are those of what was ticked', async () => {
    layOut()
    await openSheet(/Rescue estimate/)
    await userEvent.click(inHand().getByRole('checkbox', { name: /Nut broken/ }))
    await userEvent.click(inHand().getByRole('button', { name: 'Print the questions for the seller' }))
    expect(await sheet()).toContain('Gap over fret 1, string by string.')
  })
  it('a price that cannot be is told', async () => {
    layOut()
    await openSheet(/Rescue estimate/)
    await userEvent.type(inHand().getByLabelText('Asked, EUR'), '-4{Enter}')
    expect(inHand().getByRole('alert').textContent).toMatch(/-4 cannot be; 0 to 1000000 is allowed/)
    expect(server.build.rescue).toBeUndefined()
  })
})

describe('copy and donor', () => {
  it('a measuring sheet of any kind, with every size it has', async () => {
    layOut()
    await openSheet(/Copy from an instrument/)
    await userEvent.selectOptions(inHand().getByLabelText('What to copy'), 'nut')
    await userEvent.click(inHand().getByRole('button', { name: 'Print the measuring sheet' }))
    expect(await sheet()).toMatch(/Width/)
  })
  it('breaks up into the stash in one go, but what was left out; the build stays', async () => {
    layOut()
    const before = server.build
    await openSheet(/Break a donor up/)
    const all = Object.keys(before.parts).length
    await userEvent.click(inHand().getByRole('checkbox', { name: new RegExp(before.parts.nut!.name) }))
    const place = inHand().getByLabelText('Where it lies')
    await userEvent.clear(place)
    await userEvent.type(place, 'shelf 3')
    await userEvent.click(inHand().getByRole('button', { name: `Put ${all - 1} parts in the stash` }))
    await waitFor(() => expect(server.stock).toHaveLength(all - 1))
    expect(server.stock.some((i) => i.part.kind === 'nut')).toBe(false)
    expect(new Set(server.stock.map((i) => `${i.place}/${i.quantity}/${i.part.state}`))).toEqual(new Set(['shelf 3/1/in hand']))
    expect(server.stock.find((i) => i.part.kind === 'body')!.part.sizes).toEqual(before.parts.body!.sizes)
    expect(server.build).toBe(before)
  })
  it('what nobody has yet is not put there unless it is ticked', async () => {
    const b = fullBuild()
    b.parts.guard!.state = 'planned'
    b.parts.nut!.state = 'ordered'
    layOut(b)
    await openSheet(/Break a donor up/)
    const ticked = (slot: 'guard' | 'nut' | 'neck') =>
      inHand()
        .getAllByRole<HTMLInputElement>('checkbox')
        .find((box) => box.closest('label')!.textContent!.startsWith(b.parts[slot]!.name))!
    expect([ticked('guard').checked, ticked('nut').checked, ticked('neck').checked]).toEqual([false, false, true])
    expect(ticked('guard').closest('label')!.textContent).toMatch(/not here yet$/)
    await userEvent.click(inHand().getByRole('button', { name: /^Put \d+ parts in the stash/ }))
    await waitFor(() => expect(server.stock).toHaveLength(Object.keys(b.parts).length - 2))
    expect(server.stock.some((i) => i.part.kind === 'guard' || i.part.kind === 'nut')).toBe(false)
  })
  it('nothing ticked, nothing to do', async () => {
    layOut(without(fullBuild(), ...(Object.keys(fullBuild().parts).filter((s) => s !== 'nut') as never[])))
    await openSheet(/Break a donor up/)
    await userEvent.click(inHand().getByRole('checkbox'))
    expect(inHand().getByRole<HTMLButtonElement>('button', { name: /^Put 0 parts/ }).disabled).toBe(true)
  })
})

describe('money', () => {
  const priced = () => {
    const b = structuredClone(fullBuild())
    Object.assign(b.parts.guard!, { price: 40, seller: 'a', state: 'ordered' })
    Object.assign(b.parts.bridge!, { price: 110, seller: 'b', state: 'planned' })
    Object.assign(b.parts.neck!, { price: 90, seller: 'b', state: 'in hand' })
    return b
  }
  const row = (seller: string) =>
    screen
      .getAllByRole('row')
      .map((r) => r.textContent!)
      .find((t) => t.startsWith(seller))
  it('by seller: planned, paid, and one postage a parcel', async () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    expect(row('b')).toMatch(/200\.0090\.00/)
    expect(screen.getByRole('img', { name: /Planned money by seller: b 200, a 40/ })).toBeTruthy()
    await userEvent.type(screen.getByLabelText('Postage from b'), '12{Enter}')
    await waitFor(() => expect(server.build.parcels).toEqual({ b: 12 }))
    expect(screen.getByRole('img', { name: /b 212, a 40/ })).toBeTruthy()
  })
  it('of a tub only the share counts; left out again it costs nothing', async () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    await userEvent.type(screen.getByLabelText('Name of a consumable'), 'Grain filler')
    await userEvent.click(screen.getByRole('button', { name: 'Count it' }))
    const price = await screen.findByLabelText('Grain filler, price of all')
    await userEvent.clear(price)
    await userEvent.type(price, '20{Enter}')
    const share = screen.getByLabelText('Grain filler, percent used')
    await userEvent.clear(share)
    await userEvent.type(share, '25{Enter}')
    await waitFor(() => expect(server.build.consumables).toEqual({ 'grain-filler': { name: 'Grain filler', price: 20, share: 0.25 } }))
    await userEvent.click(screen.getByRole('button', { name: 'Leave out' }))
    await waitFor(() => expect(server.build.consumables).toEqual({}))
  })
  it('what is entered once more stands beside the first, whatever it is called', async () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    const add = async (label: string, name: string, button: string) => {
      await userEvent.type(screen.getByLabelText(label), name)
      await userEvent.click(screen.getByRole('button', { name: button }))
    }
    for (const name of ['Solder', 'Solder', 'лак', 'клей']) await add('Name of a consumable', name, 'Count it')
    await waitFor(() =>
      expect(Object.values(server.build.consumables ?? {}).map((c) => c.name)).toEqual(['Solder', 'Solder', 'лак', 'клей']),
    )
    for (const what of ['Tint', 'Tint']) await add('Work for a shop', what, 'Add the work')
    await waitFor(() => expect(Object.values(server.build.shop ?? {}).length).toBe(2))
  })
  it('a shop’s work costs money and days; what it is sold for says what is left', async () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    await userEvent.type(screen.getByLabelText('Work for a shop'), 'Neck tinted')
    await userEvent.click(screen.getByRole('button', { name: 'Add the work' }))
    const price = await screen.findByLabelText('Neck tinted, price')
    await userEvent.clear(price)
    await userEvent.type(price, '300{Enter}')
    await userEvent.selectOptions(screen.getByLabelText('Neck tinted, the part that is away'), 'neck')
    await userEvent.type(screen.getByLabelText('Neck tinted, promised back'), '2026-12-18')
    await waitFor(() =>
      expect(server.build.shop).toEqual({ 'neck-tinted': { what: 'Neck tinted', price: 300, back: '2026-12-18', slot: 'neck' } }),
    )
    // 240 of parts and 300 for the work.
    await waitFor(() => expect(document.body.textContent).toMatch(/Planned 540\.00/))
    await userEvent.type(inHand().getByLabelText('To be sold for, EUR'), '500{Enter}')
    await waitFor(() => expect(document.body.textContent).toMatch(/Lost when sold 40\.00/))
    await userEvent.click(screen.getByRole('button', { name: 'Not by a shop' }))
    await waitFor(() => expect(server.build.shop).toEqual({}))
    expect(document.body.textContent).toMatch(/Left when sold 260\.00/)
  })
  it('a budget below what is planned is told in the foot', async () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    await userEvent.type(inHand().getByLabelText('Budget, EUR'), '200{Enter}')
    await waitFor(() => expect(server.build.budget).toBe(200))
    await waitFor(() => expect(document.body.textContent).toMatch(/-40|40(\.00)? over/))
  })
  it('what is still to come, or that everything is in hand', () => {
    layOut(priced())
    show(<PartsStation />, 'parts?tab=money')
    expect(inHand().getAllByRole('listitem')).toHaveLength(2)
  })
})
