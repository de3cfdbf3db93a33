import type { StockItem } from '@snug/core'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { usePrefs } from '../../state/prefs'
import { inHand, layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import PartsStation from './PartsStation'
import { ToolsHere } from './ToolsHere'
import { WhyNotPanel } from './WhyNotPanel'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))

const stash = (): StockItem => ({
  id: 's0',
  part: { ...fullBuild().parts.nut!, name: 'Nut from the drawer' },
  holding: 'stash',
  quantity: 2,
  reserved: {},
})

describe('choosing', () => {
  const offer = (id: string, spacing: number, price: number): StockItem => ({
    id,
    part: {
      ...changed(fullBuild(), { 'bridge/studSpacing': spacing }).parts.bridge!,
      name: `Bridge ${id}`,
      price,
      seller: 'Capstan Hardware',
    },
    holding: 'offer',
    quantity: 1,
    reserved: {},
    shipping: 4,
    lead: { promised: 6 },
  })
  it('the best set first, why another is out, with the number and the nearest that would do', async () => {
    layOut({ ...fullBuild(), slots: { bridge: 'open' } })
    server.stock = [offer('good', 74, 50), offer('wide', 80, 20)]
    show(<PartsStation />, 'parts?tab=choose')
    await waitFor(() => expect(screen.getByText(/2 parts of/)).toBeTruthy())
    await userEvent.click(screen.getByRole('button', { name: 'Find sets' }))
    await waitFor(() => expect(inHand().getByRole('heading', { name: 'Its joints' })).toBeTruthy())
    const wide = screen
      .getAllByRole('listitem')
      .find((l) => l.textContent!.includes('Bridge wide') && within(l).queryByRole('button', { name: 'Why not this' }))!
    await userEvent.click(within(wide).getByRole('button', { name: 'Why not this' }))
    await waitFor(() => expect(inHand().getByText(/6 mm apart/)).toBeTruthy())
    expect(inHand().getByText(/Nearest that would do/)).toBeTruthy()
  })
  it('a set with a price nobody named says so; what is ordered stays ordered when its set is taken', async () => {
    const b = { ...changed(fullBuild(), { 'bridge/studSpacing': 80 }), slots: { bridge: 'open' as const, guard: 'open' as const } }
    layOut({ ...b, parts: { ...b.parts, guard: { ...b.parts.guard!, state: 'ordered' } } })
    const { price: _, ...unpriced } = offer('good', 74, 50).part
    const { lead: __, ...undated } = offer('good', 74, 50)
    server.stock = [{ ...undated, part: unpriced }]
    show(<PartsStation />, 'parts?tab=choose')
    await waitFor(() => expect(screen.getByText(/parts? of these kinds/)).toBeTruthy())
    await userEvent.click(screen.getByRole('button', { name: 'Find sets' }))
    await waitFor(() => expect(inHand().getByText(/1 part in it has no price: it costs more than that/)).toBeTruthy())
    expect(inHand().getByText('no price')).toBeTruthy()
    expect(inHand().getByText(/Nobody says when 2 parts of it come/)).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: 'Take this set' }))
    await waitFor(() => expect(server.build.parts.bridge!.name).toBe('Bridge good'))
    expect(server.build.parts.guard!.state).toBe('ordered')
    // What was found was found for the build before: nobody takes it twice by figures that need not hold.
    const list = within(screen.getByRole('region', { name: 'Sets that go together' }))
    expect(list.getByText('Something has changed since these were found: find sets again.')).toBeTruthy()
    expect(inHand().queryByRole('button', { name: 'Take this set' })).toBeNull()
    await userEvent.click(inHand().getByRole('button', { name: 'Find sets again' }))
    await waitFor(() => expect(inHand().getByRole('button', { name: 'Take this set' })).toBeTruthy())
    expect(list.queryByText(/Something has changed/)).toBeNull()
  })
  it('another limit makes what was found old, and what was asked about a part goes', async () => {
    layOut({ ...fullBuild(), slots: { bridge: 'open' } })
    server.stock = [offer('good', 74, 50), offer('wide', 80, 20)]
    show(<PartsStation />, 'parts?tab=choose')
    await waitFor(() => expect(screen.getByText(/2 parts of/)).toBeTruthy())
    await userEvent.click(screen.getByRole('button', { name: 'Find sets' }))
    // The best one is what is chosen already.
    await waitFor(() => expect(inHand().getByText(/there is nothing to take/)).toBeTruthy())
    expect(inHand().queryByRole('button', { name: 'Take this set' })).toBeNull()
    await userEvent.click(screen.getAllByRole('button', { name: 'Why not this' })[0]!)
    await waitFor(() => expect(inHand().getByText(/^Why not/)).toBeTruthy())
    await userEvent.selectOptions(screen.getByLabelText('Ranked by'), 'soonest here')
    expect(inHand().queryByText(/^Why not/)).toBeNull()
    expect(inHand().getByRole('button', { name: 'Find sets again' })).toBeTruthy()
    await userEvent.selectOptions(screen.getByLabelText('Ranked by'), 'least money')
    await userEvent.click(inHand().getByRole('button', { name: 'Find sets again' }))
    await waitFor(() => expect(inHand().queryByRole('button', { name: 'Find sets again' })).toBeNull())
    await userEvent.click(screen.getAllByRole('button', { name: /Bridge good/ })[0]!)
    expect(inHand().getByRole('button', { name: 'Take this set' })).toBeTruthy()
  })
  it('no set: says which joint stands in the way', async () => {
    const b = changed(fullBuild(), { 'bridge/studSpacing': 81 })
    layOut({ ...b, slots: { bridge: 'open' as const, body: 'open' as const, strings: 'open' as const } })
    server.stock = [offer('wide', 80, 20)]
    show(<PartsStation />, 'parts?tab=choose')
    await waitFor(() => expect(screen.getByText(/parts? of these kinds/)).toBeTruthy())
    await userEvent.click(screen.getByRole('button', { name: 'Find sets' }))
    const list = screen.getByRole('region', { name: 'Sets that go together' })
    await waitFor(() =>
      expect(list.textContent).toMatch(
        /No complete set keeps all limits\. Most often in the way: bridge studs in the body\. Ask “why not” of a part below, or loosen a limit\./,
      ),
    )
    expect(inHand().queryByRole('heading', { name: 'Its joints' })).toBeNull()
  })
  it('what goes after larger jobs is shown with them where nothing goes as it is', async () => {
    layOut({ ...changed(fullBuild(), { 'bridge/studSpacing': 81 }), slots: { bridge: 'open' as const } })
    server.stock = [offer('wide', 80, 20)]
    show(<PartsStation />, 'parts?tab=choose')
    await waitFor(() => expect(screen.getByText(/parts? of these kinds/)).toBeTruthy())
    await userEvent.click(screen.getByRole('checkbox', { name: 'no cutting of finished wood' }))
    await userEvent.click(screen.getByRole('button', { name: 'Find sets' }))
    await waitFor(() => expect(inHand().getByRole('heading', { name: 'Its joints' })).toBeTruthy())
    const list = screen.getByRole('region', { name: 'Sets that go together' })
    expect(list.textContent).toMatch(/No complete set goes as it is\. Most often in the way: bridge studs in the body\. These go once/)
    expect(list.textContent).not.toMatch(/keeps all limits/)
    expect(inHand().getByText(/^Plug the old holes and drill at 8[01] mm\.$/)).toBeTruthy()
    const wide = screen
      .getAllByRole('listitem')
      .find((l) => l.textContent!.includes('Bridge wide') && within(l).queryByRole('button', { name: 'Why not this' }))!
    await userEvent.click(within(wide).getByRole('button', { name: 'Why not this' }))
    await waitFor(() => expect(inHand().getByText(/It goes once what will not go as it is has been put right/)).toBeTruthy())
    expect(inHand().getByText('Plug the old holes and drill at 80 mm.')).toBeTruthy()
  })
  it('all there is of a kind is looked at, however much it is', async () => {
    layOut({ ...fullBuild(), slots: { bridge: 'open' } })
    server.stock = Array.from({ length: 1103 }, (_, n) => offer(`${n}`, 74, 50))
    show(<PartsStation />, 'parts?tab=choose')
    await waitFor(() => expect(screen.getByText(/1103 parts of these kinds/)).toBeTruthy())
  })
  it('tools that are missing are remembered on this machine', async () => {
    layOut()
    show(<ToolsHere />)
    await userEvent.click(screen.getByText(/^Tools here: all of them/))
    await userEvent.click(screen.getByRole('checkbox', { name: 'router' }))
    expect(usePrefs.getState().lacking).toEqual(['router'])
    expect(screen.getByText(/all but router/)).toBeTruthy()
    await userEvent.click(screen.getByRole('checkbox', { name: 'router' }))
    expect(usePrefs.getState().lacking).toEqual([])
  })
})

describe('why not', () => {
  const item = stash()
  it('waits, then gives the reason that holds whatever else is chosen', () => {
    layOut()
    const { rerender } = show(<WhyNotPanel item={item} result={undefined} />)
    expect(screen.getByText('Trying it…')).toBeTruthy()
    rerender(<WhyNotPanel item={item} result={{ alone: 'It takes 40 days to come; the limit is 12 days.', clashes: [], nearest: item }} />)
    expect(screen.getByText(/40 days to come/)).toBeTruthy()
    expect(screen.getByText(/Nearest that would do/)).toBeTruthy()
  })
  it('clashes with their numbers; or nothing stands against it', () => {
    layOut()
    show(
      <WhyNotPanel item={item} result={{ clashes: [{ id: 'x', title: 'Nut in its slot', verdict: 'wont-go', says: '4 mm too low.' }] }} />,
    )
    expect(screen.getByText(/4 mm too low/)).toBeTruthy()
    expect(screen.getByRole('img', { name: 'won’t go' })).toBeTruthy()
  })
  it('a set that goes only after larger jobs says so, with the jobs and what it costs more', () => {
    layOut()
    const joints = [{ id: 'x', title: 'Nut in its slot', verdict: 'wont-go' as const, says: '4 mm too low.', job: 'Raise it by 4 mm.' }]
    const replanned = { items: [], money: 20, unpriced: 0, undated: 0, parcels: [], minutes: 60, days: 3, joints }
    const result = { clashes: [], replanned, more: { money: -4, minutes: 60, days: 0 } }
    show(<WhyNotPanel item={item} result={result} />)
    expect(
      screen.getByText(
        'It goes only after larger jobs on what is here: the best set with it costs −4.00 in money, +60 min at the bench and 0 days against the best.',
      ),
    ).toBeTruthy()
    expect(screen.getByText('Raise it by 4 mm.')).toBeTruthy()
    expect(screen.queryByText(/No complete set keeps/)).toBeNull()
  })
  it('says when no complete set keeps the limits with it', () => {
    layOut()
    show(<WhyNotPanel item={item} result={{ clashes: [] }} />)
    expect(screen.getByText(/No complete set keeps the limits/)).toBeTruthy()
  })
})

describe('what choosing may change', () => {
  it('opens with one act every slot whose part is not in hand', async () => {
    const b = structuredClone(fullBuild())
    b.parts.guard!.state = 'planned'
    b.parts.tuners!.state = 'ordered'
    layOut(b)
    show(<PartsStation />, 'parts?tab=choose')
    await userEvent.click(screen.getByRole('button', { name: 'Open the 2 slots whose parts are not in hand' }))
    await waitFor(() => expect(server.build.slots).toEqual({ guard: 'open', tuners: 'open' }))
    expect(screen.queryByRole('button', { name: /not in hand$/ })).toBeNull()
  })
})
