import { fullBuild } from '@snug/core/testing/fullBuild'
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { inHand, layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import PlanStation from './PlanStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))

/** Sets are weighed and plans worked through before it is there. */
const SOON = { timeout: 8000 }

const at = (tab: string, more = {}) => {
  layOut({ ...fullBuild(), evenings: [90, 90, 90, 90, 90, 90, 90], ...more })
  show(<PlanStation />, `plan${tab}`)
}
const list = (name: string) => within(screen.getByRole('region', { name }))

describe('tonight', () => {
  it('so many minutes, the set that fits; ticked it stays on the list as done', async () => {
    at('?tab=tonight')
    expect(await screen.findByText(/\d+ of \d+ minutes/, {}, SOON)).toBeTruthy()
    const field = screen.getByLabelText('Minutes tonight')
    await userEvent.clear(field)
    await userEvent.type(field, '150{Enter}')
    expect(await screen.findByText(/of 150 minutes/, {}, SOON)).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: 'Done' }))
    await waitFor(() => expect(Object.keys(server.build.steps).length).toBe(1))
  })
  it('too few minutes for anything says why', async () => {
    at('?tab=tonight')
    const field = await screen.findByLabelText('Minutes tonight')
    await userEvent.clear(field)
    await userEvent.type(field, '10{Enter}')
    expect(await screen.findByText(/Nothing that is ready fits|10 of 10 minutes/, {}, SOON)).toBeTruthy()
  })
  it('the bench view: the space bar ticks the step and goes on', async () => {
    at('?tab=tonight')
    await userEvent.click(await screen.findByRole('button', { name: 'Bench view' }, SOON))
    const bench = within(await screen.findByRole('dialog'))
    const first = bench.getByRole('heading', { level: 2 }).textContent
    await userEvent.keyboard(' ')
    await waitFor(() => expect(Object.keys(server.build.steps)).toHaveLength(1))
    expect(first).toBeTruthy()
    await userEvent.keyboard('{Escape}')
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  })
})

describe('a step that waits afterwards', () => {
  it('says its hands with the least and the most they take, and the wait as a person says it', async () => {
    const full = fullBuild()
    const troubles = {
      a: { symptom: 'sticky', at: '2026-12-02T19:00:00Z', way: 'wipe' },
      b: { symptom: 'prints', at: '2026-12-02T19:00:00Z', way: 'wait' },
    }
    at('', { finish: { ...full.finish, system: 'lacquer', troubles } })
    const steps = list('Steps in order')
    await userEvent.click(await steps.findByRole('button', { name: /Mend: prints \(fingers, cloth, a stand\).*60 min/ }, SOON))
    expect(await inHand().findByText(/60 min at the bench, then 14 days of waiting/)).toBeTruthy()
    await userEvent.click(steps.getAllByRole('button', { name: /String up.* min/ })[0]!)
    expect(await inHand().findByText(/min at the bench, then 24 h of waiting/)).toBeTruthy()
    await userEvent.click(steps.getAllByRole('button', { name: /Solder the harness.* min/ })[0]!)
    expect(await inHand().findByText(/120 min at the bench \(60 to 300\)/)).toBeTruthy()
  })
})

describe('what a job does not ask for', () => {
  it('leaves the plan, stands below it, and is taken in again', async () => {
    at('', { job: 'upgrade' })
    const steps = () =>
      list('Steps in order')
        .getAllByRole('button', { name: /\d+ min/ })
        .map((b) => b.textContent)
    const nut = steps().findIndex((s) => s!.includes('Nut glued in'))
    await userEvent.click(list('Steps in order').getAllByRole('button', { name: /\d+ min/ })[nut]!)
    await userEvent.click(inHand().getByRole('button', { name: 'Not part of this job' }))
    await waitFor(() => expect(server.build.plan?.leftOut).toEqual({ 'nut-on': expect.stringMatching(/^\d{4}-/) }))
    await waitFor(() => expect(steps().some((s) => s!.includes('Nut glued in'))).toBe(false))
    expect(inHand().queryByRole('heading', { name: 'Nut glued in' })).toBeNull()
    await userEvent.click(list('Left out').getByRole('button', { name: /^Take it in again: Nut glued in/ }))
    await waitFor(() => expect(server.build.plan?.leftOut).toBeUndefined())
    await waitFor(() => expect(steps().some((s) => s!.includes('Nut glued in'))).toBe(true))
    expect(screen.queryByRole('region', { name: 'Left out' })).toBeNull()
  })
})

describe('ahead', () => {
  it('when it is done by chance, and what may slip', async () => {
    at('?tab=ahead', { due: '2030-01-01' })
    expect(await screen.findByText(/as likely before as after/, {}, SOON)).toBeTruthy()
    expect(screen.getByRole('figure', { name: /^Ends from/ })).toBeTruthy()
    expect(inHand().getByText('Moves it by every day it slips')).toBeTruthy()
    expect(list('Against the promised day').getByText(/before the day/)).toBeTruthy()
  })
  it('of a parcel nobody has a day for: until when it costs nothing, or that every day moves the end', async () => {
    const { parts } = fullBuild()
    const { arrives: _, ...ordered } = { ...parts.tuners!, state: 'ordered' as const, arrives: '' }
    at('?tab=ahead', { parts: { ...parts, tuners: ordered } })
    const item = (await inHand().findAllByText(/^Tuners in hand: /))[0]!.closest('li')!
    await waitFor(() => expect(item.textContent).toMatch(/Costs nothing if here by \w+ \d+ \w+\.|Every day it takes moves the end\./), SOON)
  })
  it('a day that is too near: what can wait is named, left and logged', async () => {
    at('?tab=ahead', { due: new Date().toISOString().slice(0, 10) })
    const part = within(await screen.findByRole('region', { name: 'Against the promised day' }))
    expect(part.getByText(/late/)).toBeTruthy()
    await userEvent.click(part.getByRole('button', { name: /Leave these/ }))
    await waitFor(() => expect(server.log.some((e) => e.text.includes('Known faults until then'))).toBe(true))
    // What was left is no longer in the plan: nothing more can be.
    await waitFor(() => expect(Object.keys(server.build.plan?.leftOut ?? {}).length).toBeGreaterThan(0))
    await waitFor(() => expect(part.queryByRole('button', { name: /Leave these/ })).toBeNull())
  })
  it('a calendar file and the run sheet are handed over', async () => {
    const made = vi.spyOn(URL, 'createObjectURL').mockReturnValue('blob:x')
    vi.spyOn(URL, 'revokeObjectURL').mockReturnValue(undefined)
    at('?tab=ahead')
    await userEvent.click(await screen.findByRole('button', { name: 'Calendar file' }, SOON))
    await waitFor(() => expect((made.mock.calls[0]?.[0] as Blob | undefined)?.type).toBe('text/calendar'), SOON)
    await userEvent.click(screen.getByRole('button', { name: 'PDF' }))
    await waitFor(() => expect(made.mock.calls.map(([b]) => (b as Blob).type)).toContain('application/pdf'), SOON)
  })
  it('a question is asked with its options and step, decided with its reason, opened again', async () => {
    at('?tab=ahead')
    const part = within(await screen.findByRole('region', { name: 'Still to decide' }))
    await userEvent.click(part.getByText('Another question'))
    await userEvent.type(part.getByLabelText('The question'), 'Which guard?')
    await userEvent.type(part.getByLabelText('Its options, with commas between'), 'white, black')
    await userEvent.selectOptions(part.getByLabelText('To be decided before'), 'trial-build')
    await userEvent.click(part.getByRole('button', { name: 'Ask it' }))
    await waitFor(() =>
      expect(Object.values(server.build.plan?.decisions ?? {})).toMatchObject([{ question: 'Which guard?', before: 'trial-build' }]),
    )
    await userEvent.type(await part.findByLabelText('Because'), 'it is here')
    await userEvent.click(part.getByRole('button', { name: 'black' }))
    await waitFor(() => expect(Object.values(server.build.plan!.decisions!)[0]).toMatchObject({ chosen: 'black', reason: 'it is here' }))
    await userEvent.click(await part.findByRole('button', { name: /Open again/ }))
    await waitFor(() => expect(Object.values(server.build.plan!.decisions!)[0]!.chosen).toBeUndefined())
  })
})

describe('late, or the wrong one', () => {
  it('each way with its day, and its money off the budget once somebody says what it costs', async () => {
    const { parts } = fullBuild()
    const bridge = { ...parts.bridge!, state: 'ordered' as const, price: 80, arrives: '2027-01-20' }
    at('/arrive-bridge', { parts: { ...parts, bridge }, budget: 100 })
    await userEvent.click(inHand().getByText(/wait or settle/))
    const other = inHand()
      .getAllByText(/^Put another on for now/)[0]!
      .closest('li')!
    expect(other.textContent).not.toMatch(/budget/)
    await userEvent.type(within(other).getByLabelText('Costs, EUR'), '12.5{Enter}')
    await waitFor(() => expect(other.textContent).toMatch(/7\.50 EUR left of the budget/))
    await userEvent.clear(within(other).getByLabelText('Costs, EUR'))
    await userEvent.type(within(other).getByLabelText('Costs, EUR'), '25{Enter}')
    await waitFor(() => expect(other.textContent).toMatch(/5\.00 EUR over the budget/))
    await userEvent.click(within(other).getByRole('button', { name: /This way/ }))
    await waitFor(() =>
      expect(Object.values(server.build.plan?.decisions ?? {})[0]).toMatchObject({ chosen: expect.stringMatching(/^Put another/) }),
    )
  })
})
