import { printBundle, toBundle } from '@snug/formats/bundle'
import { STARTING_SETS } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter, Route, Routes } from 'react-router'
import { Toaster } from 'sonner'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { layOut } from '../testing/bench'
import { server } from '../testing/localApi'
import Shelf from './Shelf'

vi.mock('../workers/compute', () => import('../testing/localCompute'))
vi.mock('../state/api', () => import('../testing/localApi'))

beforeEach(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never
  layOut({ ...fullBuild(), name: 'Wren', due: '2099-01-01' })
  openShelf()
})
function openShelf() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Toaster />
      <MemoryRouter>
        <Routes>
          <Route path="/" element={<Shelf />} />
          <Route path="/builds/:id/:station?" element={<p>the bench</p>} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  )
}
const bench = () => waitFor(() => expect(screen.getByText('the bench')).toBeTruthy())
const bring = (text: string, size?: number) => {
  const file = new File([text], 'wren.json', { type: 'application/json' })
  if (size) Object.defineProperty(file, 'size', { value: size })
  fireEvent.change(screen.getByLabelText('Bundle file'), { target: { files: [file] } })
}

describe('shelf', () => {
  it('a build that cannot be drawn keeps its line, its bundle and its way in', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined)
    await screen.findByRole('link', { name: /Wren/ })
    cleanup()
    server.build = { ...server.build, parts: { body: { kind: 'body' } } as never }
    openShelf()
    const link = await screen.findByRole('link', { name: /Wren/ })
    await waitFor(() => expect(link.textContent).toMatch(/cannot be drawn/))
    expect(screen.getByRole('link', { name: /Bundle/ })).toBeTruthy()
    await userEvent.click(link)
    await bench()
    vi.restoreAllMocks()
  })
  it('a build with what it is, and the way to it', async () => {
    const link = await screen.findByRole('link', { name: /Wren/ })
    expect(link.textContent).toMatch(/6 strings, 647\.7 mm scale.*parts chosen.*due in \d+ days/)
    await userEvent.click(link)
    await bench()
  })
  it('put away and brought back', async () => {
    await userEvent.click(await screen.findByRole('button', { name: 'Put away' }))
    await waitFor(() => expect(screen.getByText(/The shelf is empty/)).toBeTruthy())
    expect(screen.getByRole('button', { name: 'Open an example' })).toBeTruthy()
    await userEvent.click(await screen.findByRole('button', { name: 'Bring it back' }))
    await screen.findByRole('link', { name: /Wren/ })
  })
  it('copied whole, under a name of its own', async () => {
    await userEvent.click(await screen.findByRole('button', { name: 'Copy' }))
    await screen.findByRole('link', { name: /Wren, a copy/ })
  })
  it('come back for another job: a build of its own, all in place', async () => {
    await userEvent.click(await screen.findByRole('button', { name: 'Another job on it' }))
    await screen.findByRole('link', { name: /Wren, another job/ })
    expect(Object.values(server.build.parts).every((p) => p.state === 'in place')).toBe(true)
  })
  it('what a build begins with brings its strings and its scale', async () => {
    await userEvent.selectOptions(screen.getByLabelText('What kind of job'), 'rescue')
    await userEvent.click(screen.getByRole('radio', { name: STARTING_SETS['twelve-string'].label }))
    expect(screen.getByLabelText<HTMLInputElement>('Strings').value).toBe('12')
    expect(screen.getByLabelText<HTMLInputElement>(/Scale length/).value).toBe('628.65')
    expect(screen.getByText(/each size is a guess until you read it/)).toBeTruthy()
    await userEvent.type(screen.getByLabelText('Name'), 'Tern')
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }))
    await waitFor(() => expect(server.build.parts.tailpiece?.sizes.height?.known).toBe('assumed'))
    expect(server.build.parts.tailpiece!.state).toBe('in hand')
  })
  it('a new build wants a name, strings and a scale that can be', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }))
    await waitFor(() => expect(screen.getAllByRole('alert').length).toBeGreaterThan(0))
    await userEvent.type(screen.getByLabelText('Name'), 'Tern')
    const scale = screen.getByLabelText(/Scale length/)
    await userEvent.clear(scale)
    await userEvent.type(scale, 'long')
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }))
    await waitFor(() => expect(screen.getByRole('alert')).toBeTruthy())
    await userEvent.clear(scale)
    await userEvent.type(scale, '25.5in')
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }))
    await bench()
    expect(server.build).toMatchObject({ name: 'Tern', scale: 647.7, strings: 6 })
  })
  it('a bundle comes in and is opened', async () => {
    bring(printBundle(toBundle({ ...fullBuild(), name: 'Knot' }, [], '2026-11-24T20:00:00Z')))
    await bench()
    expect(server.build.name).toBe('Knot')
  })
  it.each([
    ['{"not": "ours"', undefined, /JSON/],
    ['{"format":"another"}', undefined, /bundle/],
    ['{}', 12e6, /12\.0 MB; at most 10 MB/],
  ])('what is no bundle is refused in words: %s', async (text, size, says) => {
    bring(text, size)
    await waitFor(() => expect(document.querySelector('[data-sonner-toast]')?.textContent).toMatch(says))
    expect(server.build.name).toBe('Wren')
  })
})

describe('for others', () => {
  const withMe = (me: typeof server.me) => {
    cleanup()
    server.me = me
    openShelf()
  }
  it('nothing is offered where nobody else reaches this server', async () => {
    await screen.findByRole('link', { name: /Wren/ })
    expect(screen.queryByRole('button', { name: /^Show/ })).toBeNull()
    expect(screen.queryByRole('button', { name: 'Sign out' })).toBeNull()
  })
  it('a link is made, stands there to be copied, and is taken back', async () => {
    withMe({ reached: true })
    await userEvent.click(await screen.findByRole('button', { name: 'Show' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Make a link' }))
    const link = await screen.findByRole<HTMLInputElement>('textbox', { name: /^Link made/ })
    expect(link.value).toBe('http://localhost/builds/shown-0')
    expect(screen.queryByText('Handed to another bench')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }))
    await waitFor(() => expect(screen.queryByRole('textbox', { name: /^Link made/ })).toBeNull())
  })
  it('handing over asks twice, names whom, and asks again when another is chosen', async () => {
    withMe({ reached: true, bench: 'Anna', others: ['Ben', 'Clara'] })
    expect(await screen.findByText('Anna')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Show or hand over' }))
    const give = await screen.findByRole<HTMLButtonElement>('button', { name: 'Hand it over' })
    expect(give.disabled).toBe(true)
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'To' }), 'Ben')
    await userEvent.click(give)
    expect(server.handed).toEqual([])
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'To' }), 'Clara')
    await userEvent.click(screen.getByRole('button', { name: 'Hand it over' }))
    await userEvent.click(screen.getByRole('button', { name: 'Yes, Wren goes to Clara' }))
    await screen.findByText('Wren is at Clara now.')
    expect(server.handed).toEqual([['b', 'Clara']])
  })
})
