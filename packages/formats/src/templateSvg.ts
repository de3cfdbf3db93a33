import type { Point, Shape, Stroke, Template } from '@snug/core'
import { BARS, FOOT, footLines } from './templateFoot'

const STROKES: Record<Stroke, string> = {
  cut: 'stroke-width:.4',
  shown: 'stroke-width:.25;stroke-dasharray:3 1.5',
  centre: 'stroke-width:.18;stroke-dasharray:8 2 1 2',
  mark: 'stroke-width:.18',
}
const MARGIN = 10

const escape = (s: string) => s.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')
const n = (x: number) => x.toFixed(3).replace(/\.?0+$/, '')
const path = (points: readonly Point[], closed: boolean) => `M${points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}${closed ? 'Z' : ''}`

/** A template as one sheet of SVG in millimetres, with bars to measure before it is trusted. */
export function templateSvg(template: Template, build: string): string {
  const { bounds } = template
  const lines = [...footLines(template, build), ...template.legend.map((text) => ({ text, big: false }))]
  const x = bounds.x - MARGIN
  const y = bounds.y - MARGIN
  const width = Math.max(bounds.width, BARS.inches + 60) + 2 * MARGIN
  const height = bounds.height + 2 * MARGIN + FOOT + lines.length * 5
  const foot = bounds.y + bounds.height + MARGIN
  const bar = (length: number, at: number, text: string) =>
    `<path class="mark" d="M${n(x + MARGIN)} ${n(at)}h${n(length)}M${n(x + MARGIN)} ${n(at - 2)}v4M${n(x + MARGIN + length)} ${n(at - 2)}v4"/>${said(x + MARGIN + length + 3, at + 1.2, text)}`
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${n(x)} ${n(y)} ${n(width)} ${n(height)}">
<title>${escape(`${build}: ${template.title}`)}</title>
<style>path,circle{fill:none;stroke:#000}${Object.entries(STROKES)
    .map(([k, v]) => `.${k}{${v}}`)
    .join('')}text{font:3.2px sans-serif}.big{font-size:5px;font-weight:bold}</style>
${template.shapes.map(shapeSvg).join('\n')}
<g id="check">${bar(BARS.millimetres, foot, '100 mm: measure this bar before you trust the sheet')}${bar(BARS.inches, foot + 8, '4 in')}</g>
${lines.map((l, i) => said(x + MARGIN, foot + 16 + i * 5.5, l.text, l.big ? 'big' : '')).join('\n')}
</svg>
`
}

const said = (x: number, y: number, text: string, cls = '') =>
  `<text x="${n(x)}" y="${n(y)}"${cls ? ` class="${cls}"` : ''}>${escape(text)}</text>`

function shapeSvg(s: Shape): string {
  if (s.shape === 'path') return `<path class="${s.stroke}" d="${path(s.points, s.closed)}"/>`
  if (s.shape === 'circle') return `<circle class="${s.stroke}" cx="${n(s.at.x)}" cy="${n(s.at.y)}" r="${n(s.r)}"/>`
  return `<text x="${n(s.at.x)}" y="${n(s.at.y)}" text-anchor="${s.anchor}">${escape(s.text)}</text>`
}
