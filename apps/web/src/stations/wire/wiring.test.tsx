import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { wirable } from '@snug/core/testing/wirable'
import { act, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { useKnobs } from '../../state/knobs'
import { inHand, layOut, show } from '../../testing/bench'
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

beforeEach(() => useKnobs.getState().allAtTen())

describe('which wiring', () => {
  const tab = () => show(<WireStation />, 'wire?tab=wiring')
  const build = () =>
    changed(fullBuild(), {}, { 'switch/contacts': 'lever-5x4', 'pickup-neck/leads': 'four', 'pickup-bridge/leads': 'four' })
  it('every one with what it sounds like, or what it lacks; a choice is one change', async () => {
    layOut(build())
    tab()
    const wirings = within(screen.getByRole('region', { name: 'Wirings' }))
    expect(wirings.getAllByText(/Not with these parts: it is for 2 pickups/).length).toBeGreaterThan(1)
    const tapped = inHand().getByLabelText('Humbuckers in between')
    await userEvent.selectOptions(tapped, 'tap')
    await waitFor(() => expect(server.build.circuit.options.tap).toBe('tap'))
    expect(server.done).toHaveLength(1)
  })
  it('another wiring asks before it puts away what was read of the one before, and says what comes off first', async () => {
    const two = wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', second: true })
    const reading = {
      ohm: 7400,
      probes: ['jack.tip', 'jack.sleeve'] as [string, string],
      setting: { switches: {}, knobs: {} },
      at: '2026-11-24',
    }
    layOut({ ...two, readings: { 1: reading }, circuit: { ...two.circuit, soldered: { 'switch.3 volume.3': '2026-11-24' } } })
    tab()
    const wirings = within(screen.getByRole('region', { name: 'Wirings' }))
    const other = wirings.getAllByRole('listitem').find((l) => !/chosen|Not with these/.test(l.textContent))!
    await userEvent.click(within(other).getByRole('button'))
    expect(inHand().getByRole('alert').textContent).toMatch(
      /1 reading or answer at the jack is of the wiring chosen now: another one puts it away/,
    )
    await userEvent.click(inHand().getByRole('button', { name: 'Not yet' }))
    expect([inHand().queryByRole('alert'), server.done.length]).toEqual([null, 0])
    await userEvent.click(within(other).getByRole('button'))
    await userEvent.click(inHand().getByRole('button', { name: 'Choose this wiring' }))
    await waitFor(() => expect(server.build.circuit.scheme).not.toBe('by-parts'))
    expect(server.build.readings).toEqual({})
    // Nothing stands there any more: the way back asks nothing.
    const first = wirings.getAllByRole('listitem').find((l) => !/chosen|Not with these/.test(l.textContent))!
    await userEvent.click(within(first).getByRole('button'))
    expect(inHand().queryByRole('alert')).toBeNull()
  })
  it('what is soldered and no wire of this wiring is taken off first', async () => {
    const b = build()
    layOut({ ...b, circuit: { ...b.circuit, soldered: { 'tone.3 volume.3': '2026-11-24' } } })
    show(<WireStation />, 'wire?tab=wires')
    expect(inHand().getByRole('heading', { name: 'Take off first' })).toBeTruthy()
    await userEvent.click(inHand().getByRole('button', { name: /^It is off: / }))
    await waitFor(() => expect(server.build.circuit.soldered).toEqual({}))
    await waitFor(() => expect(inHand().queryByRole('heading', { name: 'Take off first' })).toBeNull())
  })
  it('a wire added by hand is there at once, and one undo takes it away', async () => {
    layOut(build())
    show(<WireStation />, 'wire?tab=harness')
    await userEvent.selectOptions(inHand().getByLabelText('Harness seen from the'), 'playing')
    expect(screen.getByText('Harness, from the playing side', { selector: 'span' })).toBeTruthy()
    const before = () => (useBuild.getState().evaluation!.wire as { wires: unknown[] }).wires.length
    const was = before()
    await userEvent.selectOptions(inHand().getByLabelText('From'), 'volume.3')
    await userEvent.selectOptions(inHand().getByLabelText('To'), 'volume.3')
    expect(inHand().getByRole('alert').textContent).toMatch(/these are the same/)
    await userEvent.selectOptions(inHand().getByLabelText('To'), 'jack.tip')
    await userEvent.click(inHand().getByRole('button', { name: 'Add this wire' }))
    await waitFor(() => expect(before()).toBe(was + 1))
    await act(() => useBuild.getState().undo())
    await waitFor(() => expect(before()).toBe(was))
  })
  it('three pickups on a switch for two: what to do is said, and the choice is still there', () => {
    layOut(changed(fullBuild(), {}, { 'switch/contacts': 'toggle-3' }))
    tab()
    expect(inHand().getByRole('status').textContent).toMatch(/needs a second volume pot among the parts\. Or choose another switch/)
    expect(within(screen.getByRole('region', { name: 'Wirings' })).getAllByRole('listitem').length).toBeGreaterThan(5)
  })
})
