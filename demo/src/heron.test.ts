import {
  addDays,
  evaluate,
  findJoints,
  planJob,
  applyChange,
  setSize,
  harnessOf,
  topology,
  whatMoved,
  wordOf,
  parseLength,
} from '@snug/core'
import { describe, expect, it } from 'vitest'
import { heron } from './heron'

const TODAY = '2026-11-23'
const build = heron(TODAY, addDays(TODAY, 83), addDays(TODAY, 11))
const joint = (b: typeof build, id: string) => findJoints(b).find((j) => j.id === id)!
const calipers = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const mouth = { slot: 'body' as const, size: 'pocket.widthMouth' }
const heel = { slot: 'neck' as const, size: 'heel.widthMouth' }

describe('Heron’s story', () => {
  it('a pocket of 56.10 and a heel of 56.45 mm: tight, which wall, and how much', () => {
    const j = joint(build, 'pocket-mouth')
    expect(j.verdict).toBe('tight')
    expect(j.figure!.value).toBeCloseTo(-0.35, 9)
    expect(j.says).toMatch(/0\.35 mm too narrow/)
    // Today's -0.35 and what damp air closes on top of it both have to go, up to a gap of 0.05 to 0.30.
    expect(j.cures[0]!.job).toMatch(/^Shave 0\.\d\d mm off the treble wall and 0\.\d\d off the other near the mouth, then try/)
    const [one, other, to] = [...j.cures[0]!.job.matchAll(/0\.\d\d/g)].map(([mm]) => Number(mm)) as [number, number, number]
    const from = one + other
    expect(from).toBeGreaterThan(0.4)
    expect(to - from).toBeCloseTo(0.25, 1)
  })
  it('planned on paper, the neck goes in; planned jobs stand in the plan', () => {
    const { cures } = joint(build, 'pocket-mouth')
    const cured = applyChange(build, planJob(build, 'pocket-mouth/shave-wall', { ...cures[0]!.plan!, text: cures[0]!.job }))
    expect(joint(cured, 'pocket-mouth').verdict).toBe('snug')
    expect(evaluate(cured, TODAY).plan.steps.some((s) => s.id === 'job-pocket-mouth/shave-wall')).toBe(true)
  })
  it('a real reading settles it: 56.75 mm is snug', () => {
    const measured = applyChange(build, setSize(build, mouth, calipers(56.8)))
    expect(joint(measured, 'pocket-mouth').verdict).toBe('snug')
  })
  it('pots too long for the guard: packed with inner nuts', () => {
    const j = joint(build, 'pot-volume')
    expect(j.verdict).toBe('tight')
    expect(j.cures[0]!.job).toMatch(/1 inner nut and 3 washers/)
    const packed = applyChange(build, planJob(build, 'p', { ...j.cures[0]!.plan!, text: j.cures[0]!.job }))
    expect(joint(packed, 'pot-volume').verdict).toBe('snug')
  })
  it('a guard whose openings are 5.8 mm off: no shift cures it', () => {
    const j = joint(build, 'guard-openings')
    expect(j.verdict).toBe('wont-go')
    expect(j.says).toMatch(/No shift cures it/)
  })
  it('the same guard known only from two sellers’ listings: can’t tell, never snug', () => {
    const listed = structuredClone(build)
    const guard = listed.parts.guard!
    for (const key of Object.keys(guard.sizes).filter((k) => k.startsWith('opening.')))
      guard.sizes[key] = { ...guard.sizes[key]!, doubt: 0.8, known: 'listed' }
    guard.sizes['opening.neck.centre'] = { value: 31, doubt: 0.1, known: 'listed' }
    expect(wordOf(joint(listed, 'guard-openings').verdict)).toBe('can’t tell')
  })
})

describe('verdicts and symmetry', () => {
  it('a left-handed mirror image gets the same verdicts', () => {
    const left = structuredClone({ ...build, handedness: 'left' as const })
    for (const part of Object.values(left.parts)) if (part?.traits.hand === 'right') part.traits.hand = 'left'
    expect(findJoints(left).map((j) => [j.id, j.verdict])).toEqual(findJoints(build).map((j) => [j.id, j.verdict]))
  })
  it('a size entered in inches is the same size: no verdict flips', () => {
    const typed = parseLength(`${(56.45 / 25.4).toFixed(6)} in`)
    if (!typed.ok) throw new Error(typed.why)
    const inches = applyChange(build, setSize(build, heel, calipers(typed.value)))
    expect(findJoints(inches).map((j) => j.verdict)).toEqual(findJoints(build).map((j) => j.verdict))
  })
  it('says what an edit moved', () => {
    const after = applyChange(build, setSize(build, mouth, calipers(56.8)))
    const moved = whatMoved(evaluate(build, TODAY), evaluate(after, TODAY))
    expect(moved[0]).toBe('heel in pocket, at the mouth: tight → snug')
  })
})

describe('circuit in words', () => {
  const scheme = harnessOf(build)
  if (!scheme.ok) throw new Error('Heron has all it needs')
  const words = [1, 2, 3, 4, 5].map((p) => topology(scheme.harness, { switch: p }))
  it('names what sounds and how it is joined', () =>
    expect(words.map((t) => t.words)).toEqual([
      'bridge, both coils in series',
      'middle ‖ bridge, coil nearer the neck',
      'middle',
      'neck, coil nearer the neck ‖ middle',
      'neck, both coils in series',
    ]))
  it('a humbucker cancels hum, a single coil does not, an unequal pair mostly', () =>
    expect(words.map((t) => t.humWords)).toEqual([
      'hum cancelled',
      'hum mostly cancelled',
      'picks up hum, as a single coil does',
      'hum mostly cancelled',
      'hum cancelled',
    ]))
  it('the residue of an unequal pair is (R2 - R1)/(R1 + R2) [physics]', () => {
    const [a, b] = [8400 / 2, 5900]
    expect(words[1]!.hum).toBeCloseTo(20 * Math.log10((b - a) / (a + b)), 0)
  })
  it('a reverse-wound middle against these halves does not cancel', () => {
    const reversed = structuredClone(build)
    reversed.parts['pickup-middle']!.traits.sense = 'reverse'
    const other = harnessOf(reversed)
    expect(other.ok && topology(other.harness, { switch: 2 }).hum).toBeGreaterThan(-3)
  })
})

describe('plan', () => {
  const { plan } = evaluate(build, TODAY)
  it('a parcel on its way is waited for, not offered as the next step', () => {
    expect(plan.steps.find((s) => s.id === 'arrive-bridge')!.state).toBe('waiting')
    expect(plan.ready).not.toContain('arrive-bridge')
  })
  it('no step falls before what it comes after', () => {
    for (const s of plan.steps)
      for (const b of s.befores) {
        const first = plan.steps.find((o) => o.id === b.id)
        if (first?.clear && s.date) expect(s.date >= first.clear, `${s.id} after ${b.id}`).toBe(true)
      }
  })
  it('an open before is named with its risk and the way back', () => {
    const drill = plan.steps.find((s) => s.id === 'drill-neck-screws')!
    expect(drill.state).toBe('blocked')
    expect(drill.open.map((b) => b.id)).toContain('place')
    expect(drill.open[0]!.risk.length).toBeGreaterThan(10)
  })
  it('a ticked step makes the next ones ready', () => {
    const done = { done: `${TODAY}T20:00:00Z` }
    const ticked = { ...build, steps: { solder: done, shield: done, 'cure-leads': done, 'cure-shields-meet': done } }
    expect(evaluate(ticked, TODAY).plan.steps.find((s) => s.id === 'meter-check')!.state).toBe('ready')
  })
})

describe('the plan of Heron, in the order a bench can do it', () => {
  const { steps } = evaluate(heron('2026-11-26', '2027-02-17', '2026-12-07'), '2026-11-26').plan
  const of = (id: string) => steps.find((s) => s.id === id)!
  const at = (id: string) => steps.findIndex((s) => s.id === id)
  const ahead = (id: string, seen = new Set<string>()): Set<string> => {
    for (const b of of(id)?.befores ?? []) if (!seen.has(b.id)) ahead(b.id, seen.add(b.id))
    return seen
  }
  it('string trees are got before there are strings, and nothing on the wood waits for them', () => {
    expect(of('cure-nut-break')).toMatchObject({ title: expect.stringMatching(/string trees for strings/), undated: 'not ordered' })
    expect(at('cure-nut-break')).toBeLessThan(at('string-up'))
    expect(ahead('sand')).not.toContain('cure-nut-break')
    expect(ahead('set-relief')).toContain('cure-nut-break')
  })
  it('sanding waits for wood alone: not for nuts on pots, a lead, or foil', () => {
    const stages = [...ahead('sand')].map((id) => of(id)?.stage)
    expect(stages).not.toContain('wiring')
    expect(stages).not.toContain('strings')
    expect([...ahead('sand')]).not.toContain('cure-pot-volume')
    expect([...ahead('sand')]).toContain('cure-pocket-mouth')
  })
  it('foil comes once the film is rubbed out; the meter check after it', () => {
    expect(ahead('cure-shields-meet')).toContain('rub-out')
    expect(ahead('meter-check')).toContain('cure-shields-meet')
  })
  it('the trial build comes after the holes and after the guard that would not go on', () => {
    for (const s of steps.filter((x) => x.station === 'drill' && x.stage === 'wood')) expect(ahead('trial-build'), s.id).toContain(s.id)
    expect(ahead('trial-build')).toContain('cure-guard-openings')
    expect(ahead('drill-neck-screws')).toContain('place')
  })
  it('nuts and washers are on before anything is soldered to the pots', () => expect(ahead('solder')).toContain('cure-pot-volume'))
  it('rows follow their days, and no two are in the same words', () => {
    const days = steps.filter((s) => s.date).map((s) => s.date!)
    expect(days).toEqual(days.toSorted())
    expect(new Set(steps.map((s) => s.title)).size).toBe(steps.length)
  })
  it('a parcel five weeks late moves all that waits for it, and nothing else', () => {
    const late = evaluate(heron('2026-11-26', '2027-02-17', '2027-01-11'), '2026-11-26').plan
    expect(late.ends! > of('set-action').date!).toBe(true)
    expect(late.steps.find((s) => s.id === 'cure-pocket-mouth')!.date).toBe(of('cure-pocket-mouth').date)
    expect(late.steps.find((s) => s.id === 'trial-build')!.date! >= '2027-01-11').toBe(true)
  })
})
