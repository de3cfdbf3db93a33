import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { PickOnce } from './PickOnce'

afterEach(cleanup)

const OPTIONS = [
  ['alder', 'red alder'],
  ['ash', 'ash'],
  ['maple', 'hard maple'],
] as const
function shown() {
  const onPick = vi.fn<(value: string) => void>()
  render(<PickOnce label="Wood" nothing="not said yet" options={OPTIONS} onPick={onPick} />)
  return { onPick, select: screen.getByLabelText<HTMLSelectElement>('Wood') }
}
/** As a browser does with an arrow on a closed list: the key, then the change. */
const arrow = (select: HTMLSelectElement, value: string) => {
  fireEvent.keyDown(select, { key: 'ArrowDown' })
  fireEvent.change(select, { target: { value } })
}

describe('a choice that is gone once it is made', () => {
  it('by mouse it is made at once', async () => {
    const { onPick, select } = shown()
    await userEvent.selectOptions(select, 'ash')
    expect(onPick.mock.calls).toEqual([['ash']])
  })
  it('keys walk through the options; Enter makes it', () => {
    const { onPick, select } = shown()
    arrow(select, 'alder')
    arrow(select, 'ash')
    arrow(select, 'maple')
    expect(onPick).not.toHaveBeenCalled()
    expect(select.value).toBe('maple')
    fireEvent.keyDown(select, { key: 'Enter' })
    expect(onPick.mock.calls).toEqual([['maple']])
  })
  it('so does leaving the field, once', () => {
    const { onPick, select } = shown()
    arrow(select, 'ash')
    fireEvent.blur(select)
    fireEvent.blur(select)
    expect(onPick.mock.calls).toEqual([['ash']])
  })
  it('Escape, or the way back to nothing, makes none', () => {
    const { onPick, select } = shown()
    arrow(select, 'ash')
    fireEvent.keyDown(select, { key: 'Escape' })
    fireEvent.blur(select)
    arrow(select, 'alder')
    arrow(select, '')
    fireEvent.keyDown(select, { key: 'Enter' })
    fireEvent.blur(select)
    expect(onPick).not.toHaveBeenCalled()
  })
})
