import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const folder = fileURLToPath(new URL('../packages/core/src/photo/photographs/', import.meta.url))
type Place = [x: number, y: number]
interface Truth {
  marks: Record<string, { px: Place }>
  card: { corners_px: Place[] }
}
export const truthOf = (name: string) => (JSON.parse(readFileSync(`${folder}truth.json`, 'utf8')) as Record<string, Truth>)[name]!

/** A rendered photograph taken in, scaled by the roughly picked corners of its card, and its 300 mm between two marks picked. */
export async function measuredByCard(page: Page, name: string): Promise<void> {
  const truth = truthOf(name)
  await page.getByLabel('Choose a picture').setInputFiles(`${folder}${name}.jpg`)
  const board = page.getByRole('application')
  await expect(board).toBeVisible()
  await expect(page.getByText('0 of 4 picked')).toBeVisible()
  const click = async ([x, y]: Place, off: number) => {
    const box = (await board.boundingBox())!
    await board.click({ position: { x: ((x + off) / 1600) * box.width, y: ((y + off) / 1200) * box.height } })
  }
  for (const corner of truth.card.corners_px) await click(corner, 3)
  const measure = page.getByRole('button', { name: 'Measure', exact: true })
  await expect(measure).toBeEnabled()
  await measure.click()
  for (const mark of ['M1', 'M2']) await click(truth.marks[mark]!.px, 0)
  await expect(page.getByTestId('picture-length')).toBeVisible()
}
