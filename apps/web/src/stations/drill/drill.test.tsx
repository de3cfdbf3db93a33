import { drillable } from '@snug/core/testing/drillable'
import { changed, fullBuild, without } from '@snug/core/testing/fullBuild'
import { undrilled } from '@snug/core/testing/undrilled'
import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { useBuild } from '../../state/buildStore'
import { inHand, layOut, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import DrillStation from './DrillStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))

const heading = () => inHand().getAllByRole('heading', { level: 2 })[0]!.textContent

describe('Drill', () => {
  it('holes to be made first, then those that are there; bits in order, depth, flag, guards and cautions', async () => {
    layOut(drillable(fullBuild()))
    show(<DrillStation />, 'drill')
    expect(heading()).toMatch(/Neck screw holes/)
    const list = within(screen.getByRole('region', { name: 'Hole cards in drilling order' }))
    await userEvent.click(list.getByRole('button', { name: /Tuner screws, 6/ }))
    await waitFor(() => expect(heading()).toMatch(/Tuner screws/))
    expect(inHand().getByText(/tape flag at 7\.1 mm from the tip/)).toBeTruthy()
    expect(inHand().getByText(/Eye protection/)).toBeTruthy()
    expect(inHand().getByText(/Wood to the post’s bore/)).toBeTruthy()
    const rows = list.getAllByRole('listitem').map((l) => l.textContent!)
    const there = rows.findIndex((r) => /There already/.test(r))
    expect(rows.slice(there).join(' ')).toMatch(/Stud bores for the bridge/)
    expect(rows.slice(0, there).join(' ')).not.toMatch(/Stud bores/)
  })
  it('what nobody has said is said on the card, and the card is filled in', async () => {
    const b = drillable(fullBuild())
    delete b.parts.body!.traits['bored.buttons']
    layOut(b)
    show(<DrillStation />, 'drill/strap-buttons')
    expect(heading()).toMatch(/not known yet/)
    await userEvent.click(inHand().getByRole('button', { name: 'Not there yet' }))
    await waitFor(() => expect(heading()).toMatch(/to make/))
    expect(server.done.at(-1)!.label).toBe('Strap button screws: not there')
  })
  it('of a kit just opened, all that nobody has said is said by one press', async () => {
    layOut(fullBuild())
    show(<DrillStation />, 'drill/strap-buttons')
    await userEvent.click(inHand().getByRole('button', { name: 'none is' }))
    await waitFor(() => expect(useBuild.getState().evaluation!.drill.flatMap((c) => c.untold)).toEqual([]))
    expect(server.done).toHaveLength(1)
  })
  it('at the bench: space ticks line by line, and the last one ticks the card off', async () => {
    layOut(drillable(fullBuild()))
    show(<DrillStation />, 'drill/tuner-screws')
    await userEvent.click(inHand().getByRole('button', { name: 'At the bench' }))
    const bench = within(await screen.findByRole('dialog', { name: 'Tuner screws' }))
    const boxes = bench.getAllByRole<HTMLInputElement>('checkbox')
    for (const _ of boxes) await userEvent.keyboard(' ')
    expect(boxes.every((b) => b.checked)).toBe(true)
    await userEvent.keyboard(' ')
    await waitFor(() => expect(server.done.at(-1)!.label).toBe('Done: Tuner screws'))
  })
  it('ticked off, it asks for what was made, and Dry fit judges by it', async () => {
    layOut(changed(drillable(fullBuild()), { 'neck/tuner.bore': undefined }, { 'neck/bored.tuners': 'none' }))
    show(<DrillStation />, 'drill/tuner-bores')
    const says = () => useBuild.getState().evaluation!.fit.find((j) => j.id === 'tuner-bore')!
    expect(says().says).toMatch(/^Not made yet: tuner bore/)
    expect(inHand().queryByText(/Read what you made/)).toBeNull()
    await userEvent.click(inHand().getByRole('button', { name: 'Done' }))
    expect(await inHand().findByText('Read what you made: Dry fit judges by it.')).toBeTruthy()
    await userEvent.type(inHand().getByLabelText('Tuner bore'), '10{Enter}')
    await waitFor(() => expect(says().verdict).toBe('snug'))
    expect(inHand().queryByText(/Read what you made/)).toBeNull()
  })
  it('templates only where there is an outline, with what the others wait for', async () => {
    const b = structuredClone(fullBuild())
    delete b.parts.body!.outline
    layOut(b)
    show(<DrillStation />, 'drill?tab=templates')
    const list = within(screen.getByRole('region', { name: 'Templates' }))
    expect(list.getByRole('button', { name: /Body, front/ }).textContent).toMatch(/waits for the body’s outline/)
    await userEvent.click(list.getByRole('button', { name: /Headstock, back/ }))
    expect(await inHand().findByText('SEEN FROM THE BACK')).toBeTruthy()
    expect(inHand().getByRole('button', { name: 'PDF to print' })).toBeTruthy()
  })
  it('no paper for a route its card refuses, and the way to that', async () => {
    layOut(changed(undrilled(drillable(fullBuild())), { 'body/thickness': 20 }))
    show(<DrillStation />, 'drill/route-neck?tab=templates')
    expect(await inHand().findByText('No paper to cut it by while its card says:')).toBeTruthy()
    expect(inHand().queryByRole('button', { name: 'PDF to print' })).toBeNull()
    await userEvent.click(inHand().getByRole('button', { name: 'To its card' }))
    await waitFor(() => expect(heading()).toMatch(/Neck pickup’s route/i))
  })
  it('tools are the person’s: a bit taken in makes a card ready', async () => {
    layOut(drillable(fullBuild()))
    show(<DrillStation />, 'drill?tab=tools')
    await userEvent.type(screen.getByLabelText('Another bit, mm'), '2.7{Enter}')
    await waitFor(() => expect(server.bench.bits).toContain(2.7))
    await waitFor(() => expect(useBuild.getState().evaluation!.drill.find((c) => c.id === 'neck-screws')!.stands).toBe('ready'))
    await userEvent.type(screen.getByLabelText('A press’s throat, mm'), '5{Enter}')
    expect(screen.getByRole('alert').textContent).toMatch(/20 to 1000 is allowed/)
  })
  it('pencil lines give the axis, taken into the sizes by one press', async () => {
    layOut(drillable(fullBuild()))
    show(<DrillStation />, 'drill?tab=axis')
    const far = within(screen.getByRole('group', { name: 'near the bridge' }))
    const read = {
      'pocket’s mouth': '220',
      'bass side’s line': '123.2',
      'treble side’s line': '179.2',
      'bass end': '113',
      'treble end': '187',
    }
    for (const [label, value] of Object.entries(read)) await userEvent.type(far.getByLabelText(new RegExp(label)), `${value}{Enter}`)
    // Middles 151.2 and 150: 1.2 further from the bass edge.
    await userEvent.click(await screen.findByRole('button', { name: 'Take it as the axis at the bridge' }))
    await waitFor(() => expect(useBuild.getState().build!.parts.body!.sizes.axisAtBridge!.value).toBe(-1.2))
    expect(inHand().getByText(/1\.2 ±0\.3 mm to the treble side/)).toBeTruthy()
  })
  it('no body, no neck, no holes', () => {
    layOut(without(fullBuild(), 'body', 'neck'))
    show(<DrillStation />, 'drill')
    expect(screen.getByText(/No holes yet/)).toBeTruthy()
  })
  it('headstock: the best row is found, said as moves from the marks, and taken into the neck in one change', async () => {
    layOut(changed(fullBuild(), { 'neck/tuner.offset': 30, 'neck/tuner.bore': undefined }, { 'neck/bored.tuners': 'none' }))
    show(<DrillStation />, 'drill?tab=head')
    const posts = within(screen.getByRole('region', { name: 'Posts' }))
    await userEvent.click(inHand().getByRole('button', { name: 'Find the best row' }))
    await waitFor(() => expect(posts.getAllByRole('row')[1]!.textContent).toMatch(/ in/))
    await userEvent.click(inHand().getByRole('button', { name: 'Take this row' }))
    await waitFor(() => expect(server.done.at(-1)!.label).toBe('Row of tuner posts laid out'))
    expect(useBuild.getState().build!.parts.neck!.sizes['tuner.offset']!.value).toBeLessThan(29)
  })
  it('headstock: where its bores are, another row is only tried', async () => {
    layOut(changed(fullBuild(), { 'neck/tuner.offset': 30 }))
    show(<DrillStation />, 'drill?tab=head')
    await userEvent.click(inHand().getByRole('button', { name: 'Find the best row' }))
    await waitFor(() => expect(inHand().getByRole('button', { name: 'As it was marked' })).toMatchObject({ disabled: false }))
    expect(inHand().getByRole('button', { name: 'Take this row' })).toMatchObject({ disabled: true })
    expect(inHand().getByText(/another row is only tried here/)).toBeTruthy()
  })
  it('a hole that was said to be there by mistake is said not to be, and back', async () => {
    layOut(changed(fullBuild(), { 'neck/tuner.bore': undefined }, { 'neck/bored.tuners': 'drilled' }))
    show(<DrillStation />, 'drill/tuner-bores')
    await userEvent.click(inHand().getByRole('button', { name: 'Not there after all' }))
    await waitFor(() => expect(server.build.parts.neck!.traits['bored.tuners']).toBe('none'))
    expect(useBuild.getState().evaluation!.drill.find((c) => c.id === 'tuner-bores')!.work).toBe('new')
    await userEvent.click(await screen.findByRole('button', { name: 'It is there after all' }))
    await waitFor(() => expect(server.build.parts.neck!.traits['bored.tuners']).toBe('drilled'))
  })
})
