import { beginBuild, newBuild, type Build } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { inHand, layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import PartsStation from './PartsStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({ Line: () => null, Bar: () => null }))

const inPlace = (parts: Build['parts']): Build['parts'] =>
  Object.fromEntries(Object.entries(parts).map(([slot, p]) => [slot, { ...p, state: 'in place' }]))

describe('what came in the box', () => {
  const board = () => within(screen.getByRole('region', { name: 'What came in the box' }))
  const begun = () => newBuild({ name: 'Kit', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-through' }, '2026-11-24')
  const tray = (name: string) => within(board().getByRole('region', { name }))

  it('all of it is here with one press; what is not is put on its pile by pressing it', async () => {
    layOut(begun())
    show(<PartsStation />, 'parts?tab=box')
    expect(tray('still to be bought').getAllByRole('button').length).toBe(Object.keys(begun().parts).length)
    await userEvent.click(board().getByRole('button', { name: 'It is all here' }))
    await waitFor(() => expect(Object.values(server.build.parts).every((p) => p.state === 'in hand')).toBe(true))
    await userEvent.click(board().getByRole('radio', { name: 'on its way' }))
    await userEvent.click(tray('in the box').getByRole('button', { name: 'Nut' }))
    await waitFor(() => expect(server.build.parts.nut!.state).toBe('ordered'))
    expect(tray('on its way').getAllByRole('button')).toHaveLength(1)
    expect(inHand().getByLabelText('Promised for')).toBeTruthy()
    await userEvent.click(board().getByRole('radio', { name: 'not on this instrument' }))
    await userEvent.click(tray('in the box').getByRole('button', { name: 'Tone pot' }))
    await waitFor(() => expect(server.build.parts['pot-tone']).toBeUndefined())
    expect(tray('not on this instrument').getByRole('button', { name: 'Tone pot' })).toBeTruthy()
  })
  it('what nobody foresaw is put in by pressing it where it was not', async () => {
    layOut(begun())
    show(<PartsStation />, 'parts?tab=box')
    await userEvent.click(tray('not on this instrument').getByRole('button', { name: 'String tree' }))
    await waitFor(() => expect(server.build.parts['string-tree']).toMatchObject({ state: 'in hand', name: 'String tree' }))
  })
  it('what it is is chosen by its looks, and can be left unsaid', async () => {
    layOut(begun())
    show(<PartsStation />, 'parts/pickup-neck?tab=box')
    await userEvent.click(inHand().getByRole('radio', { name: 'single coil' }))
    await waitFor(() => expect(server.build.parts['pickup-neck']!.traits.coils).toBe('single'))
    const coils = within(inHand().getByRole('group', { name: 'Coils' }))
    await userEvent.click(coils.getByRole('button', { name: 'can’t see' }))
    await waitFor(() => expect(server.build.parts['pickup-neck']!.traits.coils).toBeUndefined())
  })
  it('of an instrument that plays it is asked what is changed: another one is bought, the rest stays', async () => {
    const here = beginBuild(
      { name: 'Here', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-guard-vibrato', job: 'upgrade' },
      '2026-11-24',
    )
    layOut(here)
    show(<PartsStation />, 'parts?tab=box')
    const changed = () => within(screen.getByRole('region', { name: 'What is changed' }))
    expect(changed().getByRole('radio', { name: 'another one, still to be bought' })).toMatchObject({ checked: true })
    await userEvent.click(changed().getByRole('button', { name: 'Tuners' }))
    await waitFor(() => expect(server.build.parts.tuners!.state).toBe('planned'))
    expect(within(changed().getByRole('region', { name: 'in place, stays as it is' })).queryByRole('button', { name: 'Tuners' })).toBeNull()
    await waitFor(() => expect(useBuild.getState().evaluation!.plan.steps.map((s) => s.title)).toContain('Tuners'))
    expect(useBuild.getState().evaluation!.plan.steps.map((s) => s.id)).not.toContain('solder')
  })
  it('what was done to a part is open again once another one comes, and done once that is taken back', async () => {
    const done = { done: '2026-11-20T18:00:00+01:00' }
    layOut({ ...fullBuild(), parts: inPlace(fullBuild().parts), job: 'upgrade', steps: { hardware: done, 'nut-on': done } })
    show(<PartsStation />, 'parts?tab=box')
    const changed = within(screen.getByRole('region', { name: 'What is changed' }))
    await userEvent.click(changed.getByRole('button', { name: 'Tuners' }))
    await waitFor(() => expect(server.build.steps).toEqual({ 'nut-on': done }))
    expect(server.done.at(-1)!.label).toMatch(/^Tuners: another one, still to be bought\. Open again: /)
    useBuild.getState().undo()
    await waitFor(() => expect(server.build.steps).toEqual({ hardware: done, 'nut-on': done }))
  })
  it('says what can be seen already', () => {
    layOut(begun())
    show(<PartsStation />, 'parts?tab=box')
    const { fit, drill } = useBuild.getState().evaluation!
    expect(inHand().getByText(`${fit.length} joints`)).toBeTruthy()
    expect(inHand().getByText(`${drill.length} kinds of hole`)).toBeTruthy()
    expect(inHand().getByText('3 switch positions')).toBeTruthy()
  })
})

describe('a seller’s listing', () => {
  it('its numbers are offered, and only the one that is pressed is taken, as listed', async () => {
    const b = structuredClone(fullBuild())
    b.parts['pot-tone']!.sizes = {}
    layOut(b)
    show(<PartsStation />, 'parts/pot-tone')
    fireEvent.change(inHand().getByLabelText('Paste its text'), { target: { value: 'Audio pot 500k, bushing length 9.5 mm' } })
    const takes = inHand().getAllByRole('button', { name: 'Take it' })
    expect(takes).toHaveLength(2)
    await userEvent.click(takes[1]!)
    await waitFor(() =>
      expect(server.build.parts['pot-tone']!.sizes).toEqual({ 'bushing.length': { value: 9.5, doubt: 0.4, known: 'listed' } }),
    )
    expect(inHand().getByRole('button', { name: 'Taken' })).toBeTruthy()
  })
})
