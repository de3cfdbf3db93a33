import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { angleFor, backGap, balanceAt, bendFrom, clawFrom, restOf, turnsFor, type Plate, type PlateString } from './vibrato'
import { plainMass, woundMass } from './stringTension'
import { stretching } from './stiffString'

interface GivenString {
  d_mm: number
  core_mm?: number
  wrap_density?: number
  E_GPa: number
  f_Hz: number
  saddle_mm: [number, number]
  nut_mm: [number, number]
  behind_nut_mm: number
  behind_saddle_mm: number
}
interface Case {
  id: string
  input: {
    strings: GivenString[]
    new_strings?: GivenString[]
    spring: { count: number; rate_N_per_mm: number; preload_N: number; closed_length_mm: number }
    claw_mm: [number, number]
    block_hole_mm: [number, number]
    back_edge_mm: [number, number]
    deck_deg: number
    screw_pitch_mm: number
    target_back_gap_mm: number
    dive_to_deg: number
    bend: { string: number; semitones: number }
  }
  result: {
    rest: {
      angle_deg: number
      back_gap_mm: number
      contact_torque_Nmm: number
      floats: boolean
      saddle_rise_string3_mm: number
      tension_N: number[]
    } | null
    turns: { to_target: number; target_angle_deg: number; dead_turns: number }
    stiffness_at_target: {
      strings_held_at_pitch_Nmm_per_rad: number
      strings_not_retuned_Nmm_per_rad: number
      stable_when_retuned: boolean
      error_left_after_a_retune_round: number
    }
    range_from_target: { up_to_deck_semitones: (number | null)[]; dive_semitones: (number | null)[] }
    bend_from_target: { angle_deg: number; back_gap_mm: number; cents: (number | null)[] }
    quarter_turn_looser_no_retune: { angle_deg: number; back_gap_mm: number; cents: (number | null)[] }
    quarter_turn_looser_retuned: { angle_deg: number; back_gap_mm: number } | null
    new_strings_from_target?: {
      angle_deg: number | null
      back_gap_mm: number | null
      contact_torque_Nmm: number | null
      further_turns_to_target: number
    }
  }
}
/** Computed from first principles by an independent program: torques as slopes of the stored energy, root finding. */
const { cases } = JSON.parse(readFileSync(new URL('./reference/vibrato.json', import.meta.url), 'utf8')) as { cases: Case[] }

const point = ([x, y]: [number, number]) => ({ x, y })
const stringOf = (s: GivenString): PlateString => {
  const core = s.core_mm ?? s.d_mm
  return {
    saddle: point(s.saddle_mm),
    nut: point(s.nut_mm),
    hertz: s.f_Hz,
    mass: s.core_mm === undefined ? plainMass(s.d_mm) : woundMass(s.d_mm, s.core_mm, s.wrap_density!),
    stretching: stretching(core, s.E_GPa),
    behind: s.behind_nut_mm + s.behind_saddle_mm,
  }
}
const plateOf = ({ input: i }: Case, strings = i.strings): Plate => ({
  strings: strings.map(stringOf),
  springs: { count: i.spring.count, rate: i.spring.rate_N_per_mm, preload: i.spring.preload_N, closed: i.spring.closed_length_mm },
  claw: point(i.claw_mm),
  block: point(i.block_hole_mm),
  back: point(i.back_edge_mm),
  deck: i.deck_deg,
  pitch: i.screw_pitch_mm,
})
const within = (got: number, want: number, by: number, share = 0) =>
  expect(Math.abs(got - want)).toBeLessThanOrEqual(by + share * Math.abs(want))
const same = (got: readonly (number | undefined)[], want: readonly (number | null)[], by: number, share = 0) =>
  want.forEach((w, i) => (w === null ? expect(got[i]).toBeUndefined() : within(got[i]!, w, by, share)))

describe.each(cases)('$id', (c) => {
  const plate = plateOf(c)
  const { input: i, result: r } = c
  const balance = balanceAt(plate, i.target_back_gap_mm, i.dive_to_deg)
  it('comes to rest where it does, or runs away', () => {
    const rest = restOf(plate)
    if (!r.rest) {
      expect(rest).toBeUndefined()
      return
    }
    within(rest!.angle, r.rest.angle_deg, 0.01)
    within(rest!.gap, r.rest.back_gap_mm, 0.01)
    expect(rest!.floats).toBe(r.rest.floats)
    within(rest!.contact, r.rest.contact_torque_Nmm, 0.5, 0.005)
    within(rest!.rises[2]!, r.rest.saddle_rise_string3_mm, 0.01)
    rest!.pulls.forEach((n, k) => within(n, r.rest!.tension_N[k]!, 0, 0.0005))
  })
  it('turns of the claw, dead ones, slopes, whether retuning ends', () => {
    within(balance.angle, r.turns.target_angle_deg, 0.01)
    within(balance.turns, r.turns.to_target, 0.02)
    within(balance.dead, r.turns.dead_turns, 0.02)
    within(balance.slope.atPitch, r.stiffness_at_target.strings_held_at_pitch_Nmm_per_rad, 1, 0.005)
    within(balance.slope.alone, r.stiffness_at_target.strings_not_retuned_Nmm_per_rad, 1, 0.005)
    expect(balance.stable).toBe(r.stiffness_at_target.stable_when_retuned)
    within(balance.errorLeft, r.stiffness_at_target.error_left_after_a_retune_round, 0.002)
  })
  it('range up and down, a bend, a quarter turn with and without retuning', () => {
    same(balance.up, r.range_from_target.up_to_deck_semitones, 0.02)
    same(balance.dive, r.range_from_target.dive_semitones, 0.02)
    const bend = bendFrom(plate, balance, i.bend.string, i.bend.semitones)!
    within(bend.angle, r.bend_from_target.angle_deg, 0.01)
    same(bend.cents, r.bend_from_target.cents, 0.5, 0.01)
    const looser = clawFrom(plate, balance, -0.25)!
    within(looser.angle, r.quarter_turn_looser_no_retune.angle_deg, 0.01)
    within(looser.gap, r.quarter_turn_looser_no_retune.back_gap_mm, 0.01)
    same(looser.cents, r.quarter_turn_looser_no_retune.cents, 0.5, 0.01)
    const retuned = restOf(plate, balance.turns - 0.25, balance.angle)
    if (r.quarter_turn_looser_retuned) within(retuned!.angle, r.quarter_turn_looser_retuned.angle_deg, 0.01)
    else expect(retuned).toBeUndefined()
  })
  it.runIf(r.new_strings_from_target)('other strings on the same claw', () => {
    const other = plateOf(c, i.new_strings)
    const rest = restOf(other, balance.turns)
    const want = r.new_strings_from_target!
    if (want.angle_deg === null) expect(rest).toBeUndefined()
    else within(rest!.angle, want.angle_deg, 0.01)
    within(turnsFor(other, balance.angle) - balance.turns, want.further_turns_to_target, 0.02)
  })
})

describe('laws of the balance', () => {
  const plate = plateOf(cases[1]!)
  it('a gap and its angle are each other’s way back', () => {
    for (const gap of [0.3, 1, 2.5]) expect(backGap(plate, angleFor(plate, gap))).toBeCloseTo(gap, 9)
  })
  it('tighter springs never let it stand higher; more springs neither', () => {
    const at = (turns: number, p = plate) => restOf(p, turns)!.angle
    for (const turns of [-1, -0.6, -0.4]) expect(at(turns + 0.1)).toBeLessThanOrEqual(at(turns))
    const more = { ...plate, springs: { ...plate.springs, count: plate.springs.count + 1 } }
    expect(at(-0.5, more)).toBeLessThanOrEqual(at(-0.5))
  })
  it('a step lower all strings pull 79.4 %: the plate sinks', () => {
    const lower = { ...plate, strings: plate.strings.map((s) => ({ ...s, hertz: s.hertz * 2 ** (-2 / 12) })) }
    const turns = balanceAt(plate, 1).turns
    expect(restOf(lower, turns)!.pulls[0]! / restOf(plate, turns)!.pulls[0]!).toBeCloseTo(0.794, 2)
    expect(restOf(lower, turns)!.angle).toBeLessThan(restOf(plate, turns)!.angle)
  })
})
