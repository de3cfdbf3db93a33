import type * as Formats from '@snug/formats'

/** Makes a printable sheet and opens it in a tab of its own, ready for the printer. Only who prints fetches the writer. */
export async function openSheet(make: (formats: typeof Formats) => string): Promise<void> {
  const html = make(await import('@snug/formats'))
  const url = URL.createObjectURL(new Blob([html], { type: 'text/html' }))
  window.open(url, '_blank', 'noopener')
  setTimeout(() => URL.revokeObjectURL(url), 60_000)
}
