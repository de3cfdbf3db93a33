import { newBuild, slotSpec, specAt } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { inHand, layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import PartsStation from './PartsStation'
import { Settled } from './Settled'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({ Line: () => null, Bar: () => null }))

const listed = () => {
  const b = structuredClone(fullBuild())
  b.parts.body!.sizes['pocket.widthMouth'] = { value: 56.4, doubt: 0.8, known: 'listed' }
  return b
}

describe('the measuring round', () => {
  const board = () => within(screen.getByRole('region', { name: 'The size to read' }))
  const begun = () => newBuild({ name: 'Kit', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-through' }, '2026-11-24')
  const title = () => board().getByRole('heading', { level: 2 }).textContent

  it('the size that settles most comes first, drawn where it is taken, with how to take it', async () => {
    layOut(listed())
    show(<PartsStation />, 'parts?tab=measure')
    expect(title()).toBe('Body · pocket width, mouth')
    expect(board().getByText(/Inside jaws, at the edge/)).toBeTruthy()
    expect(board().getByRole('img', { name: 'Body, from the front' })).toBeTruthy()
    expect(inHand().getByText('1 reading, 1 min: settles 1 joint')).toBeTruthy()
  })
  it('what was only listed does not stand in the field as if it had been read', () => {
    layOut(listed())
    show(<PartsStation />, 'parts?tab=measure')
    const field = board().getByRole<HTMLInputElement>('textbox')
    expect([field.value, field.placeholder]).toEqual(['', 'listed 56.4'])
    fireEvent.keyDown(field, { key: 'Enter' })
    expect(server.build.parts.body!.sizes['pocket.widthMouth']!.known).toBe('listed')
  })
  it('a number and Enter file it with the tool in the hand, say what it settled, and bring the next', async () => {
    layOut(listed())
    show(<PartsStation />, 'parts?tab=measure')
    await userEvent.type(board().getByRole('textbox'), '56.5{Enter}')
    await waitFor(() =>
      expect(server.build.parts.body!.sizes['pocket.widthMouth']).toEqual({ value: 56.5, doubt: 0.05, known: 'calipers' }),
    )
    await waitFor(() => expect(useBuild.getState().ranked).toEqual([]))
    expect(screen.getByText(/Nothing left to measure would change a verdict/)).toBeTruthy()
  })
  it('the part stays in the hand until its bundle is read, whatever the ranking does meanwhile', async () => {
    layOut(begun())
    show(<PartsStation />, 'parts?tab=measure')
    const [bundle] = useBuild.getState().round!
    expect(bundle!.readings.length).toBeGreaterThan(1)
    for (const r of bundle!.readings) {
      expect(title()).toBe(`${slotSpec(r.ref.slot).label} · ${specAt(r.ref).label.toLowerCase()}`)
      await userEvent.type(board().getByRole('textbox'), `${specAt(r.ref).usual ?? 20}{Enter}`)
      await waitFor(() => expect(server.build.parts[r.ref.slot]!.sizes[r.ref.size]!.known).toBe(r.tool))
    }
    const settled = bundle!.settles[0]!
    await waitFor(() =>
      expect(board().getByRole('status').textContent).toContain(useBuild.getState().evaluation!.fit.find((j) => j.id === settled)!.title),
    )
  })
  it('a joint that waits for somebody’s word says so, and asks for no better reading', () => {
    const b = structuredClone(fullBuild())
    delete b.parts.neck!.traits.head
    layOut(b)
    const joint = useBuild.getState().evaluation!.fit.find((j) => j.untold.some((t) => t.trait === 'head') && !j.missing.length)!
    const rank = { ref: joint.reads[0]!, gain: 1, minutes: 1, tool: 'calipers' as const, joints: [joint.id] }
    show(<Settled last={{ rank, before: new Map([[joint.id, 'cant-tell']]) }} />, 'parts?tab=measure')
    const said = screen.getByRole('status').textContent
    expect(said).toContain(`${joint.title}: ${joint.says}`)
    expect(said).toMatch(/Not known yet: headstock/)
  })
  it('what cannot be got at is passed over, and offered again at the end', async () => {
    layOut(listed())
    show(<PartsStation />, 'parts?tab=measure')
    await userEvent.click(board().getByRole('button', { name: /Can’t get at it/ }))
    expect(screen.getByText(/What is left you could not get at/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Try those again' }))
    expect(title()).toBe('Body · pocket width, mouth')
    await userEvent.type(board().getByRole('textbox'), '{Escape}')
    expect(screen.getByText(/What is left you could not get at/)).toBeTruthy()
    expect(server.build.parts.body!.sizes['pocket.widthMouth']!.known).toBe('listed')
  })
  it('an impossible reading is told, and the size stays in the hand', async () => {
    layOut(listed())
    show(<PartsStation />, 'parts?tab=measure')
    await userEvent.type(board().getByRole('textbox'), '5600{Enter}')
    expect(board().getByRole('alert').textContent).toMatch(/40.*90/)
    expect(title()).toBe('Body · pocket width, mouth')
  })
  it('of two alike one is read, and the other is the same with one press', async () => {
    const b = begun()
    b.parts['pot-volume']!.sizes['bushing.length'] = { value: 9.4, doubt: 0.05, known: 'calipers' }
    layOut(b)
    show(<PartsStation />, 'parts?tab=measure')
    const row = () => screen.queryAllByRole('button', { name: /Tone pot/ })[0]
    if (row()) await userEvent.click(row()!)
    while (!/Tone pot/.test(title()!)) await userEvent.click(board().getByRole('button', { name: /Can’t get at it/ }))
    while (!/bushing length/.test(title()!)) await userEvent.click(board().getByRole('button', { name: /Can’t get at it/ }))
    await userEvent.click(board().getByRole('button', { name: 'Same as the volume pot' }))
    await waitFor(() => expect(server.build.parts['pot-tone']!.sizes['bushing.length']).toMatchObject({ value: 9.4, known: 'calipers' }))
  })
  it('another bundle can be taken first', async () => {
    layOut(begun())
    show(<PartsStation />, 'parts?tab=measure')
    const other = useBuild.getState().round![1]!.readings[0]!
    const then = within(inHand().getByRole('heading', { name: 'Then' }).parentElement!)
    await userEvent.click(then.getAllByRole('button')[0]!)
    expect(title()).toBe(`${slotSpec(other.ref.slot).label} · ${specAt(other.ref).label.toLowerCase()}`)
  })
  it('tools on hand are kept with the build', async () => {
    layOut(listed())
    show(<PartsStation />, 'parts?tab=measure')
    await userEvent.click(screen.getByRole('checkbox', { name: 'calipers' }))
    await waitFor(() => expect(server.build.tools).toEqual(['rule', 'meter', 'scale']))
  })
})
