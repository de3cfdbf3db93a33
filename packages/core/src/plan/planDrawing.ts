import { STATION_NAME, STATIONS, type Station } from '../document/station'
import type { Drawing, Mark } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import { daysBetween, sayDays } from '../quantity/days'
import type { PlanResult } from './planResult'

const LANE = 11

/** The weeks to the promised day: a lane a station, a bar from a step's evening to when its wait is over. */
export function planDrawing(plan: PlanResult, today: string, due: string | undefined, chosen?: string): Drawing {
  const lanes = STATIONS.filter((s) => plan.steps.some((p) => p.station === s))
  const last = Math.max(14, ...plan.steps.map((s) => (s.clear ? daysBetween(today, s.clear) : 0)), due ? daysBetween(today, due) : 0)
  const unit = 150 / last
  const marks: Mark[] = []
  for (let week = 0; week * 7 <= last; week++) {
    const x = week * 7 * unit
    marks.push({ mark: 'line', role: 'guide', points: [pt(x, 0), pt(x, lanes.length * LANE)] })
    if (week % Math.ceil(last / 42) === 0)
      marks.push({ mark: 'label', at: pt(x, lanes.length * LANE + 7), text: week === 0 ? 'today' : `${week} wk`, anchor: 'middle' })
  }
  const y = (s: Station) => lanes.indexOf(s) * LANE
  for (const s of plan.steps) {
    if (!s.date || !s.clear || s.state === 'done') continue
    const a = daysBetween(today, s.date) * unit
    const b = Math.max(a + 1.4, daysBetween(today, s.clear) * unit + unit * 0.5)
    marks.push({
      mark: 'area',
      role: s.id === chosen ? 'sounding' : s.state === 'ready' ? 'good' : 'doubt',
      points: rectangle(a, y(s.station) + 2, b, y(s.station) + LANE - 2),
      thing: s.id,
    })
  }
  for (const s of lanes) marks.push({ mark: 'label', at: pt(-3, y(s) + LANE / 2 + 1.5), text: laneName(s), anchor: 'end' })
  if (due) {
    const x = daysBetween(today, due) * unit
    marks.push(
      { mark: 'line', role: 'remove', points: [pt(x, -2), pt(x, lanes.length * LANE)] },
      { mark: 'label', at: pt(x, -4), text: 'due', anchor: 'middle' },
    )
  }
  return {
    title: 'The weeks ahead',
    note: 'green: can be done now · hatched: waits for something',
    marks,
    bounds: { x: -28, y: -10, width: 190, height: lanes.length * LANE + 22 },
    numbers: plan.steps.flatMap((s) =>
      s.date && s.clear ? [{ label: s.title, value: s.state === 'done' ? 'done' : sayDays(s.date, s.clear) }] : [],
    ),
  }
}

/** What belongs to no station of its own is putting the instrument together. */
const laneName = (s: Station) => (s === 'plan' ? 'Fit up' : STATION_NAME[s])
