import { drawHole, type HoleCard, type Mark } from '@snug/core'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Empty, Workspace } from '../../app/Workspace'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { ThingRow } from '../../ui/ThingRow'
import { HoleInHand } from './HoleInHand'
import { StandMark } from './StandMark'
import { isWork, seenFrom, sizeWords, STANDING, WORK } from './holeWords'
import { DrillTabs } from './tabs'

/** A card for each hole or row of equal holes: what is to be made in the order of the work, then what is there. */
export function HolesTab() {
  const all = useBuild((s) => s.evaluation!.drill)
  const holes = useMemo(() => [...all.filter(isWork), ...all.filter((c) => !isWork(c))], [all])
  const todo = holes.filter(isWork).length
  const view = usePrefs((p) => p.view)
  const bench = useBench((s) => s.bench)
  const build = useOpenBuild()
  const { hand, pick } = useHand('drill', holes)
  const drawing = useMemo(() => hand && drawHole(build, hand.id, bench), [build, hand, bench])
  const pins = useMemo(
    () =>
      holes.flatMap((h, n) =>
        h.places.map((at, i) => ({
          id: i ? `${h.id}#${i}` : h.id,
          at,
          label: `${h.title} ${i + 1}: ${STANDING[h.stands]}`,
          shape: <HoleDot number={n + 1} here={seenFrom(h.side, view)} refused={h.stands === 'refused'} />,
          minor: !isWork(h),
        })),
      ),
    [holes, view],
  )
  const overlay = useMemo(
    (): Mark[] => (hand?.places ?? []).map((at) => ({ mark: 'circle', role: 'sounding', at, r: (hand?.bit ?? 6) / 2 })),
    [hand],
  )
  if (!hand)
    return (
      <Workspace
        loupe={undefined}
        listLabel="Hole cards"
        list={
          <div>
            <DrillTabs />
            <Empty>
              No holes yet. Choose a body, a neck and hardware under Parts (key 1); their holes show up here in the order they are made.
            </Empty>
          </div>
        }
        hand={null}
      />
    )
  const row = (h: HoleCard, i: number) => (
    <ThingRow
      key={h.id}
      number={i + 1}
      mark={<StandMark card={h} />}
      title={`${h.title}${h.places.length > 1 ? `, ${h.places.length}` : ''}`}
      about={h.says}
      figure={h.stands === 'refused' ? '' : sizeWords(h)}
      under={
        h.stands === 'waiting'
          ? ''
          : h.stands === 'refused'
            ? 'do not drill'
            : h.flag
              ? `tape ${h.flag.toFixed(1)}`
              : h.work
                ? WORK[h.work]
                : ''
      }
      selected={h.id === hand.id}
      onSelect={() => pick(h.id)}
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
        <div className="flex h-full flex-col">
          <DrillTabs />
          <ul className="min-h-0 flex-1 overflow-auto">
            {holes.slice(0, todo).map(row)}
            {todo < holes.length && (
              <li className="label border-b border-hairline bg-canvas/60 px-4 pt-3 pb-1 text-[14px] text-soft">
                There already: nothing is drilled
              </li>
            )}
            {holes.slice(todo).map((h, i) => row(h, todo + i))}
          </ul>
        </div>
      }
      hand={<HoleInHand key={hand.id} card={hand} cards={holes.slice(0, todo)} all={all} />}
    />
  )
}

function HoleDot({ number, here, refused }: { number: number; here: boolean; refused: boolean }) {
  return (
    <g opacity={here ? 1 : 0.4}>
      <circle
        r="8"
        fill="var(--sheet)"
        stroke={refused ? 'var(--wont)' : 'var(--ink)'}
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
