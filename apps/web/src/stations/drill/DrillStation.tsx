import { drawHole, type HoleCard, type Mark } from '@snug/core'
import { CircleCheck, CircleDashed, OctagonX, TriangleAlert } from 'lucide-react'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { download } from '../../ui/download'
import { ThingRow } from '../../ui/ThingRow'

const STATE_WORD: Record<HoleCard['state'], string> = {
  ready: 'ready',
  mind: 'mind this',
  refused: 'do not drill',
  waiting: 'sizes missing',
}

/** Drill: a card for each hole or row, and paper templates at true size. */
export default function DrillStation() {
  const holes = useBuild((s) => s.evaluation!.drill)
  const view = usePrefs((p) => p.view)
  const build = useOpenBuild()
  const { hand, pick } = useHand('drill', holes)
  const drawing = useMemo(() => hand && drawHole(build, hand.id), [build, hand])
  const pins = useMemo(
    () =>
      holes.flatMap((h, n) =>
        h.places.map((at, i) => ({
          id: i ? `${h.id}#${i}` : h.id,
          at,
          label: `${h.title} ${i + 1}`,
          shape: <HoleDot number={n + 1} here={seenFrom(h, view)} state={h.state} />,
        })),
      ),
    [holes, view],
  )
  const overlay = useMemo(
    (): Mark[] => (hand?.places ?? []).map((at) => ({ mark: 'circle', role: 'sounding', at, r: hand!.bit / 2 })),
    [hand],
  )
  if (!hand)
    return (
      <Workspace
        loupe={undefined}
        listLabel="Hole cards"
        list={
          <Empty>
            No holes yet. Choose a body, a neck and hardware under Parts (key 1); their holes show up here in the order they are drilled.
          </Empty>
        }
        hand={<Templates />}
      />
    )
  return (
    <Workspace
      pins={pins}
      overlay={overlay}
      selected={hand.id}
      onPick={(id) => pick(id.split('#')[0]!)}
      loupe={drawing}
      listLabel="Hole cards in drilling order"
      list={
        <ul>
          {holes.map((h, i) => (
            <ThingRow
              key={h.id}
              number={i + 1}
              mark={<StateMark state={h.state} />}
              title={`${h.title}${h.places.length > 1 ? `, ${h.places.length}` : ''}`}
              about={h.says}
              figure={h.bit ? `⌀${h.bit.toFixed(1)}` : ''}
              under={h.flag ? `tape ${h.flag.toFixed(1)}` : h.state === 'waiting' ? '' : 'through'}
              selected={h.id === hand.id}
              onSelect={() => pick(h.id)}
            />
          ))}
        </ul>
      }
      hand={<CardInHand card={hand} />}
    />
  )
}

const seenFrom = (h: HoleCard, view: string) => (h.face === 'front' || h.face === 'heel' ? view !== 'back' : view === 'back')

function HoleDot({ number, here, state }: { number: number; here: boolean; state: HoleCard['state'] }) {
  return (
    <g opacity={here ? 1 : 0.4}>
      <circle
        r="8"
        fill="var(--sheet)"
        stroke={state === 'refused' ? 'var(--wont)' : 'var(--ink)'}
        strokeWidth="1.4"
        strokeDasharray={here ? undefined : '2 2'}
      />
      <path d="M-11 0h5M6 0h5M0 -11v5M0 6v5" stroke="var(--ink)" strokeWidth="1" />
      <text className="mk-figure" style={{ fontSize: 10 }} textAnchor="middle" dominantBaseline="central">
        {number}
      </text>
    </g>
  )
}

function StateMark({ state }: { state: HoleCard['state'] }) {
  const label = STATE_WORD[state]
  if (state === 'ready') return <CircleCheck size={19} aria-label={label} />
  if (state === 'mind') return <TriangleAlert size={19} className="text-copper" aria-label={label} />
  if (state === 'refused') return <OctagonX size={19} className="text-wont" aria-label={label} />
  return <CircleDashed size={19} className="text-soft" aria-label={label} />
}

function CardInHand({ card }: { card: HoleCard }) {
  const face = {
    front: 'from the front',
    back: 'from the back',
    'head back': 'from the back of the headstock',
    heel: 'into the heel, through the body’s holes',
  }[card.face]
  return (
    <div>
      <h2 className="text-[23px]">
        {card.title} <span className="label text-[16px] text-soft">{STATE_WORD[card.state]}</span>
      </h2>
      <p className="mt-1">{card.says}</p>
      <dl className="mt-2 grid grid-cols-[7.5rem_1fr] gap-x-3 gap-y-1 text-[15px]">
        <Row name="Goes in">{card.goesIn}</Row>
        <Row name="Drill">{face}</Row>
        <Row name="Measure from">{card.measureFrom}</Row>
        {card.bits.length > 0 && (
          <Row name="Bits, in order">
            <ol className="list-decimal pl-4">
              {card.bits.map((b) => (
                <li key={b}>{b}</li>
              ))}
            </ol>
          </Row>
        )}
        {card.depth !== undefined && (
          <Row name="Depth">
            {card.depth.toFixed(1)} mm full, tape flag at {card.flag!.toFixed(1)} mm from the tip, {card.left!.toFixed(1)} mm stays
          </Row>
        )}
        <Row name="With">{card.tools}</Row>
        {card.places.length > 0 && (
          <Row name="Places">
            {card.places.map((p) => `${p.x.toFixed(1)} / ${p.y >= 0 ? 'bass' : 'treble'} ${Math.abs(p.y).toFixed(1)}`).join(' · ')}{' '}
            <span className="text-soft">(mm from the nut / from the centre line)</span>
          </Row>
        )}
      </dl>
      <Caution lines={card.cautions} />
      <Templates />
    </div>
  )
}

const Row = ({ name, children }: { name: string; children: React.ReactNode }) => (
  <>
    <dt className="label text-soft">{name}</dt>
    <dd>{children}</dd>
  </>
)

function Templates() {
  const build = useOpenBuild()
  const save = async (which: 'body' | 'headstock') => {
    // Only who prints a template fetches the writer.
    const { bodyTemplate, headTemplate } = await import('@snug/formats')
    const template = which === 'body' ? bodyTemplate(build) : headTemplate(build)
    if (template) download(`${build.name.toLowerCase().replace(/\W+/g, '-')}-${which}.svg`, 'image/svg+xml', template.svg)
  }
  return (
    <div className="mt-4 border-t border-hairline pt-3">
      <h3 className="text-[18px]">Paper templates, true size</h3>
      <p className="text-[14px] text-soft">
        SVG in millimetres with centre line, cross-hairs and a 100 mm and a 4 in bar. Print at 100 % and measure the bar first.
      </p>
      <div className="mt-2 flex gap-2">
        <Button onClick={() => void save('body')} disabled={!build.parts.body?.outline}>
          Body template
        </Button>
        <Button onClick={() => void save('headstock')} disabled={!build.parts.neck?.outline}>
          Headstock template
        </Button>
      </div>
    </div>
  )
}
