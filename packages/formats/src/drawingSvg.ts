import type { Drawing, Mark, Point, Role } from '@snug/core'

/** How roles look on paper: hairlines and a few tints that survive a black-and-white printer. */
const FILL: Partial<Record<Role, string>> = {
  'body-wood': '#f0e2c4',
  'neck-wood': '#e0c69a',
  board: '#b79a84',
  metal: '#dedbd4',
  plastic: '#f6f3ea',
  pickup: '#6d675f',
  cavity: '#cbbd9f',
  film: '#e2cd98',
  'film-light': '#f0e2c4',
  remove: 'url(#remove)',
  doubt: 'url(#doubt)',
  bit: '#dedbd4',
  tape: '#b9b0dd',
  tool: '#e4e0f2',
}
const escape = (s: string) => s.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
const n = (x: number) => x.toFixed(3).replace(/\.?0+$/, '')
const path = (points: readonly Point[], close: boolean) => `M${points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}${close ? 'Z' : ''}`

/** A drawing as SVG in its own millimetres, for paper. @param width printed width, mm */
export function drawingSvg(drawing: Drawing, width = 150): string {
  const { x, y, width: w, height: h } = drawing.bounds
  const unit = w / width
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n((width * h) / w)}mm" viewBox="${n(x)} ${n(y)} ${n(w)} ${n(h)}" role="img" aria-label="${escape(drawing.title)}">
<defs>
<pattern id="remove" width="${n(2.4 * unit)}" height="${n(2.4 * unit)}" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V${n(2.4 * unit)}" stroke="#a33" stroke-width="${n(0.7 * unit)}"/></pattern>
<pattern id="doubt" width="${n(3 * unit)}" height="${n(3 * unit)}" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)"><path d="M0 0V${n(3 * unit)}" stroke="#4b3f8f" stroke-width="${n(0.4 * unit)}"/></pattern>
</defs>
<g stroke="#222" stroke-width="${n(0.25 * unit)}" fill="none" font-family="sans-serif" font-size="${n(3 * unit)}">
${drawing.marks.map((m) => markSvg(m, unit)).join('\n')}
</g></svg>`
}

function markSvg(m: Mark, unit: number): string {
  const dash = 'dashed' in m && m.dashed ? ` stroke-dasharray="${n(1.4 * unit)} ${n(unit)}"` : ''
  const text = (p: Point, words: string, anchor = 'middle') =>
    `<text x="${n(p.x)}" y="${n(p.y)}" text-anchor="${anchor}" fill="#222" stroke="none">${escape(words)}</text>`
  switch (m.mark) {
    case 'area':
      return `<path d="${path(m.points, true)}" fill="${m.tint ?? FILL[m.role] ?? 'none'}"${dash}/>`
    case 'line':
      return `<path d="${path(m.points, false)}"${dash}/>`
    case 'circle':
      return `<circle cx="${n(m.at.x)}" cy="${n(m.at.y)}" r="${n(Math.max(m.r, 0.3 * unit))}" fill="${FILL[m.role] ?? 'none'}"${dash}/>`
    case 'label':
      return text(m.at, m.text, m.anchor ?? 'start')
    case 'dimension':
      return `<path d="${path([m.from, m.to], false)}"/>${text({ x: (m.from.x + m.to.x) / 2, y: (m.from.y + m.to.y) / 2 - unit }, m.text)}`
  }
}
