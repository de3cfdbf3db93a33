import type { StockItem } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import PartsStation from './PartsStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({
  Line: () => null,
  Bar: (p: { 'aria-label': string }) => <div role="img" aria-label={p['aria-label']} />,
}))

describe('by when to order', () => {
  it('each part by the step that wants it, its cheapest offers with their days, and how many dearer there are', async () => {
    const b = structuredClone(fullBuild())
    b.parts.tuners!.state = 'planned'
    layOut({ ...b, due: '2027-06-01' })
    const tuners = (name: string, price: number, days?: number): StockItem => ({
      id: name,
      part: { ...b.parts.tuners!, name, price },
      holding: 'offer',
      quantity: 1,
      reserved: {},
      ...(days === undefined ? {} : { lead: { promised: days } }),
    })
    server.stock = [tuners('Dear', 90, 5), tuners('Cheap', 20, 30), tuners('Unsaid', 30), tuners('Middling', 40, 5)]
    show(<PartsStation />, 'parts?tab=money')
    const list = (await screen.findByRole('heading', { name: 'Latest day to order' })).nextElementSibling!
    expect(list.textContent).toMatch(
      /^Tuners first wanted for: .*Cheap 20\.00.*Unsaid 30\.00nobody says how long it takes.*Middling 40\.00/,
    )
    expect(list.textContent).toMatch(/and 1 dearer one$/)
    expect(list.textContent).not.toMatch(/Dear 90|too late/)
  })
  it('a day that is past is said to be too late', async () => {
    const b = structuredClone(fullBuild())
    b.parts.tuners!.state = 'planned'
    layOut({ ...b, due: '2026-01-10' })
    server.stock = [{ id: 'slow', part: b.parts.tuners!, holding: 'offer', quantity: 1, reserved: {}, lead: { promised: 400 } }]
    show(<PartsStation />, 'parts?tab=money')
    const list = (await screen.findByRole('heading', { name: 'Latest day to order' })).nextElementSibling!
    expect(list.textContent).toMatch(/too late, was /)
  })
})

describe('one parcel or several', () => {
  it('says when all of a seller is here, when each would be apart, and the postage between', async () => {
    const b = structuredClone(fullBuild())
    for (const slot of ['tuners', 'strings'] as const) Object.assign(b.parts[slot]!, { state: 'planned', seller: 'Capstan Hardware' })
    layOut({ ...b, due: '2028-06-01', parcels: { 'Capstan Hardware': 4.5 } })
    const offered = (slot: 'tuners' | 'strings', days: number): StockItem => ({
      id: slot,
      part: b.parts[slot]!,
      holding: 'offer',
      quantity: 1,
      reserved: {},
      lead: { promised: days, seen: days },
    })
    server.stock = [offered('tuners', 5), offered('strings', 40)]
    show(<PartsStation />, 'parts?tab=money')
    const list = (await screen.findByRole('heading', { name: 'One parcel or several' })).nextElementSibling!
    expect(list.textContent).toBe(
      'Capstan Hardware: all in one parcel is here in 40 days. Apart: tuners in 5, strings in 40, for 4.50 EUR of postage more. One parcel makes nothing late that would be in time alone.',
    )
  })
})
