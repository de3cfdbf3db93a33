import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** What stands on a page, read by a reader that knows nothing of who wrote it: runs of points, mm from its lower left corner. */
export interface PageRead {
  width: number
  height: number
  /** Each stroke as its points; a round one by the ends of its four quarters. */
  runs: { points: { x: number; y: number }[]; round: boolean }[]
  words: string[]
}

type Matrix = readonly [number, number, number, number, number, number]
const MM = 25.4 / 72
const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
]

export async function readPdf(bytes: Uint8Array): Promise<PageRead[]> {
  const doc = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise
  return Promise.all(
    Array.from({ length: doc.numPages }, async (_, i) => {
      const page = await doc.getPage(i + 1)
      const { width, height } = page.getViewport({ scale: 1 })
      const { fnArray, argsArray } = await page.getOperatorList()
      const text = await page.getTextContent()
      let at: Matrix = [1, 0, 0, 1, 0, 0]
      const kept: Matrix[] = []
      const runs: PageRead['runs'] = []
      fnArray.forEach((fn, k) => {
        const args = argsArray[k] as unknown[]
        if (fn === OPS.save) kept.push(at)
        else if (fn === OPS.restore) at = kept.pop() ?? at
        else if (fn === OPS.transform) at = times(at, args as unknown as Matrix)
        else if (fn === OPS.constructPath) runs.push(...runsOf((args[1] as [Float32Array | null])[0], at))
      })
      return {
        width: width * MM,
        height: height * MM,
        runs,
        words: text.items.flatMap((item) => ('str' in item && item.str.trim() ? [item.str] : [])),
      }
    }),
  )
}

/** The reader's own codes: 0 move, 1 line, 2 curve, 3 quadratic curve, 4 close. */
const TAKES = [2, 2, 6, 4, 0]

function runsOf(data: Float32Array | null, m: Matrix): PageRead['runs'] {
  const runs: PageRead['runs'] = []
  for (let i = 0; data && i < data.length; ) {
    const code = data[i]!
    const takes = TAKES[code] ?? 0
    if (code === 0) runs.push({ points: [], round: false })
    if (takes) {
      const [x, y] = [data[i + takes - 1]!, data[i + takes]!]
      const run = runs.at(-1)!
      run.round ||= code === 2
      run.points.push({ x: (m[0] * x + m[2] * y + m[4]) * MM, y: (m[1] * x + m[3] * y + m[5]) * MM })
    }
    i += 1 + takes
  }
  return runs
}
