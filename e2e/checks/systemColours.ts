import type { Page } from '@playwright/test'

/** Inks of drawings that are none of the system's own colours. */
export const foreignInks = (page: Page) =>
  page.evaluate(() => {
    const probe = document.createElement('i')
    probe.style.setProperty('forced-color-adjust', 'none')
    document.body.append(probe)
    const own = new Set(['none', 'rgba(0, 0, 0, 0)'])
    for (const name of [
      'Canvas',
      'CanvasText',
      'Highlight',
      'HighlightText',
      'LinkText',
      'GrayText',
      'ButtonText',
      'ButtonFace',
      'ButtonBorder',
    ]) {
      probe.style.color = name
      own.add(getComputedStyle(probe).color)
    }
    probe.remove()
    const found = new Set<string>()
    for (const e of document.querySelectorAll(
      'svg:not([data-shows-colour]) :is(path, circle, rect, line, polygon, polyline, ellipse, text)',
    )) {
      const { fill, stroke } = getComputedStyle(e)
      for (const ink of [fill, stroke]) if (!own.has(ink) && !ink.startsWith('url')) found.add(`${e.outerHTML.slice(0, 100)} is ${ink}`)
    }
    return [...found].slice(0, 5)
  })

/** What is picked and is not told from what is not by a line round it. */
export const pickedUnseen = (page: Page) =>
  page.evaluate(() => {
    const line = (e: Element) => parseFloat(getComputedStyle(e).outlineWidth)
    const picked = [...document.querySelectorAll('[role=tab][aria-selected=true], li > button[aria-current=true], [aria-pressed=true]')]
    const others = [...document.querySelectorAll('[role=tab][aria-selected=false], li > button:not([aria-current]), [aria-pressed=false]')]
    return [
      ...picked.filter((e) => line(e) < 3).map((e) => `picked: ${e.outerHTML.slice(0, 100)}`),
      ...others.filter((e) => e !== document.activeElement && line(e) >= 3).map((e) => `not picked: ${e.outerHTML.slice(0, 100)}`),
    ].slice(0, 5)
  })
