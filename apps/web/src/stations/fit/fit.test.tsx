import { beginBuild, drawJoint, TRIAL_TILT, type Tool } from '@snug/core'
import { aPart } from '@snug/core/testing/bench'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useLocation } from 'react-router'
import { describe, expect, it, vi } from 'vitest'
import { TrialBar } from '../../app/TrialBar'
import { useBuild } from '../../state/buildStore'
import { inHand, layOut, loupe, show } from '../../testing/bench'
import { server } from '../../testing/localApi'
import FitStation from './FitStation'

vi.mock('../../workers/compute', () => import('../../testing/localCompute'))
vi.mock('../../state/api', () => import('../../testing/localApi'))
vi.mock('react-chartjs-2', () => ({ Line: () => null, Bar: () => null }))

const tight = () => changed(fullBuild(), { 'body/pocket.widthMouth': 56 })
const list = () => within(screen.getByRole('region', { name: 'Joints by verdict' }))
const station = () => (
  <>
    <FitStation />
    <TrialBar />
  </>
)

describe('joints', () => {
  it('what needs a person stands first, with its job; the one in hand with its sizes and drawing', () => {
    layOut(tight())
    show(station(), 'fit')
    const [first] = list().getAllByRole('listitem')
    expect(first!.textContent).toMatch(/Heel in pocket, at the mouth.*tight.*Shave.*−0\.35/)
    expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/Heel in pocket, at the mouth.*tight/)
    expect(inHand().getByLabelText<HTMLInputElement>('Pocket width, mouth').value).toBe('56')
    expect(loupe().getByRole('img', { name: 'Pocket and heel from above' })).toBeTruthy()
    // The drawing's numbers, for those who cannot see it.
    expect(loupe().getByRole('table').textContent).toMatch(/56/)
  })
  it('stand there, each with its sizes and its jobs, while all the rest of the build is still worked out; the trial build waits for it', () => {
    const whole = () =>
      list()
        .getAllByRole('listitem')
        .map((row) => row.textContent)
    const hand = () => [inHand().getByRole('heading', { level: 2 }).textContent, inHand().getAllByRole('textbox').length]
    layOut(tight())
    const shown = show(station(), 'fit')
    const [rows, inHandThen] = [whole(), hand()]
    shown.unmount()
    const { fit } = useBuild.getState().evaluation!
    useBuild.setState({ evaluation: undefined, early: fit })
    for (const joint of fit) {
      const one = show(station(), `fit/${joint.id}`)
      expect(inHand().getByRole('heading', { level: 2 }).textContent).toContain(joint.title)
      one.unmount()
    }
    const trial = show(station(), 'fit?tab=mockup')
    expect(screen.queryByRole('region')).toBeNull()
    trial.unmount()
    show(station(), 'fit')
    expect([whole(), hand()]).toEqual([rows, inHandThen])
  })
  it('a part that nothing takes stands under the list, with why and the way to it', async () => {
    const b = structuredClone(fullBuild())
    b.parts['jack-plate'] = aPart('jack-plate', { hole: 9.7 })
    layOut(b)
    const Address = () => <output aria-label="Address">{useLocation().pathname}</output>
    show(
      <>
        <FitStation />
        <Address />
      </>,
    )
    expect(
      list().getByText('Jack plate or cup: its own joint is not judged, as nothing here takes it: the jack is held by its own thread.'),
    ).toBeTruthy()
    await userEvent.click(list().getByRole('button', { name: 'Jack plate or cup under Parts' }))
    expect(screen.getByLabelText('Address').textContent).toBe('/builds/b/parts/jack-plate')
  })
  it('what nobody measured is ? in the drawing and in its numbers, and a figure once it is', async () => {
    const b = structuredClone(fullBuild())
    delete b.parts.neck!.sizes['heel.thickness']
    layOut(b)
    show(station(), 'fit/pocket-depth')
    const numbers = () => loupe().getByRole('table').textContent
    expect(numbers()).toMatch(/Board above the body\? mm.*Overhang of the board8 mm/)
    expect(loupe().getByText(/\?: not known yet/)).toBeTruthy()
    await userEvent.type(inHand().getByLabelText('Heel thickness, board included'), '25.4{Enter}')
    await waitFor(() => expect(numbers()).toMatch(/Board above the body9\.5 mm/))
    expect(loupe().queryByText(/not known yet/)).toBeNull()
  })
  it('a size entered settles the verdict and reaches the server', async () => {
    layOut(tight())
    show(station(), 'fit/pocket-mouth')
    const field = inHand().getByLabelText('Pocket width, mouth')
    await userEvent.clear(field)
    await userEvent.type(field, '56.55{Enter}')
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/snug/))
    await waitFor(() => expect(server.build.parts.body!.sizes['pocket.widthMouth']!.value).toBe(56.55))
    expect(useBuild.getState().moved.what.join()).toMatch(/tight → snug/)
  })
  it('a cut is offered with the least that can do and what it must not exceed', () => {
    layOut(changed(fullBuild(), { 'guard/opening.bridge.width': 69.3 }))
    show(station(), 'fit/room-bridge')
    expect(inHand().getAllByText(/^The least that can do: 0\.1\d mm in all, then try it/).length).toBe(2)
  })
  it('another part instead: what lies in the stash, what the joint would then be, and it is taken', async () => {
    layOut(tight())
    const neck = { ...fullBuild().parts.neck!, name: 'Neck with a narrow heel' }
    neck.sizes = { ...neck.sizes, 'heel.widthMouth': { value: 55.8, doubt: 0.05, known: 'calipers' } }
    server.stock = [{ id: 'n', part: neck, holding: 'stash', quantity: 1, reserved: {}, place: 'rack 2' }]
    show(station(), 'fit/pocket-mouth')
    await userEvent.click(inHand().getByText('Another part instead'))
    await userEvent.selectOptions(inHand().getByLabelText('Instead of'), 'neck')
    const row = await within(inHand().getByRole('list', { name: 'Parts that could take its place' })).findByText(/Neck with a narrow heel/)
    expect(row.parentElement!.textContent).toMatch(/snug · rack 2 · 0\.00 EUR/)
    await userEvent.click(inHand().getByRole('button', { name: 'Take it' }))
    await waitFor(() => expect(server.build.parts.neck!.name).toBe('Neck with a narrow heel'))
    expect(server.build.parts.neck!.state).toBe('in hand')
  })
  it('a part that would spoil another joint says which', async () => {
    layOut(tight())
    const neck = { ...fullBuild().parts.neck!, name: 'Neck with a short scale' }
    neck.sizes = {
      ...neck.sizes,
      'heel.widthMouth': { value: 55.8, doubt: 0.05, known: 'calipers' },
      scale: { value: 628, doubt: 0.1, known: 'rule' },
    }
    server.stock = [{ id: 'n', part: neck, holding: 'stash', quantity: 1, reserved: {} }]
    show(station(), 'fit/pocket-mouth')
    await userEvent.click(inHand().getByText('Another part instead'))
    await userEvent.selectOptions(inHand().getByLabelText('Instead of'), 'neck')
    const list = within(inHand().getByRole('list', { name: 'Parts that could take its place' }))
    expect((await list.findByText(/^would no longer go: /)).textContent).toMatch(/bridge reach, all saddles/)
  })
  it('of an offer nothing is said that nobody named, and taken it is still to be bought', async () => {
    layOut(tight())
    const { price: _, ...neck } = { ...fullBuild().parts.neck!, name: 'Neck on a page', state: 'in hand' as const }
    server.stock = [
      { id: 'n', part: neck, holding: 'offer', quantity: 1, reserved: {} },
      {
        id: 'm',
        part: { ...neck, name: 'Neck at a price', price: 80 },
        holding: 'offer',
        quantity: 1,
        reserved: {},
        lead: { promised: 3 },
      },
    ]
    show(station(), 'fit/pocket-mouth')
    await userEvent.click(inHand().getByText('Another part instead'))
    await userEvent.selectOptions(inHand().getByLabelText('Instead of'), 'neck')
    const list = within(inHand().getByRole('list', { name: 'Parts that could take its place' }))
    const told = (await list.findAllByRole('listitem')).map((row) => row.textContent)
    expect(told[0]).toMatch(/^Neck at a price.* · here by .* · 80\.00 EUR and its postage/)
    expect(told[1]).toMatch(/^Neck on a page.* · nobody says when it comes · no price/)
    await userEvent.click(list.getAllByRole('button', { name: 'Take it' })[1]!)
    await waitFor(() => expect(server.build.parts.neck!.name).toBe('Neck on a page'))
    expect(server.build.parts.neck!.state).toBe('planned')
  })
  it('what cannot be told says what to read and with which tool; a scale for a mass', () => {
    const says = (id: string, tools?: Tool[]) => {
      const b = structuredClone(fullBuild())
      b.parts.body!.sizes['pocket.widthMouth'] = { value: 56.4, doubt: 0.8, known: 'listed' }
      b.parts.body!.sizes.mass = { value: 1700, doubt: 600, known: 'listed' }
      b.parts.body!.sizes['button.upper.x'] = { value: 40, doubt: 1, known: 'calipers' }
      if (tools) b.tools = tools
      layOut(b)
      show(<FitStation />, `fit/${id}`)
      const text = inHand().getByText(/^To know, read|^No reading/).textContent
      cleanup()
      return text
    }
    expect(says('pocket-mouth')).toBe('To know, read pocket width, mouth (body) with the calipers.')
    expect(says('balance')).toMatch(/^To know, read mass \(body\) with the scale/)
    expect(says('balance', ['calipers'])).toBe('No reading with the tools here would settle it.')
  })
  it('what nobody has said is asked for where the joint is looked at, and said there', async () => {
    const b = structuredClone(fullBuild())
    delete b.parts.neck!.traits.truss
    delete b.parts.body!.traits.notch
    layOut(b)
    show(<FitStation />, 'fit/truss-access')
    expect(inHand().getByText(/^Not known yet: truss rod adjusts at \(neck\), notch/)).toBeTruthy()
    await userEvent.selectOptions(inHand().getByLabelText('Truss rod adjusts at (neck)'), 'head')
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/good/))
    await waitFor(() => expect(server.build.parts.neck!.traits.truss).toBe('head'))
    expect(inHand().queryByLabelText(/Notch for/)).toBeNull()
  })
  it('tried by hand: it settles what could not be told, is kept with its day, and can be taken back', async () => {
    const b = structuredClone(fullBuild())
    delete b.parts.jack!.sizes.width
    layOut(b)
    show(<FitStation />, 'fit/jack')
    expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/can’t tell/)
    await userEvent.selectOptions(inHand().getByLabelText(/^I tried it: Jack in its bore/), 'goes')
    await waitFor(() => expect(inHand().getByText(/^Tried by hand on \d+ [A-Z][a-z]{2}: it goes in by hand\.$/)).toBeTruthy())
    expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/snug/)
    await userEvent.selectOptions(inHand().getByLabelText(/^I tried it/), '')
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/can’t tell/))
  })
  it('a job ticked off without a reading asks for the size it was to change; the reading closes the joint', async () => {
    const b = tight()
    b.steps['cure-pocket-mouth'] = { done: '2026-11-24T20:00:00Z' }
    layOut(b)
    show(station(), 'fit/pocket-mouth')
    expect(inHand().getByText(/^Ticked off on 2026-11-24, and by its sizes it is still tight/)).toBeTruthy()
    const field = inHand().getByLabelText('Pocket width, mouth, as it is now')
    await userEvent.clear(field)
    await userEvent.type(field, '56.6{Enter}')
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/snug/))
    expect(inHand().queryByText(/^Ticked off/)).toBeNull()
  })
  it('done on paper, rubbed out again', async () => {
    layOut(tight())
    show(station(), 'fit/pocket-mouth')
    await userEvent.click(inHand().getAllByRole('button', { name: 'Do it on paper' })[0]!)
    await waitFor(() => expect(inHand().getByText(/^On paper:/)).toBeTruthy())
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/snug/))
    await userEvent.click(inHand().getByRole('button', { name: 'Rub it out' }))
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/tight/))
    await waitFor(() => expect(server.build.jobs).toEqual({}))
  })
  it('only tried out: old and new side by side, nothing sent, dropped without a trace', async () => {
    layOut(tight())
    show(station(), 'fit/pocket-mouth')
    await userEvent.click(inHand().getByRole('checkbox', { name: 'only try it out' }))
    const field = inHand().getByLabelText('Pocket width, mouth')
    await userEvent.clear(field)
    await userEvent.type(field, '56.55{Enter}')
    const trial = await screen.findByRole('complementary', { name: 'On trial' })
    await waitFor(() => expect(trial.textContent).toMatch(/Heel in pocket, at the mouth: tight →\s+snug/))
    expect(inHand().getByText('As it is')).toBeTruthy()
    expect(server.revision).toBe(0)
    await userEvent.click(within(trial).getByRole('button', { name: 'Drop it' }))
    expect(screen.queryByRole('complementary', { name: 'On trial' })).toBeNull()
    expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/tight/)
  })
  it('a trial kept is a change like any other', async () => {
    layOut(tight())
    show(station(), 'fit/pocket-mouth')
    await userEvent.click(inHand().getByRole('checkbox', { name: 'only try it out' }))
    const field = inHand().getByLabelText('Pocket width, mouth')
    await userEvent.clear(field)
    await userEvent.type(field, '56.55{Enter}')
    await userEvent.click(await screen.findByRole('button', { name: 'Keep it' }))
    await waitFor(() => expect(server.build.parts.body!.sizes['pocket.widthMouth']!.value).toBe(56.55))
    expect(server.done).toHaveLength(1)
  })
  it('how sure: each check with its chances, which add up', async () => {
    layOut(tight())
    show(station(), 'fit/pocket-mouth')
    const table = inHand().getByText('How sure is this').closest('details')!.querySelector('table')!
    const cells = [...table.querySelectorAll('tbody tr')].map((r) =>
      [...r.querySelectorAll('td')].slice(1).map((t) => parseInt(t.textContent!)),
    )
    for (const row of cells) expect(Math.abs(row.reduce((a, b) => a + b, 0) - 100)).toBeLessThanOrEqual(2)
  })
  it('of an instrument that was together one word settles what nobody has measured', async () => {
    layOut(beginBuild({ name: 'New', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-plate', job: 'upgrade' }, '2026-12-01'))
    show(station(), 'fit')
    const open = () => screen.queryAllByText('can’t tell').length
    const before = open()
    await userEvent.click(screen.getByRole('button', { name: 'all as they should be' }))
    await waitFor(() => expect(Object.keys(server.build.trials ?? {}).length).toBeGreaterThan(10))
    await waitFor(() => expect(screen.queryByRole('button', { name: 'all as they should be' })).toBeNull())
    expect(open()).toBeLessThan(before / 2)
    expect(server.done).toHaveLength(1)
  })
  it('a router is named with its caution', () => {
    layOut(changed(fullBuild(), { 'body/route.neck.depth': 14 }))
    show(station(), 'fit/room-neck')
    expect(inHand().getByText(/Both hands on the router/)).toBeTruthy()
    // Its body came coated.
    expect(inHand().getByText(/^The body came finished: tape along what is worked/)).toBeTruthy()
  })
  it('pegs on the long view can be picked', async () => {
    layOut(tight())
    show(station(), 'fit')
    const pin = document.querySelector('[data-pin="tuner-row"]')!
    fireEvent.click(pin)
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toMatch(/Tuners in a row/))
  })
  it('an empty build says what to do', () => {
    layOut({ ...fullBuild(), parts: {} })
    show(station(), 'fit')
    expect(screen.getByText(/No two parts meet yet/)).toBeTruthy()
  })
})

describe('the side view', () => {
  const atStop = () => changed(fullBuild(), { 'bridge/height.min': 14.5, 'bridge/height.max': 20 })
  const row = (name: RegExp) => inHand().getByRole('row', { name })
  it('goals set a tilt on trial: least, mid-range, and a break angle', async () => {
    layOut(atStop())
    show(station(), 'fit/bridge-height')
    await userEvent.click(inHand().getByRole('button', { name: 'Least shim' }))
    const least = useBuild.getState().trial!.build.jobs[TRIAL_TILT]!.delta
    expect(least).toBeGreaterThan(0.2)
    await waitFor(() => expect(row(/^Saddles for the action wanted/).textContent).toMatch(/15 mm/))
    await userEvent.click(inHand().getByRole('button', { name: 'Bridge mid-range' }))
    expect(useBuild.getState().trial!.build.jobs[TRIAL_TILT]!.delta).toBeGreaterThan(least)
    await waitFor(() => expect(row(/^Saddles for the action wanted/).textContent).toMatch(/17\.[23] mm/))
    await userEvent.click(inHand().getByRole('button', { name: 'Break of at least 10°' }))
    // The string already breaks more steeply than that: nothing is tilted.
    expect(useBuild.getState().trial!.build.jobs[TRIAL_TILT]).toBeUndefined()
    expect(server.revision).toBe(0)
  })
  it('rings move by the arrow keys, within their range, and say their value', async () => {
    layOut(atStop())
    show(station(), 'fit/bridge-height')
    const ring = () => loupe().getByRole('slider', { name: 'Tilt added to the neck' })
    expect(ring().getAttribute('aria-valuenow')).toBe('0')
    ring().focus()
    fireEvent.keyDown(ring(), { key: 'ArrowDown' })
    await waitFor(() => expect(ring().getAttribute('aria-valuetext')).toBe('0.01°'))
    fireEvent.keyDown(ring(), { key: 'PageDown' })
    await waitFor(() => expect(ring().getAttribute('aria-valuenow')).toBe('0.11'))
    for (let i = 0; i < 20; i++) fireEvent.keyDown(ring(), { key: 'PageUp' })
    await waitFor(() => expect(Number(ring().getAttribute('aria-valuenow'))).toBeGreaterThanOrEqual(-0.5))
  })
  it('the saddle dragged up raises the action by half of it, and can be let go again', async () => {
    layOut(fullBuild())
    show(station(), 'fit/bridge-height')
    const ring = loupe().getByRole('slider', { name: 'Saddle height above the body' })
    const from = Number(ring.getAttribute('aria-valuenow'))
    fireEvent.pointerDown(ring, { clientY: 100, pointerId: 1 })
    act(() => void fireEvent.pointerMove(ring, { clientY: 92, pointerId: 1 }))
    fireEvent.pointerUp(ring, { pointerId: 1 })
    const saddle = useBuild.getState().trial!.build.setup.saddle!
    expect(saddle).toBeGreaterThan(from)
    await waitFor(() => expect(row(/^Saddles on trial at/).textContent).toMatch(/mm, action \d/))
    await userEvent.click(inHand().getByRole('button', { name: 'let the action decide' }))
    expect(useBuild.getState().trial!.build.setup.saddle).toBeUndefined()
  })
  it('a drag faster than it can be reckoned ends at the last place', async () => {
    layOut(fullBuild())
    show(station(), 'fit/bridge-height')
    const ring = () => loupe().getByRole('slider', { name: 'Tilt added to the neck' })
    fireEvent.pointerDown(ring(), { clientY: 100, pointerId: 1 })
    for (let y = 101; y <= 112; y++) fireEvent.pointerMove(ring(), { clientY: y, pointerId: 1 })
    fireEvent.pointerUp(ring(), { pointerId: 1 })
    const tilt = useBuild.getState().trial!.build.jobs[TRIAL_TILT]!.delta
    await waitFor(() => {
      const shown = drawJoint(useBuild.getState().trial!.build, 'bridge-height')!
      expect(shown.handles!.find((h) => h.id === 'tilt')!.value).toBeCloseTo(tilt, 9)
    })
  })
  it('without the sizes it needs it says which', () => {
    layOut(changed(fullBuild(), { 'nut/slot': undefined }))
    show(station(), 'fit/bridge-height')
    expect(inHand().getByText(/have to be known before a tilt can be tried/)).toBeTruthy()
  })
})

describe('mock-up sheet', () => {
  it('one step at a time in big type; a reading files itself and brings the next', async () => {
    layOut()
    show(station(), 'fit?tab=mockup')
    expect(inHand().getByRole('heading', { level: 2 }).textContent).toBe('Pocket width at the mouth')
    const field = inHand().getByRole('textbox')
    await userEvent.clear(field)
    await userEvent.type(field, '56.6{Enter}')
    await waitFor(() => expect(inHand().getByRole('heading', { level: 2 }).textContent).toBe('Heel width at the mouth'))
    await waitFor(() => expect(server.build.mockup!['pocket-mouth']!.outcome).toBe('measured'))
    expect(server.build.parts.body!.sizes['pocket.widthMouth']!.value).toBe(56.6)
  })
  it('a size that still reads the same is one press', async () => {
    layOut()
    show(station(), 'fit?tab=mockup')
    await userEvent.click(inHand().getByRole('button', { name: 'It still reads that' }))
    await waitFor(() => expect(server.build.mockup!['pocket-mouth']!.outcome).toBe('measured'))
  })
  it('what is only looked at is said in three ways, and only what changed is to be checked again', async () => {
    layOut()
    show(station(), 'fit?tab=mockup')
    const steps = within(screen.getByRole('region', { name: 'Trial build, in order' }))
    await userEvent.click(steps.getByText('Bare neck into the pocket'))
    await userEvent.click(inHand().getByRole('button', { name: 'After a job' }))
    await waitFor(() => expect(server.build.mockup!['neck-in']!.outcome).toBe('job'))
    expect(steps.getByText('goes after a job')).toBeTruthy()
    act(() =>
      useBuild.getState().change((b) => ({
        label: 'heel',
        edits: [
          { path: ['parts', 'neck', 'sizes', 'heel.widthMouth', 'value'], from: b.parts.neck!.sizes['heel.widthMouth']!.value, to: 56.45 },
        ],
      })),
    )
    await waitFor(() => expect(steps.getByText(/re-check only these 1/)).toBeTruthy())
  })
  it('the jobs that remain stand below, before finish', () => {
    layOut(tight())
    show(station(), 'fit?tab=mockup')
    expect(screen.getByRole('heading', { name: /jobs left, all before finish/ }).parentElement!.textContent).toMatch(/Shave/)
  })
})
