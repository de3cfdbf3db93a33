import type { Page } from '@playwright/test'

/** Lists move inside the page; where the page itself is larger than its window it is pushed away under the hand. */
export const pastItsWindow = (page: Page) =>
  page.evaluate(() => {
    const { scrollWidth, scrollHeight } = document.documentElement
    const bad = scrollWidth > innerWidth ? [`the page is ${scrollWidth} wide`] : []
    return scrollHeight > innerHeight ? [...bad, `the page is ${scrollHeight} high`] : bad
  })

/** What is to be pressed or typed in, and cannot be brought before the finger. */
export const outOfReach = (page: Page) =>
  page.evaluate(() => {
    const bad: string[] = []
    const within = (x: number, most: number) => Math.min(Math.max(x, 1), most - 1)
    for (const e of document.querySelectorAll<HTMLInputElement>('button, a[href], input, select, textarea, [role=slider]')) {
      const style = getComputedStyle(e)
      if (!e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) || style.pointerEvents === 'none') continue
      e.scrollIntoView({ block: 'center', inline: 'center' })
      const box = e.getBoundingClientRect()
      // Only read out, such as the links that lead past the frame.
      if (box.width <= 2 || box.height <= 2 || style.clipPath !== 'none') continue
      const at = { x: within(box.x + box.width / 2, innerWidth), y: within(box.y + box.height / 2, innerHeight) }
      const hit = document.elementFromPoint(at.x, at.y)
      const label = hit?.closest('label')
      // Of rings that lie close the nearest to the finger takes it, whichever lies on top.
      if (e.matches('.handle') && hit?.closest('.handle')?.parentElement === e.parentElement) continue
      if (!hit || !(e.contains(hit) || hit.contains(e) || (label && [...(e.labels ?? [])].includes(label))))
        bad.push(
          `“${(e.getAttribute('aria-label') ?? e.innerText) || e.name}” at ${Math.round(box.x)},${Math.round(box.y)} lies under ${hit?.outerHTML.slice(0, 90)}`,
        )
    }
    return bad
  })
