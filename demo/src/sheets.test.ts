import { drillSheet, evaluate, holeCards, sheetsOf, type Sheet } from '@snug/core'
import { PAPERS, sheetPdf } from '@snug/formats'
import { describe, expect, it } from 'vitest'
import { dunlin } from './dunlin'
import { heron } from './heron'
import { plover } from './plover'
import { readPdf } from './readPdf'

const TODAY = '2026-11-24'
const HERON = heron(TODAY, '2027-02-15', '2026-12-05')
const BUILDS = [HERON, plover(TODAY, '2027-02-15'), dunlin(TODAY, '2027-02-15', '2026-12-13')]
const squeezed = (s: string) => s.replace(/\s+/g, '')
const wordsOf = async (sheet: Sheet, paper: 'a4' | 'letter' = 'a4') =>
  squeezed((await readPdf(await sheetPdf(sheet, paper))).flatMap((p) => p.words.slice(0, -1)).join(''))

describe('a sheet as PDF, read by another reader', () => {
  it('says every word the sheet says, on every station’s sheet of every demo build', async () => {
    for (const build of BUILDS) {
      const sheets = sheetsOf(build, evaluate(build, TODAY))
      for (const sheet of sheets) {
        const read = await wordsOf(sheet)
        const said = sheet.blocks.flatMap((b) =>
          'heading' in b ? [b.heading] : 'text' in b ? [b.text] : 'tick' in b ? b.tick : 'table' in b ? b.table.rows.flat() : [],
        )
        for (const words of said.filter((w) => /^[\x20-\x7e]*$/.test(w)))
          expect(read, `${build.name}, ${sheet.title}`).toContain(squeezed(words))
      }
    }
  })
  it('draws a tape flag at true size, wherever on the sheet it comes', async () => {
    const cards = holeCards(HERON).filter((c) => c.work === 'new' && c.flag !== undefined && (c.stands === 'ready' || c.stands === 'mind'))
    expect(cards.length).toBeGreaterThan(2)
    for (const c of cards) {
      const runs = (await readPdf(await sheetPdf(drillSheet(HERON, [c])))).flatMap((p) => p.runs)
      // The tape is 6 mm long and begins at the flag; the bit's tip is the foremost point of the bit.
      const spans = runs.map((r) => r.points.map((p) => p.x)).map((xs) => ({ from: Math.min(...xs), to: Math.max(...xs) }))
      const bit = spans.find((s) => Math.abs(s.to - s.from - (c.flag! + 14)) < 0.02)
      expect(bit, c.id).toBeDefined()
      expect(
        spans.some((s) => Math.abs(s.from - bit!.from - c.flag!) < 0.02 && Math.abs(s.to - s.from - 6) < 0.02),
        c.id,
      ).toBe(true)
    }
  })
  it('stays on its paper, A4 and Letter, and numbers its pages', async () => {
    for (const paper of ['a4', 'letter'] as const) {
      const pages = await readPdf(await sheetPdf(drillSheet(HERON, holeCards(HERON)), paper))
      expect(pages.length).toBeGreaterThan(2)
      pages.forEach((p, i) => {
        expect(p.width).toBeCloseTo(PAPERS[paper].width, 1)
        expect(p.height).toBeCloseTo(PAPERS[paper].height, 1)
        expect(squeezed(p.words.join(''))).toContain(`${i + 1}of${pages.length}`)
        for (const at of p.runs.flatMap((r) => r.points)) {
          expect(at.x).toBeGreaterThan(5)
          expect(at.x).toBeLessThan(p.width - 5)
          expect(at.y).toBeGreaterThan(5)
        }
      })
    }
  })
})
