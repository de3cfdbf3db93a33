import { partDrawing, SLOTS, type Build, type Drawing, type StockItem } from '@snug/core'

/** A stock part drawn as if it lay in the build. */
export function stockDrawing(build: Build, item: StockItem): Drawing | undefined {
  const slot = SLOTS.find((s) => s.kind === item.part.kind)?.slot
  return slot && partDrawing({ ...build, jobs: {}, parts: { ...build.parts, [slot]: item.part } }, slot)
}
