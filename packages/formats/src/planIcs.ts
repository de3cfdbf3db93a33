import type { PlannedStep } from '@snug/core'
import { createEvents, type EventAttributes } from 'ics'

/** Evenings begin then, where nobody said otherwise. [ours] */
const EVENING = 19

const dayOf = (iso: string, days = 0): [number, number, number] => {
  const at = new Date(Date.parse(`${iso}T00:00:00Z`) + days * 86_400_000)
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate()]
}

/**
 * The plan as a calendar file (RFC 5545): each step on its evening one after the other, from seven; what is only a bound says so, and what
 * hardens or is coated over days stands as whole days.
 * @returns the file's text, or why it cannot be made
 */
export function planIcs(name: string, steps: readonly PlannedStep[], made: Date): { ok: true; text: string } | { ok: false; why: string } {
  const taken = new Map<string, number>()
  const stamp = [made.getUTCFullYear(), made.getUTCMonth() + 1, made.getUTCDate(), made.getUTCHours(), made.getUTCMinutes()] as const
  const events = steps
    .filter((s) => s.date && s.state !== 'done')
    .map((s): EventAttributes => {
      const common = {
        uid: `${s.id.replace(/[^\w.-]/g, '-')}@bench`,
        title: s.title,
        description: [s.why, ...(s.atEarliest ? ['Not before this day: some of what it waits for has no day.'] : []), ...s.cautions].join(
          ' ',
        ),
        calName: name,
        productId: 'bench-plan',
        timestamp: [...stamp] as [number, number, number, number, number],
      }
      if (s.calendar || s.minutes >= 24 * 60) return { ...common, start: dayOf(s.date!), end: dayOf(s.clear ?? s.date!, 1) }
      const from = EVENING * 60 + (taken.get(s.date!) ?? 0)
      taken.set(s.date!, (taken.get(s.date!) ?? 0) + s.minutes)
      // Past midnight it is still that evening's work: it stands at its last minute.
      const at = Math.min(from, 23 * 60 + 45)
      return {
        ...common,
        start: [...dayOf(s.date!), Math.floor(at / 60), Math.round(at % 60)],
        startInputType: 'local',
        startOutputType: 'local',
        duration: { minutes: Math.max(5, Math.round(s.minutes)) },
      }
    })
  if (!events.length) return { ok: false, why: 'No step has a day yet: say under Finish which evenings are free.' }
  const { error, value } = createEvents(events)
  return value ? { ok: true, text: value } : { ok: false, why: `The calendar could not be written: ${error?.message ?? 'no events'}` }
}
