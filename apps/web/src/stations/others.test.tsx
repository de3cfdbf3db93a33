import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { inHand, layOut, loupe, show } from '../testing/bench'
import { server } from '../testing/localApi'
import { api } from '../state/api'
import LogStation from './log/LogStation'
import PlanStation from './plan/PlanStation'

vi.mock('../workers/compute', () => import('../testing/localCompute'))
vi.mock('../state/api', () => import('../testing/localApi'))

const heading = () => inHand().getAllByRole('heading', { level: 2 })[0]!.textContent

describe('Plan', () => {
  it('what can be done now is in hand; done in order it is ticked', async () => {
    layOut(changed(fullBuild(), { 'body/pocket.widthMouth': 56 }))
    show(<PlanStation />, 'plan')
    const title = heading()
    await userEvent.click(inHand().getByRole('button', { name: 'Done' }))
    await waitFor(() => expect(server.done.at(-1)!.label).toBe(`Done: ${title}`))
  })
  it('out of order: the risk and the way back, and it is never forbidden', async () => {
    layOut()
    show(<PlanStation />, 'plan')
    const steps = within(screen.getByRole('region', { name: 'Steps in order' }))
    const blocked = steps.getAllByRole('listitem').find((l) => l.textContent!.includes('after: '))!
    await userEvent.click(within(blocked).getByRole('button'))
    await userEvent.click(inHand().getByRole('button', { name: 'Done' }))
    expect(inHand().getByRole('alert').textContent).toMatch(/Out of order.*Way back: /)
    expect(server.done).toEqual([])
    await userEvent.click(inHand().getByRole('button', { name: 'It is done all the same' }))
    await waitFor(() => expect(server.done).toHaveLength(1))
  })
  it('an empty build has no steps yet', () => {
    layOut({ ...fullBuild(), parts: {} })
    show(<PlanStation />, 'plan')
    expect(screen.getByText(/No steps yet/)).toBeTruthy()
  })
})

describe('Log', () => {
  it('an entry is written, struck and brought back, never deleted', async () => {
    layOut()
    show(<LogStation />, 'log')
    await waitFor(() => expect(screen.getByText(/Nothing written yet/)).toBeTruthy())
    await userEvent.type(inHand().getByLabelText(/What happened/), 'Eased the pocket')
    await userEvent.click(inHand().getByRole('button', { name: 'Write it down' }))
    await waitFor(() => expect(inHand().getByRole('heading', { level: 3, name: /^Entry of/ }).textContent).toMatch(/Entry of/))
    await userEvent.click(inHand().getByRole('button', { name: 'Strike it' }))
    await waitFor(() => expect(inHand().getByRole('button', { name: 'Take the strike back' })).toBeTruthy())
    expect(server.log).toHaveLength(1)
    expect(server.log[0]!.text).toBe('Eased the pocket')
  })
  it('what is typed while an entry is on its way is the next one, and stays', async () => {
    layOut()
    show(<LogStation />, 'log')
    let answered!: () => void
    const held = new Promise<void>((done) => (answered = done))
    const { addLog } = api
    vi.spyOn(api, 'addLog').mockImplementationOnce(async (...entry) => {
      await held
      return addLog(...entry)
    })
    const field = inHand().getByLabelText<HTMLTextAreaElement>(/What happened/)
    await userEvent.type(field, 'the first')
    await userEvent.click(inHand().getByRole('button', { name: 'Write it down' }))
    await userEvent.clear(field)
    await userEvent.type(field, 'the second')
    answered()
    await waitFor(() => expect(inHand().getByRole('heading', { level: 3, name: /^Entry of/ })).toBeTruthy())
    expect(field.value).toBe('the second')
    expect(server.log.map((e) => e.text)).toEqual(['the first'])
  })
  it('words that name a size are understood and can set it', async () => {
    layOut()
    show(<LogStation />, 'log')
    await userEvent.type(inHand().getByLabelText(/What happened/), 'pocket width mouth 56.12 calipers')
    await userEvent.click(await inHand().findByRole('button', { name: 'Write it and set the size' }))
    await waitFor(() => expect(server.build.parts.body!.sizes['pocket.widthMouth']!.value).toBe(56.12))
    await waitFor(() => expect(server.log[0]!.kind).toBe('measurement'))
  })
  it('what an entry belongs to is drawn beside it', async () => {
    layOut()
    server.log = [{ id: 'a', at: '2026-11-24T20:00:00Z', kind: 'note', text: 'tight here', station: 'fit', thing: 'pocket-mouth' }]
    show(<LogStation />, 'log')
    await waitFor(() => expect(loupe().getByRole('img', { name: 'Pocket and heel from above' })).toBeTruthy())
    expect(inHand().getByRole('button', { name: /To Dry fit, pocket mouth/ })).toBeTruthy()
  })
})
