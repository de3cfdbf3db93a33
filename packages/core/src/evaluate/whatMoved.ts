import { VERDICT_WORD } from '../judge/verdict'
import { printMm } from '../quantity/length'
import type { Evaluation } from './evaluate'

/** What a change did, in a few words for the sill: verdicts that changed, then heights, holes, cans and the end date. */
export function whatMoved(before: Evaluation, after: Evaluation): string[] {
  const moved: string[] = []
  for (const joint of after.joints) {
    const was = before.joints.find((j) => j.id === joint.id)
    if (was && was.verdict !== joint.verdict)
      moved.push(`${joint.title.toLowerCase()}: ${VERDICT_WORD[was.verdict]} → ${VERDICT_WORD[joint.verdict]}`)
  }
  const figures = after.joints.filter((j) => {
    const was = before.joints.find((o) => o.id === j.id)
    return was?.verdict === j.verdict && was.figure && j.figure && Math.abs(was.figure.value - j.figure.value) > 0.005
  })
  for (const j of figures.slice(0, 2)) {
    const was = before.joints.find((o) => o.id === j.id)!
    moved.push(`${j.title.toLowerCase()} ${was.figure!.text} → ${j.figure!.text}`)
  }
  const changedHoles = after.holes.filter((h) => {
    const was = before.holes.find((o) => o.id === h.id)
    return was && (was.bit !== h.bit || Math.abs((was.flag ?? 0) - (h.flag ?? 0)) > 0.05)
  })
  if (changedHoles.length) moved.push(changedHoles.map((h) => `${h.title.toLowerCase()}: tape at ${printMm(h.flag ?? 0, 1)} mm`).join(', '))
  if (Math.abs(before.setup.total - after.setup.total) > 0.5)
    moved.push(`string pull ${Math.round(before.setup.total)} → ${Math.round(after.setup.total)} N`)
  if (before.finish.need.containers !== after.finish.need.containers)
    moved.push(`${after.finish.need.containers} ${after.finish.system.containerName}s instead of ${before.finish.need.containers}`)
  if (before.wire.ok && after.wire.ok) {
    const [a, b] = [before.wire.positions[0]!.reading.ohm, after.wire.positions[0]!.reading.ohm]
    if (Math.abs(a / b - 1) > 0.002) moved.push(`jack reading ${(a / 1000).toFixed(2)} → ${(b / 1000).toFixed(2)} k`)
  }
  if (before.plan.ends !== after.plan.ends && after.plan.ends) moved.push(`plan ends ${after.plan.ends}`)
  return moved
}
