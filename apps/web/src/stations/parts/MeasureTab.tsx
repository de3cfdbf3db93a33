import {
  alike,
  enteredAt,
  isAsItWas,
  isHole,
  knownWord,
  sameAs,
  setSize,
  sizeDrawing,
  slotSpec,
  specAt,
  type Build,
  type LengthSystem,
  type MeasureBundle,
  type MeasureRank,
} from '@snug/core'
import { useMemo } from 'react'
import { Board } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { Button } from '../../ui/Button'
import { KeyCap } from '../../ui/KeyCap'
import { printSize, SizeField } from '../../ui/SizeField'
import { StationTabs, useTab } from '../../ui/StationTabs'
import { Owned } from './Owned'
import { Settled } from './Settled'
import { TAB_IDS, TABS } from './tabs'
import { keyOf, useRound } from './useRound'

const nameOf = (r: MeasureRank) => specAt(r.ref).label
const partOf = (r: MeasureRank) => slotSpec(r.ref.slot).label
const withWhat = ({ ref, tool }: MeasureRank) => knownWord(specAt(ref).unit, tool)
const minutes = (n: number) => `${n < 10 ? Number(n.toFixed(1)) : Math.round(n)} min`
const joints = (n: number) => `${n} ${n === 1 ? 'joint' : 'joints'}`
/** "2 joints and 1 hole": what a bundle settles. */
const settled = (ids: readonly string[]) => {
  const holes = ids.filter(isHole).length
  const words = [ids.length > holes ? joints(ids.length - holes) : '', holes ? `${holes} ${holes === 1 ? 'hole' : 'holes'}` : '']
  return words.filter(Boolean).join(' and ')
}
const readings = (n: number) => `${n} ${n === 1 ? 'reading' : 'readings'}`

/** The measuring round: one size after another, the part drawn with what is held to it, bundled by what is in the hand. */
export function MeasureTab() {
  const build = useOpenBuild()
  const system = usePrefs((p) => p.system)
  const round = useRound(build)
  const { hand, bundle } = round
  const change = useBuild((s) => s.change)
  const [tab, onTab] = useTab(TAB_IDS)
  const twin = hand && alike(build, hand.ref.slot, hand.ref.size)
  const drawing = useMemo(() => (hand ? sizeDrawing(build, hand.ref) : undefined), [build, hand])
  return (
    <Board
      selected={hand?.ref.slot}
      onPick={(slot) => {
        const found = [...(bundle ? [bundle] : []), ...round.then].find((b) => b.readings.some((r) => r.ref.slot === slot))
        if (found) round.take(found, found.readings.find((r) => r.ref.slot === slot)!)
      }}
      boardLabel="The size to read"
      board={
        <div className="flex h-full flex-col">
          <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Parts" />
          {hand && drawing ? (
            <div className="flex min-h-0 flex-1 flex-col px-5 py-3" onKeyDown={(e) => passKey(e, () => round.pass(hand))}>
              <h2 className="text-[25px] leading-tight">
                {partOf(hand)} · {nameOf(hand).toLowerCase()}
              </h2>
              <p className="min-h-[1.4em] text-[15px]">{specAt(hand.ref).how ? `${upper(specAt(hand.ref).how!)}.` : ' '}</p>
              <div className="round-drawing border-y border-hairline bg-sheet">
                <DrawingView drawing={drawing} />
              </div>
              <div
                className="mt-3 flex flex-wrap items-start gap-x-4 gap-y-2"
                data-size={keyOf(hand)}
                onInput={() => round.take(bundle!, hand)}
              >
                <div className="min-w-[17rem] flex-1">
                  <SizeField
                    key={keyOf(hand)}
                    big
                    always
                    autoFocus
                    sizeRef={hand.ref}
                    tool={hand.tool}
                    size={asRead(build, hand)}
                    {...hintOf(build, hand, system)}
                    onCommit={(size) => {
                      change((b) => setSize(b, hand.ref, size))
                      round.file(hand)
                    }}
                  />
                </div>
                {twin && (
                  <Button
                    className="min-h-12"
                    onClick={() => {
                      change((b) => sameAs(b, hand.ref.slot, twin))
                      round.file(hand)
                    }}
                  >
                    Same as the {slotSpec(twin).label.toLowerCase()}
                  </Button>
                )}
                <Button className="min-h-12" onClick={() => round.pass(hand)} title="Pass this size over for now">
                  Can’t get at it{' '}
                  <span className="keys-only">
                    <KeyCap>Esc</KeyCap>
                  </span>
                </Button>
              </div>
              <Settled last={round.last} />
            </div>
          ) : (
            <p className="p-6 text-soft">
              {!round.known
                ? 'Weighing what each reading would settle…'
                : round.passedOver
                  ? 'What is left you could not get at.'
                  : 'Nothing left to measure would change a verdict. Plan the jobs under Dry fit (key 2).'}
              {round.known && round.passedOver > 0 && (
                <Button className="ml-3" onClick={round.again}>
                  Try those again
                </Button>
              )}
            </p>
          )}
        </div>
      }
      hand={
        <>
          {bundle && <InThisHand bundle={bundle} round={round} />}
          <Then round={round} />
          <SoFar />
          <Owned />
        </>
      }
    />
  )
}

type Round = ReturnType<typeof useRound>

/** What was read with another tool, promised or assumed does not stand in the field as if it had just been read. */
const asRead = (build: Build, { ref, tool }: MeasureRank) => {
  const size = enteredAt(build, ref)
  return size?.known === tool ? size : undefined
}
const hintOf = (build: Build, { ref }: MeasureRank, system: LengthSystem) => {
  const size = enteredAt(build, ref)
  const { unit } = specAt(ref)
  return size ? { hint: `${knownWord(unit, size.known)} ${printSize(size.value, unit, system)}` } : {}
}

const upper = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)

/** Escape in an untouched field passes the size over. */
function passKey(e: React.KeyboardEvent, pass: () => void) {
  if (e.key !== 'Escape' || e.defaultPrevented) return
  e.preventDefault()
  e.stopPropagation()
  pass()
}

function InThisHand({ bundle, round }: { bundle: MeasureBundle; round: Round }) {
  const build = useOpenBuild()
  const parts = [...new Set(bundle.readings.map((r) => r.ref.slot))]
  return (
    <div>
      <h3 className="text-[21px]">
        {parts.length === 1 ? `In this hand: ${partOf(bundle.readings[0]!).toLowerCase()}` : 'These belong together'}
      </h3>
      <p className="text-[14px] text-soft">
        {readings(bundle.readings.length)}, {minutes(bundle.minutes)}
        {bundle.settles.length > 0 && `: ${bundle.settles.length === 1 ? 'settles' : 'settle'} ${settled(bundle.settles)}`}
      </p>
      {parts.map((slot) => (
        <div key={slot}>
          {parts.length > 1 && (
            <p className="label mt-1 text-[15px] font-semibold">
              {slotSpec(slot).label}{' '}
              <span className="font-normal text-soft">· {withWhat(bundle.readings.find((r) => r.ref.slot === slot)!)}</span>
            </p>
          )}
          <ul>
            {bundle.readings
              .filter((r) => r.ref.slot === slot)
              .map((r) => (
                <li key={keyOf(r)}>
                  <button
                    type="button"
                    aria-current={round.hand === r ? 'true' : undefined}
                    onClick={() => round.take(bundle, r)}
                    className={`grid min-h-10 w-full grid-cols-[1.2rem_1fr_auto] items-center gap-2 border-b border-l-4 border-b-hairline px-2 text-left ${round.hand === r ? 'border-l-violet bg-wash' : 'border-l-transparent hover:bg-canvas/60'}`}
                  >
                    <Dot full={round.isRead(r)} />
                    <span className={round.isPassed(r) ? 'text-soft line-through' : ''}>{nameOf(r)}</span>
                    <span className="figure text-[14px]">
                      {round.isRead(r) ? Number(enteredAt(build, r.ref)!.value.toPrecision(5)) : ''}
                    </span>
                  </button>
                </li>
              ))}
          </ul>
        </div>
      ))}
    </div>
  )
}

const Dot = ({ full }: { full: boolean }) => (
  <svg width="14" height="14" role="img" aria-label={full ? 'read' : 'to read'}>
    <circle cx="7" cy="7" r="5" fill={full ? 'var(--violet)' : 'none'} stroke="var(--violet)" strokeWidth="1.6" />
  </svg>
)

/** What comes after this bundle; any of them can be taken first. */
function Then({ round }: { round: Round }) {
  if (!round.then.length) return null
  return (
    <div className="mt-4">
      <h3 className="text-[18px]">Then</h3>
      <ul>
        {round.then.slice(0, 6).map((b) => {
          const parts = [...new Set(b.readings.map((r) => partOf(r).toLowerCase()))]
          return (
            <li key={keyOf(b.readings[0]!)}>
              <button
                type="button"
                onClick={() => round.take(b)}
                className="grid min-h-11 w-full grid-cols-[1fr_auto] items-center gap-3 border-b border-hairline py-1 text-left hover:text-violet"
              >
                <span className="min-w-0">
                  <span className="block truncate font-bold">
                    {upper(parts.length > 3 ? `${parts.slice(0, 3).join(', ')} and more` : parts.join(' and '))}
                  </span>
                  <span className="block text-[13.5px] text-soft">
                    {readings(b.readings.length)}, {minutes(b.minutes)}
                  </span>
                </span>
                {b.settles.length > 0 && <span className="label text-[14px] font-semibold">settles {settled(b.settles)}</span>}
              </button>
            </li>
          )
        })}
      </ul>
    </div>
  )
}

/** How far the round has come. */
function SoFar() {
  const { build, evaluation, evaluated, weighed, round } = useBuild((s) => s)
  const { go } = useWhere()
  const all = evaluation!.fit.length
  const settled = evaluation!.fit.filter((j) => j.verdict !== 'cant-tell' || isAsItWas(build!, j)).length
  const more = (round ?? []).reduce((sum, b) => sum + b.minutes, 0)
  if (!all) return null
  return (
    <div className="mt-4">
      <h3 className="text-[18px]">Known so far</h3>
      <svg viewBox="0 0 100 4" preserveAspectRatio="none" className="my-1 h-2.5 w-full" aria-hidden="true">
        <rect width="100" height="4" fill="var(--hairline)" />
        <rect width={(100 * settled) / all} height="4" fill="var(--violet)" />
      </svg>
      <p aria-busy={evaluated !== build || weighed !== build}>
        {settled} of {joints(all)} settled{more > 0 ? `; about ${minutes(more)} more for the rest` : ''}.{' '}
        <button type="button" className="min-h-10 underline underline-offset-4 hover:text-violet" onClick={() => go('fit')}>
          See them
        </button>
      </p>
    </div>
  )
}
