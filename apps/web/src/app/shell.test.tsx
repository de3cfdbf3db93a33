import { evaluate, type Build } from '@snug/core'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { useBuild } from '../state/buildStore'
import { api } from '../state/api'
import { usePrefs } from '../state/prefs'
import { today } from '../state/today'
import { layOut, show } from '../testing/bench'
import { server } from '../testing/localApi'
import { ConflictSheet } from './ConflictSheet'
import { Header } from './Header'
import { Shell } from './Shell'
import { POCKETS } from '../stations/list'
import { Sill } from './Sill'

vi.mock('../workers/compute', () => import('../testing/localCompute'))
vi.mock('../state/api', () => import('../testing/localApi'))

const noted = (b: Build) => evaluate(b, today())

describe('keys', () => {
  it('switch inches, face, side, theme; and open find, log and keys', async () => {
    layOut()
    show(<Shell pockets={POCKETS} />, 'fit')
    const key = (k: string) => act(() => void fireEvent.keyDown(document.body, { key: k }))
    key('u')
    expect(usePrefs.getState().system).toBe('in')
    key('f')
    expect(usePrefs.getState().view).toBe('back')
    key('v')
    expect(usePrefs.getState().view).toBe('side')
    key('t')
    expect(usePrefs.getState().theme).toBe('dark')
    key('?')
    expect((await screen.findByRole('dialog')).textContent).toMatch(/through the list/)
  })
  it('do nothing while a person types', () => {
    layOut()
    show(
      <>
        <Shell pockets={POCKETS} />
        <input aria-label="field" />
      </>,
      'fit',
    )
    fireEvent.keyDown(screen.getByLabelText('field'), { key: 'u' })
    expect(usePrefs.getState().system).toBe('mm')
  })
  it('undo and redo go to the server and come back', async () => {
    layOut()
    show(<Shell pockets={POCKETS} />, 'fit')
    act(() => useBuild.getState().change(() => ({ label: 'Coats', edits: [{ path: ['finish', 'coats'], from: 5, to: 7 }] })))
    await waitFor(() => expect(server.build.finish.coats).toBe(7))
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true })
    await waitFor(() => expect(useBuild.getState().build!.finish.coats).toBe(5))
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true, shiftKey: true })
    await waitFor(() => expect(useBuild.getState().build!.finish.coats).toBe(7))
  })
  it('one right after the other comes back, and one too many says nothing', async () => {
    const asked = vi.spyOn(api, 'redo')
    layOut()
    show(<Shell pockets={POCKETS} />, 'fit')
    act(() => useBuild.getState().change(() => ({ label: 'Coats', edits: [{ path: ['finish', 'coats'], from: 5, to: 7 }] })))
    await waitFor(() => expect(server.build.finish.coats).toBe(7))
    const redo = () => fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true, shiftKey: true })
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true })
    redo()
    await waitFor(() => expect(asked).toHaveBeenCalledTimes(1))
    await waitFor(() => expect(server.build.finish.coats).toBe(7))
    redo()
    await act(() => new Promise((done) => setTimeout(done, 50)))
    expect(asked).toHaveBeenCalledTimes(1)
    expect(useBuild.getState().sending).toEqual({ is: 'quiet' })
    expect(server.build.finish.coats).toBe(7)
  })
  it('a few letters find a joint, a part, a step', async () => {
    layOut()
    show(<Shell pockets={POCKETS} />, 'fit')
    fireEvent.keyDown(document.body, { key: '/' })
    const dialog = await screen.findByRole('dialog')
    await userEvent.type(within(dialog).getByRole('combobox'), 'tuners in a row')
    expect(within(dialog).getAllByRole('option')[0]!.textContent).toMatch(/Tuners in a row/)
    await userEvent.clear(within(dialog).getByRole('combobox'))
    await userEvent.type(within(dialog).getByRole('combobox'), 'qqqq')
    expect(within(dialog).getByText(/Nothing by that name/)).toBeTruthy()
  })
})

describe('header and sill', () => {
  it('days, money and whether the plan ends too late', () => {
    const b = { ...structuredClone(fullBuild()), due: '2020-01-01', budget: 5 }
    b.parts.guard!.price = 16
    layOut(b)
    show(<Header build={b} evaluation={noted(b)} onFind={() => undefined} onLog={() => undefined} onKeys={() => undefined} />)
    expect(screen.getByText(/plan ends/).className).toMatch(/wont/)
    expect(screen.getByText(/budget 5/).className).toMatch(/wont/)
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /Undo/ }).disabled).toBe(true)
  })
  it('the sill names the next step and the next reading, and what the last change moved', () => {
    const b = changed(fullBuild(), { 'body/pocket.widthMouth': 56 })
    layOut(b)
    useBuild.setState({ moved: { label: 'Pocket width 56.5 → 56', what: ['heel in pocket: snug → tight'] } })
    const step = vi.fn()
    show(<Sill build={b} evaluation={noted(b)} onMeasure={() => undefined} onStep={step} />)
    expect(screen.getByRole('status').textContent).toMatch(/Last change: Pocket width 56\.5 → 56 · heel in pocket: snug → tight/)
    fireEvent.click(screen.getAllByRole('button')[0]!)
    expect(step).toHaveBeenCalledWith(noted(b).plan.ready[0])
  })
})

describe('changed elsewhere', () => {
  it('nothing is lost: mine on top, or the other', async () => {
    layOut()
    show(<ConflictSheet />)
    expect(screen.queryByRole('dialog')).toBeNull()
    server.revision = 4
    server.build = { ...server.build, name: 'Renamed elsewhere', finish: { ...server.build.finish, coats: 7 } }
    act(() => useBuild.getState().change(() => ({ label: 'Nine coats', edits: [{ path: ['finish', 'coats'], from: 5, to: 9 }] })))
    const dialog = await screen.findByRole('dialog')
    expect(dialog.textContent).toMatch(/Changed in another window.*Nine coats9\w{3} \d+ \w{3}, \d\d:\d\d7/)
    await userEvent.click(within(dialog).getByRole('button', { name: 'Put mine on top' }))
    await waitFor(() => expect(server.build).toMatchObject({ name: 'Renamed elsewhere', finish: { coats: 9 } }))
  })
})
