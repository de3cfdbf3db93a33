/** What may be wrong with a worn instrument, what putting it right takes, and what to ask before buying. */
export interface Defect {
  id: string
  label: string
  /** Money for parts and materials: low, likely, high. [practice, from memory] */
  money: readonly [number, number, number]
  /** Hours at the bench: low, likely, high. [practice] */
  hours: readonly [number, number, number]
  /** What to ask the seller for; photographs hide it. */
  ask: string
}

export const DEFECTS: readonly Defect[] = [
  {
    id: 'finish',
    label: 'Finish worn or ugly: strip and redo',
    money: [20, 45, 90],
    hours: [6, 12, 25],
    ask: 'Photographs in raking light, front and back; is any part of it bare?',
  },
  {
    id: 'neck-finish',
    label: 'Neck to strip and refinish',
    money: [8, 15, 30],
    hours: [3, 5, 9],
    ask: 'Is the neck’s back bare, sticky or chipped?',
  },
  {
    id: 'frets',
    label: 'Frets worn or uneven: level and crown',
    money: [0, 10, 25],
    hours: [1.5, 2, 4],
    ask: 'A photograph along the frets from the nut; flats or grooves under the plain strings?',
  },
  {
    id: 'twist',
    label: 'Neck bent or twisted',
    money: [60, 95, 180],
    hours: [1, 2, 4],
    ask: 'Sight along both edges from the body’s end; the gap at fret 8 with the string held at both ends; does the truss nut turn, if it has one?',
  },
  {
    id: 'coil',
    label: 'A dead pickup',
    money: [15, 30, 60],
    hours: [0.5, 1, 2],
    ask: 'Ohms at the jack in every switch position, volume at 10.',
  },
  {
    id: 'wiring',
    label: 'Wiring cut about or missing',
    money: [12, 25, 45],
    hours: [2, 3, 8],
    ask: 'A photograph of the cavity, every lead in it; which controls work?',
  },
  {
    id: 'bridge',
    label: 'Bridge missing, worn or rusted',
    money: [20, 45, 100],
    hours: [0.5, 1, 3],
    ask: 'First to last string and mounting holes in millimetres; which screws turn?',
  },
  {
    id: 'tuners',
    label: 'Tuners missing or slipping',
    money: [12, 30, 60],
    hours: [0.5, 1, 2],
    ask: 'Bore on the face and on the back; left- or right-handed; how many are there?',
  },
  { id: 'nut', label: 'Nut broken or too low', money: [2, 7, 12], hours: [0.5, 1, 2], ask: 'Gap over fret 1, string by string.' },
  {
    id: 'guard',
    label: 'Guard missing or cracked',
    money: [10, 25, 60],
    hours: [0.5, 1, 6],
    ask: 'Opening to opening and route to route along the strings.',
  },
  {
    id: 'plastics',
    label: 'Plastics, covers and screws missing',
    money: [5, 15, 35],
    hours: [0.5, 1, 2],
    ask: 'A list of what is not in the photograph: covers, knobs, springs, buttons, screws.',
  },
  {
    id: 'crack',
    label: 'Crack or old repair in the wood',
    money: [2, 8, 25],
    hours: [1, 3, 8],
    ask: 'The headstock’s back, the pocket’s ear and the jack’s rim from close by.',
  },
  {
    id: 'holes',
    label: 'Extra holes and wrong routes',
    money: [2, 6, 15],
    hours: [1, 2, 5],
    ask: 'The body bare, hardware off, with a ruler in the picture.',
  },
]

export interface Estimate {
  money: { likely: number; low: number; high: number }
  hours: { likely: number; low: number; high: number }
  /** What it would be worth put right, less what is asked and what it takes; absent until both are known. */
  left?: number
  questions: string[]
}

/** Mean and variance of a triangular distribution. [physics: its moments] */
const moments = ([a, c, b]: readonly [number, number, number]) => ({
  mean: (a + b + c) / 3,
  variance: (a * a + b * b + c * c - a * b - a * c - b * c) / 18,
})

/** Parts, hours and value of a rescue: every defect as low, likely, high; the sum with a 90 % range. */
export function rescueEstimate(ids: readonly string[], asking?: number, worth?: number): Estimate {
  const found = DEFECTS.filter((d) => ids.includes(d.id))
  const sum = (of: (d: Defect) => readonly [number, number, number]) => {
    const all = found.map((d) => moments(of(d)))
    const mean = all.reduce((s, m) => s + m.mean, 0)
    const spread = 1.645 * Math.sqrt(all.reduce((s, m) => s + m.variance, 0))
    return { likely: mean, low: Math.max(0, mean - spread), high: mean + spread }
  }
  const money = sum((d) => d.money)
  return {
    money,
    hours: sum((d) => d.hours),
    ...(asking === undefined || worth === undefined ? {} : { left: worth - asking - money.likely }),
    questions: (found.length ? found : DEFECTS).map((d) => d.ask),
  }
}
