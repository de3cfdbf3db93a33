import type { Parsed } from '@snug/core'
import { useState, type KeyboardEvent } from 'react'
import { INPUT } from './Field'

interface Props {
  id?: string
  label: string
  /** What stands there now, printed; empty when nothing does. */
  shown: string
  placeholder?: string
  /** Reads what was typed: a value, or the sentence that says what is allowed. */
  parse: (text: string) => Parsed<number>
  onCommit: (value: number) => void
  /** Arrow keys: the value one step up or down, when there is one to step from. */
  step?: (direction: 1 | -1) => number | undefined
  onError?: (sentence: string | undefined) => void
  className?: string
  describedBy?: string
  autoFocus?: boolean
  /** Enter counts as a reading even when the number is the one that stands there already. */
  always?: boolean
}

/**
 * Text field for a number written the way benches write it. Enter or leaving it commits; Escape puts back what stood
 * there; what cannot be is said and the old value kept.
 */
export function EntryField({
  id,
  label,
  shown,
  placeholder,
  parse,
  onCommit,
  step,
  onError,
  className = '',
  describedBy,
  autoFocus,
  always = false,
}: Props) {
  const [typed, setTyped] = useState<string>()
  const [bad, setBad] = useState(false)
  const say = (sentence: string | undefined) => {
    setBad(!!sentence)
    onError?.(sentence)
  }
  const commit = (entered = false) => {
    const same = typed === undefined || typed.trim() === shown.trim()
    if (same && !(entered && always && shown)) {
      if (typed === undefined) return
      setTyped(undefined)
      return say(undefined)
    }
    const read = parse(typed ?? shown)
    if (!read.ok) return say(read.why)
    say(undefined)
    setTyped(undefined)
    onCommit(read.value)
  }
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === 'Enter') commit(true)
    else if (e.key === 'Escape' && typed !== undefined) {
      e.stopPropagation()
      setTyped(undefined)
      say(undefined)
    } else if ((e.key === 'ArrowUp' || e.key === 'ArrowDown') && step && typed === undefined) {
      const next = step(e.key === 'ArrowUp' ? 1 : -1)
      if (next === undefined) return
      e.preventDefault()
      onCommit(next)
    }
  }
  return (
    <input
      id={id}
      aria-label={id ? undefined : label}
      aria-describedby={describedBy}
      aria-invalid={bad || undefined}
      className={`${INPUT} figure text-right text-[15px] ${bad ? 'border-wont' : ''} ${className}`}
      inputMode="text"
      autoComplete="off"
      autoFocus={autoFocus}
      placeholder={placeholder}
      value={typed ?? shown}
      onChange={(e) => setTyped(e.target.value)}
      onFocus={(e) => e.target.select()}
      onBlur={() => commit()}
      onKeyDown={onKeyDown}
    />
  )
}
