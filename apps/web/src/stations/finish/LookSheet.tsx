import { finishCards, lookDrawing, type Sheet } from '@snug/core'
import { useOpenBuild } from '../../state/buildStore'
import { PrintSheet } from '../../ui/PrintSheet'
import { CardLines } from './CardLines'

/** The picture to lay beside the test board, and the board's card. */
export function LookSheet() {
  const build = useOpenBuild()
  const board = finishCards(build).find((c) => c.id === 'test-board')!
  const sheet = (): Sheet => ({
    id: 'look-sheet',
    title: 'Colours to compare',
    about: `${build.name}. Laid beside the test board by daylight; the board decides.`,
    blocks: [
      { drawing: lookDrawing(build, 'front') },
      { drawing: lookDrawing(build, 'back') },
      { heading: board.title },
      { tick: board.lines },
    ],
  })
  return (
    <section className="mt-4">
      <h3 className="text-[18px]">{board.title}</h3>
      <p className="text-soft">{board.why}</p>
      <CardLines card={board} />
      <PrintSheet sheet={sheet} label="The picture to print" />
    </section>
  )
}
