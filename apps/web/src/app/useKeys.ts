import { useEffect } from 'react'
import { useBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { STATIONS, type Station } from '@snug/core'
import { keyOf } from './pocket'

export const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 8', 'the stations'],
  ['J K ↓ ↑', 'through the list'],
  ['Enter', 'into the thing in hand'],
  ['Esc', 'back to the list'],
  ['M', 'measure the next size'],
  ['Space', 'tick the step in hand'],
  ['L', 'quick log'],
  ['U', 'millimetres or inches'],
  ['F', 'front or back'],
  ['V', 'from above or from the side'],
  ['T', 'light or dark'],
  ['/', 'find anything'],
  ['?', 'these keys'],
  ['Ctrl Z, Ctrl Shift Z', 'undo and redo'],
]

interface Acts {
  go: (station: Station) => void
  find: () => void
  log: () => void
  keys: () => void
  measure: () => void
}

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.matches('input, textarea, select, [contenteditable]') || !!target.closest('[role=dialog]'))

/** Moves through the list shown: the row before or after the one in hand gets picked. */
function walk(by: 1 | -1) {
  const rows = [...document.querySelectorAll<HTMLButtonElement>('.ws-list li > button')]
  if (!rows.length) return
  const at = rows.findIndex((r) => r.getAttribute('aria-current') === 'true')
  const row = rows[Math.min(rows.length - 1, Math.max(0, at + by))]
  row?.click()
  row?.focus()
}

/** Where a thing in hand is begun: its first size, else its first field, else the first thing that can be pressed. */
const BEGINNINGS = ['[data-size] input', 'input:not([type=checkbox]), select, textarea', 'input, button, a[href]']

function intoHand() {
  const hand = document.querySelector<HTMLElement>('.ws-hand')
  for (const what of BEGINNINGS) {
    const first = [...(hand?.querySelectorAll<HTMLElement>(what) ?? [])].find((e) => !e.matches(':disabled'))
    if (first) return first.focus()
  }
}

/** Pieces with keys of their own: arrows on a knob turn the knob, and nothing else. */
const OWN_KEYS = '[role=slider], [role=tab], [role=radio], [role=menuitem], [role=option], [role=switch], [role=spinbutton]'
const GIVEN_OVER = new Set(['ArrowUp', 'ArrowDown', ' ', 'Enter'])
const hasOwn = (e: KeyboardEvent) => GIVEN_OVER.has(e.key) && e.target instanceof HTMLElement && !!e.target.closest(OWN_KEYS)

/** Keys that work everywhere but in fields and dialogs. */
export function useKeys(acts: Acts): void {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === 'z' && (e.ctrlKey || e.metaKey)) {
        if (typing(e.target) && (e.target as HTMLInputElement).value !== (e.target as HTMLInputElement).defaultValue) return
        e.preventDefault()
        const { undo, redo } = useBuild.getState()
        return void (e.shiftKey ? redo() : undo())
      }
      if (e.key === 'Escape' && !(e.target instanceof HTMLElement && e.target.closest('[role=dialog]'))) {
        document.querySelector<HTMLElement>('.ws-list [aria-current=true]')?.focus()
        return
      }
      if (e.defaultPrevented || e.ctrlKey || e.metaKey || e.altKey || typing(e.target) || hasOwn(e)) return
      const prefs = usePrefs.getState()
      if (!prefs.singleKeys && e.key.length === 1 && e.key !== ' ') return
      const station = STATIONS.find((s) => keyOf(s) === e.key)
      const act: Record<string, () => void> = {
        j: () => walk(1),
        ArrowDown: () => walk(1),
        k: () => walk(-1),
        ArrowUp: () => walk(-1),
        m: acts.measure,
        l: acts.log,
        u: prefs.toggleSystem,
        f: prefs.flip,
        v: prefs.turn,
        t: prefs.toggleTheme,
        '/': acts.find,
        '?': acts.keys,
      }
      const onRow = e.target instanceof HTMLElement && e.target.closest('.ws-list li > button[aria-current=true]')
      if (e.key === 'Enter' && onRow) {
        e.preventDefault()
        intoHand()
        return
      }
      if (e.key === ' ' && (onRow || e.target === document.body)) {
        const tick = document.querySelector<HTMLButtonElement>('[data-tick]')
        if (tick) {
          e.preventDefault()
          tick.click()
        }
        return
      }
      const run = station ? () => acts.go(station) : (act[e.key] ?? act[e.key.toLowerCase()])
      if (!run) return
      e.preventDefault()
      run()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [acts])
}
