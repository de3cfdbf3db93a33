import type { Page } from '@playwright/test'

/** What a screen reader is led by and has no name, and headings that leave a level out. */
export const unnamed = (page: Page) =>
  page.evaluate(() => {
    const bad: string[] = []
    const one = (selector: string) => {
      const count = document.querySelectorAll(selector).length
      if (count !== 1) bad.push(`${count} of ${selector}`)
    }
    for (const landmark of ['h1', 'main', 'footer', 'nav[aria-label=Stations]', '[role=tablist][aria-label]', '[aria-label="In hand"]'])
      one(landmark)
    const named = (e: Element) =>
      e.getAttribute('aria-label') ?? e.getAttribute('aria-labelledby') ?? e.querySelector('caption, legend, title')?.textContent
    for (const e of document.querySelectorAll('table, fieldset, [role=img], [role=group], [role=tablist], [role=slider], dialog'))
      if (!named(e)) bad.push(`no name: ${e.outerHTML.slice(0, 110)}`)
    for (const e of document.querySelectorAll('table')) if (!e.querySelector('th')) bad.push(`no headings: ${e.outerHTML.slice(0, 110)}`)
    let level = 0
    for (const h of document.querySelectorAll('h1, h2, h3, h4, h5')) {
      const mine = Number(h.tagName[1])
      if (mine > level + 1) bad.push(`${h.tagName} “${h.textContent}” after H${level}`)
      level = mine
    }
    return bad.slice(0, 8)
  })

/** Buttons whose spoken label does not hold the words that are seen: who speaks to the machine says what they see. */
export const unlikeSeen = (page: Page) =>
  page
    .locator('button[aria-label]')
    .evaluateAll((all) =>
      all
        .map((e) => ({ name: e.getAttribute('aria-label')!, seen: (e as HTMLElement).innerText.trim().replace(/\s+/g, ' ') }))
        .filter(({ name, seen }) => seen && !name.toLowerCase().includes(seen.toLowerCase())),
    )
