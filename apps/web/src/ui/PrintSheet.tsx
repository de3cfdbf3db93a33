import type { Sheet } from '@snug/core'
import { Button } from './Button'
import { download } from './download'
import { openSheet } from './openSheet'

/** A sheet for the bench: opened to print, or saved as PDF. It is made only when it is asked for. */
export function PrintSheet({
  sheet,
  label = 'Open it to print',
  main = false,
  named,
}: {
  sheet: () => Sheet
  label?: string
  main?: boolean
  /** Which one it is, where several stand side by side. */
  named?: string
}) {
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      <Button {...(main ? { look: 'main' as const } : {})} onClick={() => void openSheet(sheet())}>
        {label}
      </Button>
      <Button onClick={() => void save(sheet())}>PDF{named && <span className="sr-only"> of the {named}</span>}</Button>
    </div>
  )
}

async function save(sheet: Sheet): Promise<void> {
  // Only who prints fetches the writer.
  const { sheetPdf } = await import('@snug/formats/sheetPdf')
  download(`${sheet.title.toLowerCase().replace(/\W+/g, '-')}.pdf`, 'application/pdf', await sheetPdf(sheet, ownPaper()))
}

/** Paper people have where their language says they are: US Letter in North America, A4 elsewhere. */
const ownPaper = (): 'a4' | 'letter' => (/-(US|CA|MX)$/.test(navigator.language) ? 'letter' : 'a4')
