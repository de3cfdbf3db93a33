import type { Sheet, SheetBlock } from '@snug/core'
import { drawingSvg } from './drawingSvg'

const escape = (s: string) => s.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/** A sheet for the bench as one self-contained HTML file: big enough to read at arm's length, prints on A4 and Letter. */
export function sheetHtml({ title, about, blocks }: Sheet): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${escape(title)}</title>
<style>
body{font:12pt/1.4 sans-serif;color:#111;max-width:180mm;margin:10mm auto;padding:0 6mm}
h1{font-size:20pt;margin:0}h2{font-size:14pt;margin:6mm 0 2mm}p.about{color:#555;margin:1mm 0 4mm}
table{border-collapse:collapse;width:100%}th,td{border-bottom:.3mm solid #bbb;text-align:left;padding:1.6mm 3mm 1.6mm 0;vertical-align:top}
th{font-size:10pt;color:#555}td:empty{min-width:22mm;border-bottom-color:#333}
ul{list-style:none;padding:0;margin:0}li{padding:1.4mm 0;border-bottom:.3mm solid #ddd}li::before{content:"";display:inline-block;width:4mm;height:4mm;border:.4mm solid #333;margin-right:3mm;vertical-align:-.6mm}
svg{display:block;margin:3mm 0;max-width:100%;height:auto}tr,li,svg{break-inside:avoid}
@media print{body{margin:0}}
</style></head><body>
<h1>${escape(title)}</h1><p class="about">${escape(about)}</p>
${blocks.map(block).join('\n')}
</body></html>
`
}

function block(b: SheetBlock): string {
  if ('heading' in b) return `<h2>${escape(b.heading)}</h2>`
  if ('text' in b) return `<p>${escape(b.text)}</p>`
  if ('tick' in b) return `<ul>${b.tick.map((t) => `<li>${escape(t)}</li>`).join('')}</ul>`
  if ('drawing' in b) return drawingSvg(b.drawing, b.width)
  return `<table><thead><tr>${b.table.columns.map((c) => `<th>${escape(c)}</th>`).join('')}</tr></thead><tbody>${b.table.rows
    .map((r) => `<tr>${r.map((c) => `<td>${escape(c)}</td>`).join('')}</tr>`)
    .join('')}</tbody></table>`
}
