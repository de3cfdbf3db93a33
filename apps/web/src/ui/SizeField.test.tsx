import { sizeRef, type Size } from '@snug/core'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { usePrefs } from '../state/prefs'
import { SizeField } from './SizeField'

const ref = sizeRef('body', 'pocket.widthMouth')
const committed: Size[] = []

function Held({ film }: { film?: number }) {
  const [size, setSize] = useState<Size | undefined>({ value: 56.1, doubt: 0.05, known: 'calipers', ...(film ? { film } : {}) })
  return (
    <SizeField
      sizeRef={ref}
      size={size}
      onCommit={(s) => {
        committed.push(s)
        setSize(s)
      }}
    />
  )
}

beforeEach(() => {
  committed.length = 0
  usePrefs.setState({ system: 'mm' })
})
afterEach(cleanup)
const field = () => screen.getByLabelText<HTMLInputElement>('Pocket width, mouth')
const type = async (text: string) => {
  await userEvent.clear(field())
  await userEvent.type(field(), `${text}{Enter}`)
}

describe('size field', () => {
  it('shows the other system and its doubt', () => {
    render(<Held />)
    expect(field().value).toBe('56.1')
    expect(screen.getByText('2.209 in')).toBeTruthy()
    expect(screen.getByRole<HTMLSelectElement>('combobox').selectedOptions[0]!.textContent).toBe('calipers ±0.05')
  })
  it.each([
    ['56.45', 56.45],
    ['56,45 mm', 56.45],
    ['2-1/4', 57.15],
    ['2 7/32 in', 56.35625],
    ['2.2in', 55.88],
  ])('takes %s', async (text, mm) => {
    render(<Held />)
    await type(text)
    expect(committed.at(-1)!.value).toBeCloseTo(mm, 9)
  })
  it('says that film lay on it, and takes back what it says of it; how it is known leaves it as it is, another number does not', async () => {
    render(<Held film={94} />)
    const box = () => screen.getByRole<HTMLInputElement>('checkbox', { name: 'read with 0.09 mm of film on each wall' })
    expect(box().checked).toBe(true)
    await userEvent.click(box())
    expect(committed.at(-1)).toEqual({ value: 56.1, doubt: 0.05, known: 'calipers' })
    expect(box().checked).toBe(false)
    await userEvent.click(box())
    expect(committed.at(-1)!.film).toBe(94)
    await userEvent.selectOptions(screen.getByRole('combobox'), 'rule')
    expect(committed.at(-1)).toMatchObject({ known: 'rule', film: 94 })
    // What lies there now is said by whoever knows what was laid.
    await type('56.4')
    expect(committed.at(-1)!.film).toBeUndefined()
  })
  it('nothing is said of film where none lay', () => {
    render(<Held />)
    expect(screen.queryByRole('checkbox')).toBeNull()
  })
  it('an angle of nothing is still known to some angle only', async () => {
    render(<SizeField sizeRef={sizeRef('body', 'pocket.tilt')} size={undefined} onCommit={(s) => committed.push(s)} />)
    await userEvent.type(screen.getByLabelText('Pocket floor tilt'), '0°{Enter}')
    await userEvent.selectOptions(screen.getByRole('combobox'), 'calipers')
    expect(committed).toEqual([{ value: 0, doubt: expect.closeTo(0.324, 3) as number, known: 'rule' }])
  })
  it.each([
    ['-4', /allowed is 40 mm to 90 mm/],
    ['5m', /5000 mm cannot be right/],
    ['about 56', /not a length/],
    ['56 ell', /not a unit/],
  ])('says why %s cannot be and keeps the old value', async (text, why) => {
    render(<Held />)
    await type(text)
    expect(screen.getByRole('alert').textContent).toMatch(why)
    expect(committed).toEqual([])
    await userEvent.keyboard('{Escape}')
    expect(field().value).toBe('56.1')
  })
  it('arrow keys step by the tool’s resolution', async () => {
    render(<Held />)
    field().focus()
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}')
    expect(committed.map((s) => s.value)).toEqual([56.15, 56.2, 56.15])
  })
  it('another way of knowing it brings another doubt', async () => {
    render(<Held />)
    await userEvent.selectOptions(screen.getByRole('combobox'), 'rule')
    expect(committed.at(-1)).toEqual({ value: 56.1, doubt: 0.3, known: 'rule' })
  })
})
