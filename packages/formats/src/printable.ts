/** The standard fonts of a PDF have no more letters than these. */
export const printable = (s: string): string =>
  s
    .replace(/[‘’]/g, '\u2019')
    .replace(/–/g, '-')
    .replace(/⌀/g, 'dia ')
    .replace(/Ω/g, 'ohm')
    .replace(/−/g, '-')
    .replace(/→/g, 'to')
    .replace(/[^\x20-\x7e\u00a0-\u00ff\u2019]/g, '?')
