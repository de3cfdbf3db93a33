import type { Step } from './step'

/** How hard a build is to get right, and what makes it so. */
export interface Difficulty {
  mark: 1 | 2 | 3 | 4 | 5
  word: string
  because: string
}

const WORDS = ['', 'easy', 'fair', 'some experience', 'hard', 'very hard'] as const
/** Points to each further mark. [ours] */
const MARKS = [12, 24, 40, 60] as const

/**
 * Marked by what cannot be undone (two points a cut), what has to be done in one go (three), what can hurt (half a point), and hands
 * (a point for two hours). [ours]
 */
export function difficulty(steps: readonly Step[]): Difficulty {
  const cuts = steps.filter((s) => s.final).length
  const whole = steps.filter((s) => s.whole).length
  const cautions = steps.filter((s) => s.cautions.length).length
  const hours = steps.reduce((sum, s) => sum + s.minutes, 0) / 60
  const points = 2 * cuts + 3 * whole + cautions / 2 + hours / 2
  const mark = (1 + MARKS.filter((m) => points >= m).length) as Difficulty['mark']
  return {
    mark,
    word: WORDS[mark],
    because: `${cuts} ${cuts === 1 ? 'step' : 'steps'} that cannot be undone, ${whole} in one go, ${cautions} that can hurt, ${Math.round(hours)} hours of hands`,
  }
}
