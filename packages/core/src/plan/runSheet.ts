import type { Build } from '../document/build'
import type { Drawing } from '../drawing/drawing'
import { sayDay } from '../quantity/days'
import { planDrawing } from './planDrawing'
import type { PlanResult } from './planResult'
import { getReady } from './getReady'

type Block = { drawing: Drawing } | { heading: string } | { tick: string[] } | { text: string }

/** The plan as it is taken to the bench: by day, each step with a box, what it takes and what can hurt; what to get ready. */
export function runSheet(build: Build, plan: PlanResult): { id: string; title: string; about: string; blocks: Block[] } {
  const today = plan.from
  const open = plan.steps.filter((s) => s.state !== 'done')
  const days = [...new Set(open.map((s) => s.date ?? ''))]
  const ready = getReady(plan.steps)
  return {
    id: 'run-sheet',
    title: 'Run sheet',
    about: `${build.name}, from ${sayDay(today)}. ${plan.ends ? `Ends ${sayDay(plan.ends)}${plan.undated.length ? ' at the earliest: some parts have no day' : ''}. ` : ''}${Math.round(plan.minutesLeft / 60)} hours at the bench.`,
    blocks: [
      { drawing: planDrawing(plan, today, build.due) },
      ...days.flatMap((day) => [
        { heading: day ? sayDay(day) : 'No evening free for' },
        {
          tick: open
            .filter((s) => (s.date ?? '') === day)
            .map(
              (s) =>
                `${s.title}, ${s.minutes} min${s.tools ? ` (${s.tools})` : ''}${s.cautions.length ? `. Mind: ${s.cautions.join(' ')}` : ''}`,
            ),
        },
      ]),
      ...(plan.leftOut.length ? [{ heading: 'Left out' }, { text: plan.leftOut.map((s) => s.title).join('; ') }] : []),
      ...(ready.length ? [{ heading: 'Get ready' }, { tick: ready.map((r) => `${r.tool}: for ${r.for.join('; ')}`) }] : []),
    ],
  }
}
