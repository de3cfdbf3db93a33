import { enteredAt, verdictOf, type Build, type MeasureBundle, type MeasureRank, type Verdict } from '@snug/core'
import { useState } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../../state/buildStore'

export const keyOf = (r: MeasureRank) => `${r.ref.slot}/${r.ref.size}`

/** Joints a reading told something about, with what each was before. */
export interface LastRead {
  rank: MeasureRank
  before: ReadonlyMap<string, Verdict>
}

/** Has the bundle done what it was for? Looked up in the build as it is now: the evaluation follows a moment later. */
function toldAlready({ settles }: MeasureBundle): boolean {
  const { build, evaluation } = useBuild.getState()
  const open = settles.filter((id) => evaluation?.fit.find((j) => j.id === id)?.verdict === 'cant-tell')
  return open.length > 0 && open.every((id) => verdictOf(build!, id) !== 'cant-tell')
}

/**
 * The measuring round as a walk. The bundle in hand stays in hand until each of its sizes is read or passed over, however the ranking moves
 * meanwhile; then the next best one is taken.
 */
export function useRound(build: Build) {
  const { round, evaluation } = useBuild(useShallow((s) => ({ round: s.round, evaluation: s.evaluation })))
  const [held, setHeld] = useState<MeasureBundle>()
  const [picked, setPicked] = useState<string>()
  const [read, setRead] = useState<ReadonlySet<string>>(new Set())
  const [passed, setPassed] = useState<ReadonlySet<string>>(new Set())
  const [last, setLast] = useState<LastRead>()
  // Looked up in the build as it is now: a size may have been read together with another.
  const open = (r: MeasureRank) =>
    !read.has(keyOf(r)) && !passed.has(keyOf(r)) && enteredAt(useBuild.getState().build ?? build, r.ref)?.known !== r.tool
  const ahead = (round ?? []).filter((b) => b.readings.some(open))
  const bundle = held?.readings.some(open) ? held : ahead[0]
  const hand = bundle?.readings.find((r) => keyOf(r) === picked) ?? bundle?.readings.find(open)
  const goOn = (done: MeasureRank) => {
    const at = bundle!.readings.indexOf(done)
    const rest = [...bundle!.readings.slice(at + 1), ...bundle!.readings.slice(0, at)].filter((r) => r !== done && open(r))
    // What all its joints are told without is asked of nobody.
    const next = toldAlready(bundle!) ? undefined : rest[0]
    // The ranking follows a moment later; what is in the hand by then stays there, or a number begun would go to another size.
    const other = next ? bundle : ahead.find((b) => b !== bundle && b.readings.some((r) => r !== done && open(r)) && !toldAlready(b))
    setHeld(other)
    setPicked(next && keyOf(next))
  }
  return {
    known: round !== undefined,
    bundle,
    hand,
    last,
    /** Other bundles, what comes next first. */
    then: ahead.filter((b) => b !== bundle && !b.readings.every((r) => bundle?.readings.some((h) => keyOf(h) === keyOf(r)))),
    /** With the tool it is to be read with: one by a coarser tool is to be read again. */
    isRead: (r: MeasureRank) => read.has(keyOf(r)) || enteredAt(build, r.ref)?.known === r.tool,
    isPassed: (r: MeasureRank) => passed.has(keyOf(r)),
    passedOver: passed.size,
    take: (b: MeasureBundle, r?: MeasureRank) => {
      setHeld(b)
      setPicked(r && keyOf(r))
      // What was passed over is taken up again when somebody asks for it.
      if (r) setPassed((was) => new Set([...was].filter((k) => k !== keyOf(r))))
    },
    file: (r: MeasureRank) => {
      const before = new Map(evaluation!.fit.filter((j) => r.joints.includes(j.id)).map((j) => [j.id, j.verdict]))
      setRead((was) => new Set(was).add(keyOf(r)))
      setLast({ rank: r, before })
      goOn(r)
    },
    pass: (r: MeasureRank) => {
      setPassed((was) => new Set(was).add(keyOf(r)))
      goOn(r)
    },
    again: () => setPassed(new Set()),
  }
}
