import type { Build } from '@snug/core'
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useBuild } from '../state/buildStore'
import { layOut, show } from '../testing/bench'
import { server } from '../testing/localApi'
import { StationBoundary } from './Trouble'

vi.mock('../workers/compute', () => import('../testing/localCompute'))
vi.mock('../state/api', () => import('../testing/localApi'))

// React tells the console of every error a boundary caught; here each is meant.
beforeEach(() => void vi.spyOn(console, 'error').mockImplementation(() => undefined))
afterEach(() => vi.restoreAllMocks())

/** A station that cannot be drawn with an odd number of coats. */
function Coats() {
  const coats = useBuild((s) => (s.build as Build).finish.coats)
  if (coats % 2) throw new Error(`cannot draw ${coats} coats`)
  return <p>{coats} coats</p>
}
const setCoats = (from: number, to: number) =>
  act(() => useBuild.getState().change(() => ({ label: `Coats ${to}`, edits: [{ path: ['finish', 'coats'], from, to }] })))
const shown = () => screen.getByRole('alert')

async function atOdd() {
  const build = layOut()
  build.finish.coats = 4
  const { coats } = build.finish
  show(
    <StationBoundary name="Finish" why={undefined}>
      <Coats />
    </StationBoundary>,
    'finish',
  )
  expect(screen.getByText('4 coats')).toBeTruthy()
  setCoats(coats, 6)
  await waitFor(() => expect(server.build.finish.coats).toBe(6))
  setCoats(6, 7)
  await waitFor(() => expect(server.build.finish.coats).toBe(7))
}

describe('a station that cannot be drawn', () => {
  it('says so in a sentence without a stack', async () => {
    await atOdd()
    expect(within(shown()).getByRole('heading', { level: 2 }).textContent).toBe('Finish cannot be worked out')
    expect(shown().textContent).not.toMatch(/\bat \w+ \(/)
    expect(within(shown()).getByText('Error: cannot draw 7 coats').closest('details')!.open).toBe(false)
    expect(within(shown()).getByRole('link', { name: 'Save it as a bundle' }).getAttribute('href')).toBe('/api/builds/b/bundle')
  })
  it('undo brings it back', async () => {
    await atOdd()
    fireEvent.click(within(shown()).getByRole('button', { name: 'Undo the latest change' }))
    await screen.findByText('6 coats')
    expect(screen.queryByRole('alert')).toBeNull()
  })
  it('so does going back to before an earlier change', async () => {
    await atOdd()
    fireEvent.click(await within(shown()).findByRole('button', { name: /Coats 6/ }))
    await screen.findByText('4 coats')
    expect(server.build.finish.coats).toBe(4)
  })
  it('what cannot be reckoned is said the same way as what cannot be drawn', () => {
    layOut()
    show(
      <StationBoundary name="Drill" why="no place for a hole">
        <p>never shown</p>
      </StationBoundary>,
      'drill',
    )
    expect(within(shown()).getByRole('heading').textContent).toBe('Drill cannot be worked out')
    expect(screen.queryByText('never shown')).toBeNull()
  })
  it('a piece of the page that did not arrive is another thing: load it again, the build is not to blame', () => {
    layOut()
    const Gone = () => {
      throw new TypeError('Failed to fetch dynamically imported module: http://localhost/assets/x.js')
    }
    show(
      <StationBoundary name="Drill" why={undefined}>
        <Gone />
      </StationBoundary>,
      'drill',
    )
    expect(shown().textContent).toMatch(/could not be fetched/)
    expect(within(shown()).getByRole('button', { name: 'Load the page again' })).toBeTruthy()
    expect(screen.queryByRole('button', { name: /Undo/ })).toBeNull()
  })
})
