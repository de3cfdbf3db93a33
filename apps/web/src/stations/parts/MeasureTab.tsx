import { enteredAt, partDrawing, setField, setSize, slotSpec, specAt, TOOLS, type MeasureRank, type Tool } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { useShallow } from 'zustand/react/shallow'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { JointLinks } from '../../ui/JointLinks'
import { SizeField } from '../../ui/SizeField'
import { ThingRow } from '../../ui/ThingRow'
import { PartsList } from './PartsList'

const keyOf = (r: MeasureRank) => `${r.ref.slot}/${r.ref.size}`
const OWNED: readonly Tool[] = ['calipers', 'rule', 'meter', 'scale']

/** Which size to measure next: ranked by how much a reading is expected to settle. */
export function MeasureTab() {
  const build = useOpenBuild()
  const ranked = useBuild((s) => s.ranked)
  // What a person has picked or begun to enter stays in hand, however the ranking moves meanwhile.
  const [held, setHeld] = useState<MeasureRank>()
  const hand = held ?? ranked?.[0]
  const next = hand && ranked?.find((r) => keyOf(r) !== keyOf(hand))
  const most = ranked?.[0]?.gain || 1
  const drawing = useMemo(() => (hand ? partDrawing(build, hand.ref.slot) : undefined), [build, hand])
  return (
    <Workspace
      selected={hand?.ref.slot}
      onPick={(slot) => {
        const found = ranked?.find((r) => r.ref.slot === slot)
        if (found) setHeld(found)
      }}
      loupe={drawing}
      listLabel="Sizes worth measuring"
      list={
        <PartsList foot={<Owned />}>
          {!ranked && <p className="p-6 text-soft">Weighing what each reading would settle…</p>}
          {ranked?.length === 0 && (
            <p className="p-6 text-soft">Nothing left to measure would change a verdict. Plan the jobs under Dry fit (key 2).</p>
          )}
          <ul>
            {ranked?.slice(0, 60).map((r, i) => (
              <ThingRow
                key={keyOf(r)}
                number={i + 1}
                title={specAt(r.ref).label}
                about={`${slotSpec(r.ref.slot).label} · ${enteredAt(build, r.ref) ? `${enteredAt(build, r.ref)!.known} so far` : 'not known at all'} · ${r.tool}, about ${r.minutes} min`}
                figure={<Bar share={Math.max(0, r.gain) / most} />}
                under={`settles ${Math.max(0, r.gain).toFixed(2)}`}
                selected={!!hand && keyOf(r) === keyOf(hand)}
                onSelect={() => setHeld(r)}
              />
            ))}
          </ul>
        </PartsList>
      }
      hand={
        hand ? (
          <div onFocus={() => setHeld(hand)} onChange={() => setHeld(hand)}>
            <SizeInHand key={keyOf(hand)} rank={hand} />
            {held && next && (
              <Button look="main" className="mt-3" onClick={() => setHeld(next)}>
                Next: {specAt(next.ref).label.toLowerCase()}
              </Button>
            )}
          </div>
        ) : null
      }
    />
  )
}

const Bar = ({ share }: { share: number }) => (
  <svg width="72" height="10" aria-hidden="true">
    <rect width="72" height="10" fill="none" stroke="var(--hairline)" />
    <rect width={72 * share} height="10" fill="var(--violet)" />
  </svg>
)

function SizeInHand({ rank }: { rank: MeasureRank }) {
  const build = useOpenBuild()
  const { change, evaluation } = useBuild(useShallow(({ change, evaluation }) => ({ change, evaluation })))
  const { go } = useWhere()
  const joints = evaluation!.fit.filter((j) => rank.joints.includes(j.id))
  return (
    <div>
      <h2 className="text-[23px]">{specAt(rank.ref).label}</h2>
      <p className="text-soft">
        {slotSpec(rank.ref.slot).label}: {build.parts[rank.ref.slot]?.name}
      </p>
      {specAt(rank.ref).how && <p className="mt-1">{specAt(rank.ref).how}.</p>}
      <div className="mt-2" data-size={`${rank.ref.slot}/${rank.ref.size}`}>
        <SizeField sizeRef={rank.ref} size={enteredAt(build, rank.ref)} onCommit={(size) => change((b) => setSize(b, rank.ref, size))} />
      </div>
      <h3 className="mt-3 text-[18px]">It has a say in</h3>
      <JointLinks joints={joints} onPick={(id) => go('fit', id)} />
      <p className="mt-3 text-[14px] text-soft">
        Ranked by how far a reading is expected to bring these verdicts out of doubt, over everything it may turn out to be; joints with
        parts still to be bought weigh more.
      </p>
    </div>
  )
}

/** Tools on hand decide how well a size can be taken at all. */
function Owned() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const tools = build.tools ?? OWNED
  return (
    <fieldset className="flex flex-wrap items-center gap-x-4">
      <legend className="sr-only">Tools on hand</legend>
      <span className="text-soft">Tools on hand</span>
      {TOOLS.map((t) => (
        <label key={t} className="flex min-h-10 items-center gap-1.5">
          <input
            type="checkbox"
            className="size-4 accent-[var(--violet)]"
            checked={tools.includes(t)}
            onChange={(e) =>
              change((b) =>
                setField(
                  b,
                  ['tools'],
                  TOOLS.filter((x) => (x === t ? e.target.checked : tools.includes(x))) as string[],
                  `Tools on hand: ${t} ${e.target.checked ? 'yes' : 'no'}`,
                ),
              )
            }
          />
          {t}
        </label>
      ))}
    </fieldset>
  )
}
