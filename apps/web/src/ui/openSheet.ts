import type { Sheet } from '@snug/core'

/** Opens a printable sheet in a tab of its own, ready for the printer. Only who prints fetches the writer. */
export async function openSheet(sheet: Sheet): Promise<void> {
  const { sheetHtml } = await import('@snug/formats/sheetHtml')
  const url = URL.createObjectURL(new Blob([sheetHtml(sheet)], { type: 'text/html' }))
  window.open(url, '_blank', 'noopener')
  setTimeout(() => URL.revokeObjectURL(url), 60_000)
}
