import { useEffect } from 'react'

const CAN_TAKE = 'button, input, select, textarea, summary, a[href], [tabindex]'
const within = (e: Element) => [...e.querySelectorAll<HTMLElement>(CAN_TAKE)]
/** What is folded away takes none. */
const takes = (e: HTMLElement) => !e.matches(':disabled, [tabindex="-1"]') && e.checkVisibility({ visibilityProperty: true })

/** So long a button may be out of use while its work runs; what is out longer has nothing left to do, ms. [ours] */
const WORKING = 1500

/** What has the focus, what it lies in from the inside out, and the how-manyth it is in its region. */
interface Held {
  it: HTMLElement
  lies: HTMLElement[]
  region: HTMLElement | undefined
  nth: number
  wasOut: boolean
}

function heldBy(it: HTMLElement): Held {
  const lies: HTMLElement[] = []
  for (let e = it.parentElement; e && e !== document.body; e = e.parentElement) lies.push(e)
  const region = lies.find((e) => e.matches('section, header'))
  return { it, lies, region, nth: region ? within(region).indexOf(it) : 0, wasOut: false }
}

/**
 * The nearest to it of what is left: in the least that still stands round its place and has anything to press. Where its whole region has gone
 * the person has gone to another page, and keys are heard there from the start.
 */
function nearest({ lies, region, nth }: Held): HTMLElement | undefined {
  if (!region?.isConnected) return undefined
  const order = within(region)
  const far = (e: HTMLElement) => Math.abs(order.indexOf(e) - nth)
  for (const around of lies) {
    const left = around.isConnected ? within(around).filter(takes) : []
    if (left.length) return left.reduce((a, b) => (far(b) < far(a) ? b : a))
  }
  return undefined
}

/**
 * What was pressed by a key may be gone by what it did: a size that is forgotten takes its button along. Whoever works without a pointer would
 * start from the top of the page again; the focus goes to what is nearest instead. Sheets give it back by themselves.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let held: Held | undefined
    let byKey = false
    let down = false
    let waiting: ReturnType<typeof setTimeout> | undefined
    const lost = () => !down && document.activeElement === document.body && document.hasFocus() && !document.querySelector('[role=dialog]')
    const note = ({ target }: FocusEvent) => {
      held = target instanceof HTMLElement && !target.closest('[role=dialog]') ? heldBy(target) : undefined
    }
    const look = () => {
      if (!held || !byKey) return
      if (held.it.matches(':disabled')) held.wasOut = true
      if (!lost()) return
      // One that was out of use while its work ran has it back afterwards.
      if (!held.it.isConnected) nearest(held)?.focus()
      else if (held.wasOut && !held.it.matches(':disabled')) held.it.focus()
      else if (held.wasOut) waiting ??= setTimeout(leave, WORKING)
    }
    const leave = () => {
      waiting = undefined
      if (held?.it.matches(':disabled') && byKey && lost()) nearest(held)?.focus()
    }
    // While a key is down it would press what it has just been led to.
    const key = () => {
      byKey = true
      down = true
    }
    const up = () => {
      down = false
      look()
    }
    const pointer = () => {
      byKey = false
      down = false
    }
    const watch = new MutationObserver(look)
    watch.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] })
    document.addEventListener('focusin', note)
    document.addEventListener('keydown', key, true)
    document.addEventListener('keyup', up)
    document.addEventListener('pointerdown', pointer, true)
    window.addEventListener('blur', up)
    return () => {
      watch.disconnect()
      clearTimeout(waiting)
      document.removeEventListener('focusin', note)
      document.removeEventListener('keydown', key, true)
      document.removeEventListener('keyup', up)
      document.removeEventListener('pointerdown', pointer, true)
      window.removeEventListener('blur', up)
    }
  }, [])
}
