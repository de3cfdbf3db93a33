import { isOnStuds } from '../instrument/vibrato'
import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../document/build'
import { hasLockingNut, hasTrussNut, isGlued, isThrough, nameOf, traitAt } from '../document/read'
import { evaluate } from '../evaluate/evaluate'
import { START_IDS, STARTING_SETS, type StartId } from '../parts/starting/sets'
import { causesOf, FILM_SYMPTOMS } from '../finish/troubles'
import { PLAYING_SYMPTOMS } from '../setup/playingSymptoms'
import { playingDiagnosis } from '../setup/playingTroubles'
import { drawJoint, tablesOf } from '../fit/inHand'
import { mockupSteps } from '../fit/mockup/mockup'
import { aThrough, throughOf } from '../testing/aThrough'
import { aBass } from '../testing/aBass'
import { aPart } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { onAPlate } from '../testing/onAPlate'
import { aLefty, anEight, aTwelve } from '../testing/otherMakes'
import { undrilled } from '../testing/undrilled'
import { sheetsOf } from './things'

/** A starting set with every part of it at hand and measured as usual. */
function measured(start: StartId): Build {
  const { strings, scale } = STARTING_SETS[start]
  const build = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
  for (const part of Object.values(build.parts)) {
    part.state = 'in hand'
    for (const [key, size] of Object.entries(part.sizes)) part.sizes[key] = { ...size, doubt: 0.05, known: 'calipers' }
  }
  return { ...build, finish: { ...build.finish, system: 'lacquer' } }
}
const BUILDS: readonly (readonly [string, Build])[] = [
  ...START_IDS.map((s) => [s, measured(s)] as const),
  ['full', fullBuild()],
  ['on a plate', onAPlate()],
  // Where a claw stands nobody has read in a body that never had one.
  ['on a plate, nothing drilled', undrilled(changed(onAPlate(), { 'body/claw.x': undefined }))],
  ['left-handed', aLefty()],
  ['bass', aBass()],
  ['a bar', changed(without(fullBuild(), 'springs'), {}, { 'bridge/mount': 'bar' })],
  ['twelve strings', aTwelve()],
  ['eight strings', anEight()],
  ['locking nut', changed(fullBuild(), {}, { 'bridge/mount': 'double-locking', 'nut/type': 'locking' })],
  ['hollow, nothing bored yet', undrilled(measured('semi-hollow'))],
  ['a neck that nothing turns', changed(fullBuild(), {}, { 'neck/truss': 'fixed' })],
  [
    'a neck without a rod, its nut locking',
    changed(fullBuild(), {}, { 'neck/truss': 'no-rod', 'bridge/mount': 'double-locking', 'nut/type': 'locking' }),
  ],
  ...START_IDS.filter((s) => s !== 'through-neck').map((s) => [`${s}, its neck in one piece with it`, throughOf(measured(s))] as const),
  ['in one piece with its neck, nothing drilled', undrilled(aThrough())],
  ['in one piece with its neck, everything too high', changed(aThrough(), { 'body/board.over': 3, 'body/axisAtBridge': 4 })],
  ['in one piece with its neck, everything too low', changed(aThrough(), { 'body/board.over': 18, 'body/board.tilt': 1.4 })],
  ['no guard, no switch, no knobs', without(fullBuild(), 'guard', 'switch', 'knobs')],
]
/** What may be named only where it is. What a strap, a ball or a solder joint has of these words is no part. */
const NAMES: readonly (readonly [RegExp, (b: Build) => boolean])[] = [
  [/\b(?<!face )guards?\b/i, (b) => b.parts.guard !== undefined],
  [/control plate/i, (b) => b.parts['control-plate'] !== undefined],
  [/neck screws?\b/i, (b) => !isGlued(b)],
  [/\bclaw\b|vibrato|springs’ cover/i, (b) => b.parts.springs !== undefined],
  [/truss (?:nut|tool|rod)|slacken strings if it turns/i, hasTrussNut],
  [/tailpiece/i, (b) => b.parts.tailpiece !== undefined],
  [/ferrules?\b/i, (b) => b.parts.ferrules !== undefined],
  // One is proposed for given strings.
  [/string tree(?!s? for strings? \d|: for |, small bit)/i, (b) => b.parts['string-tree'] !== undefined],
  [/\bknobs?\b/i, (b) => b.parts.knobs !== undefined],
  [/\bswitch\b/i, (b) => b.parts.switch !== undefined],
  [/\bbattery\b/i, (b) => b.parts.battery !== undefined],
  [/\bstuds?\b(?!,? or (?:its |outer )?screws)/i, (b) => b.parts.tailpiece !== undefined || isOnStuds(traitAt(b, 'bridge', 'mount'))],
  // A body hollow under its controls has no room cut for them.
  [/control route|controls’ route/i, (b) => traitAt(b, 'body', 'access') !== 'sound-hole'],
  [/bone dust|nut files?\b|filed to a tenth|too high, file|file them: see nut|graphite/i, (b) => !hasLockingNut(b)],
  [/mask the pocket|pocket: film|neck off|(?<!taper )shim (?:at|in) the pocket|neck’s screw|tapered shim/i, (b) => !isGlued(b)],
]
/** Of two parts alone. */
const APART = [
  /\bpockets?\b|\bheels?\b|neck out\b|^neck, bridge|neck home|take (?:a|another) neck\b(?! pickup| \(with)|exchange the (?:[^:]* )?(?<!its )neck\b(?! pickup| \(with)/i,
  (b: Build) => !isThrough(b),
] as const
/** The names of what this build has not: an assertion is made only of a text that breaks it, which a million texts feel. */
const absentIn = (build: Build, names: typeof NAMES): RegExp[] => names.filter(([, has]) => !has(build)).map(([name]) => name)
/** What a cure may tell to buy. */
const PROPOSED = [/string tree(?!s? for strings? \d|: for |, small bit)/, /\b(?<!face )guards?\b/, /\bknobs?\b/].map((r) => r.source)
/** Sheets to copy another instrument by, which may have anything. */
const OF_ANOTHER = /^measuring-/

function* textsOf(build: Build): Generator<readonly [where: string, text: string]> {
  const results = evaluate(build, '2026-11-28')
  for (const s of results.plan.steps) {
    for (const text of [s.title, s.why, ...s.cautions]) yield [`step ${s.id}`, text]
    for (const b of s.befores) for (const text of [b.why, b.risk, b.wayBack]) yield [`step ${s.id} after ${b.id}`, text]
  }
  for (const j of mockupSteps(build)) for (const text of [j.title, j.how]) yield [`trial ${j.id}`, text]
  for (const c of results.drill)
    for (const text of [c.says, c.located, c.goesIn, ...c.first, ...c.steps, ...c.mind, ...c.guards.map((g) => g.says)])
      yield [`hole ${c.id}`, text]
  for (const symptom of PLAYING_SYMPTOMS) {
    const { suspects, open } = playingDiagnosis(build, symptom)
    for (const text of [...suspects.flatMap((s) => [s.says, s.cure]), ...open.map((c) => c.asks)]) yield [`trouble ${symptom.id}`, text]
  }
  for (const symptom of FILM_SYMPTOMS)
    for (const text of [...causesOf(build, symptom).map((d) => d.says), ...symptom.ways.map((w) => w.says)])
      yield [`film ${symptom.id}`, text]
  for (const sheet of sheetsOf(build, results).filter((s) => !OF_ANOTHER.test(s.id))) {
    const texts: string[] = []
    JSON.stringify(sheet.blocks, (_, v: unknown) => (typeof v === 'string' ? texts.push(v) : v))
    for (const text of texts) yield [`sheet ${sheet.id}`, text]
  }
}

describe('what is said of an instrument', () => {
  it.each(BUILDS)('names no part that it has not: %s', (_, build) => {
    const absent = absentIn(build, [...NAMES, APART])
    for (const [where, text] of textsOf(build)) for (const name of absent) if (name.test(text)) expect(text, where).not.toMatch(name)
  })
  it.each(BUILDS)('nor does any joint, but where another part is proposed: %s', (_, build) => {
    const absent = absentIn(build, [...NAMES.filter(([name]) => !PROPOSED.includes(name.source)), APART])
    for (const j of evaluate(build, '2026-11-28').fit) {
      const drawing = drawJoint(build, j.id)!
      const tables = tablesOf(build, j.id)
      for (const text of [
        j.title,
        ...j.checks.flatMap((c) => [c.label, c.says, ...c.cures.flatMap((cure) => [cure.job, cure.how])]),
        ...[...j.missing, ...j.reads].map(nameOf),
        drawing.title,
        ...drawing.numbers.map((n) => n.label),
        ...drawing.marks.flatMap((m) => ('text' in m ? [m.text] : [])),
        ...tables.flatMap((t) => [t.title, ...t.columns, ...t.rows.flat()]),
      ])
        for (const name of absent) if (name.test(text)) expect(text, j.id).not.toMatch(name)
    }
  })
  it.each([
    ['tailpiece', /tailpiece/i, { 'bridge/mount': 'two-stud' }, { 'bridge/mount': 'post' }],
    ['ferrules', /ferrules?\b/i, { 'bridge/mount': 'screws' }, { 'bridge/mount': 'string-through' }],
    ['control-plate', /control plate/i, { 'body/access': 'back' }, { 'body/access': 'front' }],
  ] as const)('lays on and mounts no %s that nothing takes', (slot, name, idle, taken) => {
    const parts = { ...fullBuild().parts, ...onAPlate().parts, tailpiece: aPart('tailpiece', { height: 12 }, { type: 'stop' }) }
    const named = (traits: Record<string, string>) => {
      const { steps } = evaluate(changed({ ...fullBuild(), parts }, {}, traits), '2026-11-28').plan
      return steps.filter((t) => ['trial-build', 'hardware'].includes(t.id) && name.test(`${t.title} ${t.why}`)).map((t) => t.id)
    }
    expect(named(idle), slot).toEqual([])
    expect(named(taken).length, slot).toBeGreaterThan(0)
  })
})
