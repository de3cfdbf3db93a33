import {
  asChosen,
  counted,
  chooseParts,
  partDrawing,
  SLOTS,
  slotSpec,
  type Change,
  type ChooseRequest,
  type ChosenSet,
  type RankBy,
  type Slot,
  wantedFor,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { useWhere } from '../../app/where'
import { Workspace } from '../../app/Workspace'
import { useShallow } from 'zustand/react/shallow'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { ThingRow } from '../../ui/ThingRow'
import { PartsList } from './PartsList'
import { stockDrawing } from './stockDrawing'
import { OpenSlots } from './OpenSlots'
import { ToolsHere } from './ToolsHere'
import { useCandidates } from '../../state/useCandidates'
import { useSets } from './useSets'
import { WhyNotPanel } from './WhyNotPanel'
import { isHere, partHere, preferredHere } from './partHere'
import { SetInHand } from './SetInHand'

const RANKS: readonly (readonly [RankBy, string])[] = [
  ['money', 'least money'],
  ['bench', 'least bench time'],
  ['date', 'soonest here'],
]

/** Slots a person has not fixed: open ones that matter, preferred ones, and what is empty and needed. */
const openIn = (build: ReturnType<typeof useOpenBuild>): Slot[] =>
  SLOTS.filter((s) => {
    const state = build.slots?.[s.slot]
    if (state) return state !== 'fixed'
    return !build.parts[s.slot] && wantedFor(build.parts, s.slot) !== undefined
  }).map((s) => s.slot)

/** Best complete sets for the slots that are open, and why not another part. */
export function ChooseTab() {
  const build = useOpenBuild()
  const { id } = useWhere()
  const { change, tryOut } = useBuild(useShallow(({ change, tryOut }) => ({ change, tryOut })))
  const slots = useMemo(() => openIn(build), [build])
  const candidates = useCandidates(slots.map((s) => slotSpec(s).kind))
  const [rank, setRank] = useState<RankBy>('money')
  const [money, setMoney] = useState<number>()
  const [days, setDays] = useState<number>()
  const [whole, setWhole] = useState({ noCuttingFinished: true })
  const lacking = usePrefs((p) => p.lacking)
  const [at, setAt] = useState(0)
  const request = useMemo(
    (): ChooseRequest => ({
      build,
      buildId: id,
      rank,
      limits: { ...whole, lacking, ...(money === undefined ? {} : { money }), ...(days === undefined ? {} : { days }) },
      open: slots.map((slot) => ({
        slot,
        items: [...(candidates.data ?? []).filter((i) => i.part.kind === slotSpec(slot).kind), ...partHere(build, slot)],
        ...preferredHere(build, slot),
      })),
    }),
    [build, id, rank, whole, lacking, money, days, slots, candidates.data],
  )
  const { choice, old, busy, find, stop, why, ask, look } = useSets(request)
  const again = () => {
    setAt(0)
    void find()
  }
  // Where nothing goes as it is: what goes after larger jobs.
  const sets = choice?.sets.length ? choice.sets : (choice?.replanned ?? [])
  const set = sets[at]
  const taking =
    (s: ChosenSet) =>
    (b: typeof build): Change =>
      chooseParts(
        b,
        // What is there already stays as it is: what is ordered does not come by being chosen.
        s.items.filter((i) => !isHere(i)).map(({ slot, item }) => ({ slot, part: asChosen(item) })),
        `Set of ${counted(s.items.length, 'part')}`,
      )
  const shown = why?.item ?? set?.items[0]?.item
  // Until a set is found: the first part that may change, or the body.
  const drawing = useMemo(() => (shown ? stockDrawing(build, shown) : partDrawing(build, slots[0] ?? 'body')), [build, shown, slots])
  return (
    <Workspace
      loupe={drawing}
      listLabel="Sets that go together"
      list={
        <PartsList>
          <div className="border-b border-hairline p-3">
            <p>
              {slots.length ? (
                <>
                  Open: <b>{slots.map((s) => slotSpec(s).label.toLowerCase()).join(', ')}</b>.{' '}
                  {candidates.data
                    ? `${counted(candidates.data.length, 'part')} of these kinds ${candidates.data.length === 1 ? 'is' : 'are'} in the stash or on offer.`
                    : '…'}
                </>
              ) : (
                'No slot is open yet. Open the ones you have not made your mind up about; everything else stays as it is.'
              )}
            </p>
            <div className="mt-2 flex flex-wrap items-end gap-3">
              <div className="w-28">
                <NumberEntry label={`At most, ${build.currency}`} value={money} from={0} to={1e6} onCommit={setMoney} />
              </div>
              <div className="w-28">
                <NumberEntry label="Here within, days" value={days} from={0} to={1000} onCommit={setDays} />
              </div>
              <label className="label">
                <span className="block text-[14px] text-soft">Ranked by</span>
                <select
                  className="min-h-10 rounded border border-hairline bg-sheet px-2"
                  value={rank}
                  onChange={(e) => setRank(e.target.value as RankBy)}
                >
                  {RANKS.map(([r, name]) => (
                    <option key={r} value={r}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
              <label className="label flex min-h-10 items-center gap-2 text-[15px]">
                <input
                  type="checkbox"
                  className="size-4 shrink-0 accent-[var(--violet)]"
                  checked={whole.noCuttingFinished}
                  onChange={(e) => setWhole({ noCuttingFinished: e.target.checked })}
                />
                no cutting of finished wood
              </label>
              {busy ? (
                <Button onClick={stop}>Stop</Button>
              ) : (
                <Button look="main" disabled={!slots.length || !candidates.data} onClick={again}>
                  Find sets
                </Button>
              )}
              <span role="status" className="text-soft">
                {busy ? 'Trying sets…' : old ? 'Something has changed since these were found: find sets again.' : ''}
              </span>
            </div>
            <ToolsHere />
            <OpenSlots key={slots.length ? 'some' : 'none'} open={!slots.length} />
          </div>
          {choice && !choice.sets.length && (
            <p className="p-4">
              {choice.replanned ? 'No complete set goes as it is.' : 'No complete set keeps all limits.'}{' '}
              {choice.empty.length
                ? choice.empty.map((s) => `Nothing can be the ${slotSpec(s).label.toLowerCase()}. ${choice.whyEmpty?.[s] ?? ''}`).join(' ')
                : `${choice.inTheWay ? `Most often in the way: ${choice.inTheWay.title.toLowerCase()}. ` : ''}${
                    choice.replanned
                      ? 'These go once what will not go as it is has been put right by larger jobs on what is here; each set names them.'
                      : 'Ask “why not” of a part below, or loosen a limit.'
                  }`}
            </p>
          )}
          <ul>
            {sets.map((s, i) => (
              <ThingRow
                key={i}
                number={i + 1}
                title={titleOf(s)}
                about={`${s.joints.filter((j) => j.verdict === 'snug').length} of ${s.joints.length} joints snug · ${s.minutes} min at the bench · ${s.parcels.length ? `${s.parcels.length} ${s.parcels.length === 1 ? 'parcel' : 'parcels'}` : 'nothing to order'}`}
                figure={`${s.unpriced ? 'over ' : ''}${s.money.toFixed(2)}`}
                under={s.undated ? 'no day said' : s.days ? counted(s.days, 'day') : 'here'}
                selected={i === at && !why}
                onSelect={() => {
                  look()
                  setAt(i)
                }}
              />
            ))}
          </ul>
          {slots.length > 0 && candidates.data && (
            <details className="border-t border-hairline p-3" open={!!choice}>
              <summary className="label min-h-9 cursor-pointer text-[15px]">Why not another part</summary>
              <ul>
                {slots.flatMap((slot) =>
                  candidates.data
                    .filter((i) => i.part.kind === slotSpec(slot).kind)
                    .slice(0, 12)
                    .map((item) => (
                      <li key={`${slot}/${item.id}`} className="flex items-center justify-between gap-2 border-b border-hairline">
                        <span className="truncate">
                          {item.part.name} <span className="text-soft">{slotSpec(slot).label}</span>
                        </span>
                        <Button look="quiet" onClick={() => void ask(slot, item)}>
                          Why not this
                        </Button>
                      </li>
                    )),
                )}
              </ul>
            </details>
          )}
        </PartsList>
      }
      hand={
        why ? (
          <WhyNotPanel item={why.item} result={why.result} />
        ) : set ? (
          <SetInHand
            set={set}
            onAgain={old ? again : undefined}
            onTake={() => change(taking(set))}
            onTry={() => tryOut(taking(set))}
            currency={build.currency}
          />
        ) : (
          <p className="text-soft">
            Set the slots you have not decided to open or preferred, then find the best complete sets. Every joint is judged; nothing is
            bought.
          </p>
        )
      }
    />
  )
}

/** What a set would change; the parts that stay go without saying. */
const titleOf = (s: ChosenSet) => {
  const others = s.items.filter((x) => !isHere(x))
  // Two sets may differ only in which of two like slots a part goes to.
  const name = ({ slot, item }: ChosenSet['items'][number]) =>
    SLOTS.filter((x) => x.kind === item.part.kind).length > 1
      ? `${item.part.name} as ${slotSpec(slot).label.toLowerCase()}`
      : item.part.name
  return others.length ? others.map(name).join(' + ') : 'As it is now'
}
