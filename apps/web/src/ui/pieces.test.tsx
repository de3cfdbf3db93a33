import { wordOf, drawJoint, findJoints, type Mark, type Verdict } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import '../testing/bench'
import { DrawingView } from '../drawing/DrawingView'
import { Caution } from './Caution'
import { DetailTables } from './DetailTables'
import { JointLinks } from './JointLinks'
import { NumberEntry } from './NumberEntry'
import { PegMark } from './PegMark'
import { ThingRow } from './ThingRow'

vi.mock('react-chartjs-2', () => ({ Line: () => <div role="img" aria-label="line" /> }))
afterEach(cleanup)

const VERDICTS: Verdict[] = ['snug', 'loose', 'tight', 'wont-go', 'cant-tell']

describe('peg marks', () => {
  it.each(VERDICTS)('%s has a shape of its own and its word', (verdict) => {
    const { container } = render(<PegMark verdict={verdict} />)
    expect(screen.getByRole('img', { name: wordOf(verdict) })).toBeTruthy()
    // Told apart by shape and not only by colour.
    const shape = container.querySelector('svg')!.innerHTML.replace(/var\(--[a-z]+\)/g, '')
    for (const other of VERDICTS.filter((v) => v !== verdict)) {
      const { container: c } = render(<PegMark verdict={other} />)
      expect(c.querySelector('svg')!.innerHTML.replace(/var\(--[a-z]+\)/g, '')).not.toBe(shape)
    }
  })
  it('silent where the word stands beside it', () => {
    render(<PegMark verdict="snug" silent />)
    expect(screen.queryByRole('img')).toBeNull()
  })
})

describe('number entry', () => {
  function Held({ whole = false }: { whole?: boolean }) {
    const [v, setV] = useState<number | undefined>(5)
    return <NumberEntry label="Coats" value={v} from={1} to={20} whole={whole} onCommit={setV} />
  }
  const field = () => screen.getByLabelText<HTMLInputElement>('Coats')
  const type = async (text: string) => {
    await userEvent.clear(field())
    await userEvent.type(field(), `${text}{Enter}`)
  }
  it('takes a number, with a comma too', async () => {
    render(<Held />)
    await type('7,5')
    expect(field().value).toBe('7.5')
    expect(screen.queryByRole('alert')).toBeNull()
  })
  it.each([
    ['21', /21 cannot be; 1 to 20 is allowed/],
    ['many', /"many" is not a number/],
    ['1,200', /"1,200" can be read in two ways; write 1200/],
    ['', /is not a number/],
  ])('refuses %j, keeps the old one, and Escape puts it back', async (text, why) => {
    render(<Held />)
    await type(text)
    expect(screen.getByRole('alert').textContent).toMatch(why)
    expect(field().getAttribute('aria-invalid')).toBe('true')
    await userEvent.keyboard('{Escape}')
    expect(field().value).toBe('5')
  })
  it('only whole ones where halves make no sense', async () => {
    render(<Held whole />)
    await type('2.5')
    expect(screen.getByRole('alert').textContent).toMatch(/Only whole numbers from 1 to 20/)
  })
  it('leaving the field commits it', async () => {
    render(
      <>
        <Held />
        <button>elsewhere</button>
      </>,
    )
    await userEvent.clear(field())
    await userEvent.type(field(), '9')
    await userEvent.click(screen.getByText('elsewhere'))
    expect(field().value).toBe('9')
  })
})

describe('drawings on the screen', () => {
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'metal',
      points: [
        { x: 0, y: 0 },
        { x: 10, y: 0 },
        { x: 10, y: 10 },
      ],
      thing: 'bridge',
    },
    {
      mark: 'line',
      role: 'string',
      points: [
        { x: 0, y: 5 },
        { x: 10, y: 5 },
      ],
      dashed: true,
    },
    { mark: 'circle', role: 'cavity', at: { x: 5, y: 5 }, r: 2 },
    { mark: 'dimension', from: { x: 0, y: 0 }, to: { x: 10, y: 0 }, text: '10' },
    { mark: 'label', at: { x: 1, y: 1 }, text: 'here' },
  ]
  const drawing = {
    title: 'A thing',
    note: 'true proportion',
    marks,
    bounds: { x: 0, y: 0, width: 20, height: 10 },
    numbers: [{ label: 'Long', value: '10 mm' }],
  }
  it('keeps proportion, names itself, and gives its numbers as a table', () => {
    const { container } = render(<DrawingView drawing={drawing} />)
    expect(screen.getByRole('img', { name: 'A thing' })).toBeTruthy()
    expect(screen.getByRole('table').textContent).toMatch(/Long10 mm/)
    const [, a, b, c] = /M([\d.]+) ([\d.]+)L([\d.]+)/.exec(container.querySelector('path.mk-metal')!.getAttribute('d')!)!.map(Number) as [
      number,
      number,
      number,
      number,
    ]
    // 260 px for 10 mm: the height decides.
    expect(c - a).toBeCloseTo(260, 1)
    expect(b).toBeCloseTo(0, 1)
  })
  it('a figure too long for its dimension stands beside it, on the side that has room', () => {
    const wide = { x: 0, y: 0, width: 400, height: 10 }
    const at = (from: number) => {
      const mark = { mark: 'dimension' as const, from: { x: from, y: 5 }, to: { x: from + 8, y: 5 }, text: '8.25' }
      const { container, unmount } = render(<DrawingView drawing={{ ...drawing, marks: [mark], bounds: wide }} />)
      const sheet = Number(container.querySelector('svg')!.getAttribute('width'))
      const [, line] = /^M([\d.]+)/.exec(container.querySelector('path.mk-dim')!.getAttribute('d')!)!.map(Number) as [number, number]
      const box = container.querySelector('rect')!
      const x = Number(box.getAttribute('x'))
      unmount()
      return { line, x, end: x + Number(box.getAttribute('width')), sheet }
    }
    const first = at(0)
    expect(first.x).toBeGreaterThan(first.line)
    const last = at(392)
    expect(last.end).toBeLessThan(last.line)
    expect(last.end).toBeLessThanOrEqual(last.sheet)
  })
  it('a thing on it can be picked', () => {
    const pick = vi.fn()
    const { container } = render(<DrawingView drawing={drawing} onPick={pick} />)
    fireEvent.click(container.querySelector('path.mk-metal')!)
    expect(pick).toHaveBeenCalledWith('bridge')
  })
  it('rings only where somebody listens', () => {
    const handle = { id: 'h', label: 'Height', at: { x: 5, y: 5 }, value: 2, min: 0, max: 4, step: 0.5, unit: 'mm' as const, perUp: 0.1 }
    const { rerender } = render(<DrawingView drawing={{ ...drawing, handles: [handle] }} />)
    expect(screen.queryByRole('slider')).toBeNull()
    const moved = vi.fn()
    rerender(<DrawingView drawing={{ ...drawing, handles: [handle] }} onHandle={moved} />)
    const ring = screen.getByRole('slider', { name: 'Height' })
    fireEvent.keyDown(ring, { key: 'ArrowUp' })
    expect(moved).toHaveBeenLastCalledWith('h', 2.5)
    fireEvent.keyDown(ring, { key: 'PageUp' })
    expect(moved).toHaveBeenLastCalledWith('h', 4)
    fireEvent.keyDown(ring, { key: 'x' })
    expect(moved).toHaveBeenCalledTimes(2)
    fireEvent.pointerDown(ring, { clientY: 100, pointerId: 1 })
    fireEvent.pointerMove(ring, { clientY: 5000, pointerId: 1 })
    expect(moved).toHaveBeenLastCalledWith('h', 0)
    fireEvent.pointerUp(ring, { pointerId: 1 })
    fireEvent.pointerMove(ring, { clientY: 0, pointerId: 1 })
    expect(moved).toHaveBeenCalledTimes(3)
  })
  it('every joint of a build is drawn without a number that is none', () => {
    const build = fullBuild()
    for (const j of findJoints(build)) {
      const { container, unmount } = render(<DrawingView drawing={drawJoint(build, j.id)!} />)
      expect(container.innerHTML, j.id).not.toMatch(/NaN|undefined|Infinity/)
      unmount()
    }
  })
})

describe('small pieces', () => {
  it('tables show their rows; a charted one keeps its numbers folded', async () => {
    render(
      <DetailTables
        tables={[
          { title: 'Plain', columns: ['a', 'b'], rows: [['1', '2']] },
          { title: 'Year', columns: ['month', 'gap'], rows: [['Jan', '0.3']], chart: { labels: ['Jan'], values: [0.3], unit: 'mm' } },
        ]}
      />,
    )
    expect(screen.getAllByRole('row', { hidden: true })[1]!.textContent).toBe('12')
    expect(screen.getByText('The same in numbers')).toBeTruthy()
  })
  it('joints lead to themselves', async () => {
    const pick = vi.fn()
    const joints = findJoints(fullBuild()).slice(0, 2)
    render(<JointLinks joints={joints} says onPick={pick} />)
    await userEvent.click(screen.getByText(joints[1]!.title))
    expect(pick).toHaveBeenCalledWith(joints[1]!.id)
  })
  it('the row in hand says so', () => {
    render(
      <ul>
        <ThingRow title="One" selected onSelect={() => undefined} />
        <ThingRow title="Two" selected={false} onSelect={() => undefined} />
      </ul>,
    )
    const [one, two] = screen.getAllByRole('button')
    expect(one!.getAttribute('aria-current')).toBe('true')
    expect(two!.hasAttribute('aria-current')).toBe(false)
  })
  it('no caution, no box', () => {
    const { container } = render(<Caution lines={[]} />)
    expect(container.textContent).toBe('')
  })
})
