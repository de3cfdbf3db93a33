import { drawHole, drillSheet, TEMPLATE_IDS, templateDrawing, templateOf, templatesOf, type TemplateId } from '@snug/core'
import { tilesOf, type Paper } from '@snug/formats/templateTiles'
import { useMemo, useState } from 'react'
import { keyFor } from '../../state/keyFor'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'
import { download } from '../../ui/download'
import { PrintSheet } from '../../ui/PrintSheet'
import { ThingRow } from '../../ui/ThingRow'
import { useWhere } from '../../app/where'
import { DrillTabs } from './tabs'

const PAPER: Record<Paper, string> = { a4: 'A4', letter: 'US Letter' }

/** Why there is no paper yet, and where to see to it. */
function Waits({ of }: { of: ReturnType<typeof templatesOf>[number] }) {
  const { go } = useWhere()
  if (!of.held) return <p className="mt-1">It waits for {of.waits}, under Parts.</p>
  const { card, says } = of.held
  return (
    <>
      <p className="mt-1">No paper to cut it by while its card says:</p>
      <p className="mt-1 text-mind">{says}</p>
      <Button className="mt-2" onClick={() => go('drill', card)}>
        To its card
      </Button>
    </>
  )
}

/** Paper at true size: what there is to print, how many sheets it takes, and which way it lies. */
export function TemplatesTab() {
  const build = useOpenBuild()
  const bench = useBench((s) => s.bench)
  const { go } = useWhere()
  const [paper, setPaper] = useState<Paper>('a4')
  const list = useMemo(() => templatesOf(build, bench), [build, bench])
  const { hand } = useHand('drill', list)
  const tiles = useMemo(() => (hand?.template ? tilesOf(hand.template, paper) : []), [hand, paper])
  const drawing = useMemo(
    () => (hand?.template ? templateDrawing(hand.template, tiles) : hand?.held && drawHole(build, hand.held.card, bench)),
    [hand, tiles, build, bench],
  )
  const pick = (id: string) => TEMPLATE_IDS.some((t) => t === id) && go('drill', id, true, 'templates')
  return (
    <Workspace
      loupe={drawing}
      listLabel="Templates"
      list={
        <div className="flex h-full flex-col">
          <DrillTabs />
          {list.length === 0 && <Empty>Paper is drawn from parts: choose a body or a neck under Parts (key 1).</Empty>}
          <ul className="min-h-0 flex-1 overflow-auto">
            {list.map((t) => (
              <ThingRow
                key={t.id}
                title={t.title}
                about={t.template ? size(t.template.bounds) : `waits for ${t.waits}`}
                figure={
                  t.template ? `${tilesOf(t.template, paper).length} ${tilesOf(t.template, paper).length === 1 ? 'sheet' : 'sheets'}` : ''
                }
                selected={t.id === hand?.id}
                onSelect={() => pick(t.id)}
              />
            ))}
          </ul>
        </div>
      }
      hand={
        <div>
          {hand && (
            <>
              <h2 className="text-[23px]">{hand.title}</h2>
              {hand.template ? (
                <>
                  {hand.template.notes.map((n) => (
                    <p key={n} className={n === n.toUpperCase() ? 'mt-1 text-[19px] font-bold' : 'mt-1'}>
                      {n}
                    </p>
                  ))}
                  {hand.template.legend.map((l) => (
                    <p key={l} className="text-[15px] text-soft">
                      {l}
                    </p>
                  ))}
                  <div className="mt-2 max-w-48">
                    <Choice<Paper> label="Paper" value={paper} options={Object.entries(PAPER) as [Paper, string][]} onChange={setPaper} />
                  </div>
                  <p className="mt-2 text-[15px] text-soft">
                    {tiles.length === 1
                      ? 'It fits on one sheet.'
                      : `${tiles.length} sheets, each overlapping the next by 10 mm: lay cross on cross.`}{' '}
                    Print at 100 % and measure the 100 mm bar on each sheet first.
                  </p>
                  <div className="mt-3 flex flex-wrap gap-2">
                    <Button look="main" onClick={() => void save(hand.id, 'pdf')}>
                      PDF to print
                    </Button>
                    <Button onClick={() => void save(hand.id, 'svg')}>SVG</Button>
                    <Button onClick={() => void save(hand.id, 'dxf')}>DXF</Button>
                  </div>
                </>
              ) : (
                <Waits of={hand} />
              )}
            </>
          )}
          <SheetOfCards />
        </div>
      }
    />
  )

  async function save(id: TemplateId, as: 'pdf' | 'svg' | 'dxf') {
    const template = templateOf(build, id, bench)
    if (!template) return
    const name = `${keyFor(build.name)}-${id}`
    // Only who prints fetches the writers, and of them the one that is asked for.
    if (as === 'pdf') {
      const { templatePdf } = await import('@snug/formats/templatePdf')
      download(`${name}.pdf`, 'application/pdf', await templatePdf(template, build.name, paper))
    } else if (as === 'svg') {
      const { templateSvg } = await import('@snug/formats/templateSvg')
      download(`${name}.svg`, 'image/svg+xml', templateSvg(template, build.name))
    } else {
      const { templateDxf } = await import('@snug/formats/templateDxf')
      download(`${name}.dxf`, 'image/vnd.dxf', templateDxf(template))
    }
  }
}

const size = ({ width, height }: { width: number; height: number }) => `${Math.round(width)} x ${Math.round(height)} mm`

/** All cards to be worked through, with their tape flags at true size. */
function SheetOfCards() {
  const build = useOpenBuild()
  const cards = useBuild((s) => s.evaluation!.drill)
  if (!cards.length) return null
  return (
    <section className="mt-6 border-t border-hairline pt-3">
      <h3 className="text-[19px]">Drill sheet</h3>
      <p className="text-[15px] text-soft">Every hole that is to be made, in order, with boxes to tick and tape flags beside a rule.</p>
      <PrintSheet sheet={() => drillSheet(build, cards)} />
    </section>
  )
}
