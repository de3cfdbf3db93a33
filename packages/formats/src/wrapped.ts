import type { PDFFont } from 'pdf-lib'

/** Words in lines no wider than there is room for; a word wider than that stands alone. @param size, room points */
export function wrapped(font: PDFFont, text: string, size: number, room: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const longer = line ? `${line} ${word}` : word
    if (!line || font.widthOfTextAtSize(longer, size) <= room) line = longer
    else {
      lines.push(line)
      line = word
    }
  }
  return line ? [...lines, line] : lines
}
