import {
  enteredAt,
  KINDS,
  setSize,
  saidThere,
  setTrait,
  setTraits,
  SIDE_WORDS,
  sizesMadeBy,
  slotSpec,
  tickStep,
  wordOf,
  type Build,
  type HoleCard,
  type SizeRef,
} from '@snug/core'
import type { ReactNode } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { PegMark } from '../../ui/PegMark'
import { SizeField } from '../../ui/SizeField'
import { Untold } from '../../ui/Untold'
import { useAtBench } from '../../app/useAtBench'
import { BenchView } from './BenchView'
import { StandMark } from './StandMark'
import { STANDING, WORK } from './holeWords'
import { now } from '../../state/now'

/** Sizes a card lacks, read right here. */
function ReadHere({ refs }: { refs: readonly SizeRef[] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  return refs.map((ref) => (
    <div key={`${ref.slot}/${ref.size}`} data-size={`${ref.slot}/${ref.size}`}>
      <SizeField sizeRef={ref} size={enteredAt(build, ref)} onCommit={(size) => change((b) => setSize(b, ref, size))} />
    </div>
  ))
}

/** Once it is ticked off: what joints ask of the hole that was made, read while the tool is still in the hand. */
function ReadWhatWasMade({ card }: { card: HoleCard }) {
  const asked = useBuild((s) => s.evaluation?.fit)
  const build = useOpenBuild()
  if (!build.steps[`drill-${card.id}`] || !asked) return null
  const waiting = new Set(asked.flatMap((j) => j.missing).map((r) => `${r.slot}/${r.size}`))
  const refs = sizesMadeBy(card.id).filter((r) => waiting.has(`${r.slot}/${r.size}`))
  if (!refs.length) return null
  return (
    <>
      <p className="mt-2">Read what you made: Dry fit judges by it.</p>
      <ReadHere refs={refs} />
    </>
  )
}

/** What its guards lack, of parts that are there; each once. */
function notRead(card: HoleCard, build: Build): SizeRef[] {
  const refs = card.guards.flatMap((g) => g.missing ?? []).filter((ref) => build.parts[ref.slot])
  return [...new Map(refs.map((ref) => [`${ref.slot}/${ref.size}`, ref])).values()]
}

/** The card in hand: what is done where and with what; what it waits for is said and read right here. */
export function HoleInHand({ card, cards, all }: { card: HoleCard; cards: readonly HoleCard[]; all: readonly HoleCard[] }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [atBench, setAtBench] = useAtBench()
  const done = build.steps[`drill-${card.id}`]
  const workable = card.stands === 'ready' || card.stands === 'mind'
  const tick = () => change((b) => tickStep(b, `drill-${card.id}`, card.title, done ? undefined : now()))
  return (
    <div>
      <h2 className="flex flex-wrap items-center gap-x-2 text-[23px]">
        <StandMark card={card} size={24} silent /> {card.title}
        <span className="label text-[16px] text-soft">{standing(card)}</span>
      </h2>
      <p className="mt-1">{card.says}</p>
      {unsaid(card).length > 0 && <IsItThere card={card} all={all} />}
      <Untold
        refs={card.untold.filter((ref) => !isHoleTrait(ref))}
        onSay={(ref, said) => change((b) => setTrait(b, ref.slot, ref.trait, said))}
      />
      <ReadHere refs={card.missing} />
      {card.work !== 'keep' && (workable || done) && (
        <div className="mt-2 flex flex-wrap gap-2">
          {!done && (
            <Button look="main" onClick={() => setAtBench(true)}>
              At the bench
            </Button>
          )}
          <Button data-tick onClick={tick}>
            {done ? 'Not done after all' : 'Done'}
          </Button>
        </div>
      )}
      <ReadWhatWasMade card={card} />
      {card.stands !== 'waiting' && (
        <dl className="mt-3 grid grid-cols-[7rem_1fr] gap-x-3 gap-y-1.5 text-[15px]">
          {card.first.length > 0 && card.work !== 'keep' && (
            <Row name="First">
              <Lines lines={card.first} />
            </Row>
          )}
          {card.work !== 'keep' && <Row name="Located by">{card.located}</Row>}
          {card.from.length > 0 && (
            <Row name="Measured">
              <Lines lines={card.from} />
              {card.placeDoubt !== undefined && <span className="text-soft">known to ±{card.placeDoubt.toFixed(1)} mm</span>}
            </Row>
          )}
          {card.work !== 'keep' && <Row name="Side">{SIDE_WORDS[card.side]}</Row>}
          {card.steps.length > 0 && (
            <Row name="In order">
              <ol className="list-decimal pl-4">
                {card.steps.map((b) => (
                  <li key={b}>{b}</li>
                ))}
              </ol>
            </Row>
          )}
          {card.depth !== undefined && card.flag !== undefined && card.steps.length > 0 && (
            <Row name="Depth">
              {card.depth.toFixed(1)} mm full, tape flag at {card.flag.toFixed(1)} mm from the tip
              {card.left !== undefined && `, ${card.left.toFixed(1)} mm stays`}
            </Row>
          )}
          {card.with && card.steps.length > 0 && <Row name="With">{card.with}</Row>}
          <Row name="Goes in">{card.goesIn}</Row>
          {card.guards.length > 0 && (
            <Row name="Looked at">
              <ul>
                {card.guards.map((g) => (
                  <li key={g.id} className="grid grid-cols-[auto_1fr] items-start gap-2">
                    <span className="pt-0.5">
                      <PegMark verdict={g.verdict} size={16} silent />
                    </span>
                    <span>
                      <b className="font-semibold">{g.label}:</b> {g.says}
                      <span className="sr-only"> {wordOf(g.verdict, true)}</span>
                    </span>
                  </li>
                ))}
              </ul>
              <ReadHere refs={notRead(card, build)} />
            </Row>
          )}
          {card.mind.length > 0 && card.work !== 'keep' && card.stands !== 'refused' && (
            <Row name="Mind">
              <Lines lines={card.mind} />
            </Row>
          )}
          {card.work !== 'keep' && <Row name="Gone wrong">{card.back}</Row>}
        </dl>
      )}
      {card.work !== 'keep' && card.stands !== 'waiting' && <Caution lines={card.cautions} />}
      {!done && <SaidOtherwise card={card} />}
      {atBench && <BenchView start={card.id} cards={cards} onClose={() => setAtBench(false)} />}
    </div>
  )
}

type Ref = HoleCard['untold'][number]
const isHoleTrait = ({ slot, trait }: Ref) => KINDS[slotSpec(slot).kind].traits[trait]?.hole === true
const unsaid = (card: HoleCard): Ref[] => card.untold.filter(isHoleTrait)

/** Said by one press: of this hole, or of every one that nobody has said. */
function IsItThere({ card, all }: { card: HoleCard; all: readonly HoleCard[] }) {
  const change = useBuild((s) => s.change)
  const here = unsaid(card)
  const every = [...new Map(all.flatMap(unsaid).map((r) => [`${r.slot} ${r.trait}`, r])).values()]
  const say = (refs: readonly Ref[], said: 'none' | 'drilled', what: string) =>
    change((b) => setTraits(b, refs, said, `${what}: ${said === 'drilled' ? 'there' : 'not there'}`))
  return (
    <div className="mt-2">
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={() => say(here, 'drilled', card.title)}>
          It is there
        </Button>
        <Button look="main" onClick={() => say(here, 'none', card.title)}>
          Not there yet
        </Button>
      </div>
      {every.length > 1 && (
        <p className="mt-2 flex flex-wrap items-center gap-2 text-[15px]">
          Of all {every.length} nobody has said:
          <Button onClick={() => say(every, 'drilled', 'All holes')}>all are there</Button>
          <Button onClick={() => say(every, 'none', 'All holes')}>none is</Button>
        </p>
      )}
    </div>
  )
}

/** What was said by looking can be said otherwise. */
function SaidOtherwise({ card }: { card: HoleCard }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const was = saidThere(build, card.id)
  if (!was) return null
  const to = was.said === 'drilled' ? 'none' : 'drilled'
  return (
    <p className="mt-2 -ml-3">
      <Button look="quiet" onClick={() => change((b) => setTrait(b, was.ref.slot, was.ref.trait, to))}>
        {to === 'none' ? 'Not there after all' : 'It is there after all'}
      </Button>
    </p>
  )
}

const standing = (card: HoleCard) =>
  card.work === 'keep' && card.stands === 'ready'
    ? WORK.keep
    : `${STANDING[card.stands]}${card.work && card.stands !== 'done' && card.stands !== 'refused' ? ` · ${WORK[card.work]}` : ''}`

const Row = ({ name, children }: { name: string; children: ReactNode }) => (
  <>
    <dt className="label text-soft">{name}</dt>
    <dd>{children}</dd>
  </>
)

const Lines = ({ lines }: { lines: readonly string[] }) => (
  <ul>
    {lines.map((l) => (
      <li key={l}>{l}</li>
    ))}
  </ul>
)
