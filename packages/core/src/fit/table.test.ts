import fc from 'fast-check'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { nameOf } from '../document/read'
import { traitName } from '../judge/doubtWords'
import { slotSpec } from '../parts/slots'
import { anyBuild, everyMake, everyTrait, knownBuild, untold } from '../testing/anyBuild'
import { JOINT_KINDS } from './jointKinds'
import { existsIn, type JointKind } from './kind'

const DOC = new URL('../../../../docs/joints.md', import.meta.url)

interface Row {
  label: string
  sizes: Set<string>
  traits: Set<string>
}

const existing = (build: Build): JointKind[] => JOINT_KINDS.filter((k) => existsIn(k, build))

/**
 * Each of these without one of its traits, each in turn: what weighs a trait is not left to the draw. With the kinds of joint that look at
 * the part or are there only now; the others are what they are with it.
 */
const oneUntold = (whole: readonly Build[]): [Build, JointKind[]][] =>
  whole.flatMap((made) => {
    const before = new Set(existing(made))
    return everyTrait(made)
      .filter(([slot, trait]) => made.parts[slot]!.traits[trait] !== undefined)
      .map(([slot, trait]): [Build, JointKind[]] => {
        const build = untold(made, 'traits', slot, trait)
        return [build, existing(build).filter((k) => !before.has(k) || k.needs.includes(slot) || k.also?.includes(slot))]
      })
  })

/** Every check of every kind of joint with all it was ever seen to read. */
function rows(): Map<string, { title: string; checks: Map<string, Row> }> {
  const kinds = new Map<string, { title: string; checks: Map<string, Row> }>()
  const known = fc.sample(knownBuild, { numRuns: 150, seed: 7 })
  const drawn = [...known, ...fc.sample(anyBuild, { numRuns: 700, seed: 7 })]
  const whole = (build: Build): [Build, JointKind[]] => [build, existing(build)]
  for (const [build, kindsOfJoint] of [
    ...everyMake().map(whole),
    ...oneUntold([...everyMake(), ...known.slice(0, 30)]),
    ...drawn.map(whole),
  ])
    for (const kind of kindsOfJoint) {
      const joint = kind.find(build)
      const at = kinds.get(kind.id) ?? { title: joint.title, checks: new Map<string, Row>() }
      kinds.set(kind.id, at)
      for (const c of joint.checks) {
        const row = at.checks.get(c.id) ?? {
          label: c.label.replace(/, \d+$/, '').replace(/^\d+ /, ''),
          sizes: new Set<string>(),
          traits: new Set<string>(),
        }
        at.checks.set(c.id, row)
        for (const r of c.reads) row.sizes.add(`${nameOf(r)} (${slotSpec(r.slot).label.toLowerCase()})`)
        for (const t of c.untold) row.traits.add(traitName(t))
      }
    }
  return kinds
}

const TESTS = readdirSync(new URL('.', import.meta.url), { recursive: true, encoding: 'utf8' })
  .filter((f) => f.endsWith('.test.ts') && !f.includes('table.test'))
  .toSorted()
  .map((file) => ({ file, text: readFileSync(new URL(file, import.meta.url), 'utf8') }))

/** The tests that hold a check to a sum: a row that names joint and check, or a reading of that check. */
function testsOf(kind: string, check: string): string[] {
  const plain = (id: string) => id.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
  // A row written once for several pickups, sides or pots names its place by a variable.
  const quoted = (id: string) => plain(id).replace(/neck|middle|bridge|volume|tone/g, (word) => `(?:${word}|\\$\\{\\w+\\})`)
  const named = new RegExp(
    `joint: ['\`]${quoted(kind)}['\`],\\s*check: ['\`]${quoted(check)}['\`]|checkIn\\([^\\n]*['\`]${quoted(kind)}['\`], ['\`]${quoted(check)}['\`]`,
  )
  return TESTS.filter(({ text }) => named.test(text)).map(({ file }) => file)
}

function markdown(): string {
  const lines = [
    '# Joints of Dry fit',
    '',
    'Every kind of joint with its checks, what each of them reads, how it is tried by hand, and where a sum by hand holds it. Written by',
    '`UPDATE_DOCS=1 npx vitest run --project core fit/table`; a test fails when it is out of date.',
    '',
  ]
  for (const kind of JOINT_KINDS) {
    const seen = rows_.get(kind.id)!
    const not = kind.trial.notSettled?.length ? ` Says nothing of: ${kind.trial.notSettled.join(', ')}.` : ''
    lines.push(
      `## ${seen.title} (\`${kind.id}\`)`,
      '',
      `By hand: ${kind.trial.how} It ${kind.trial.offers.map(([, words]) => words).join(', ')}.${not}`,
      '',
      '| check | sizes it reads | traits it reads | held to a sum in |',
      '| --- | --- | --- | --- |',
    )
    for (const [id, row] of seen.checks)
      lines.push(
        `| \`${id}\` ${row.label} | ${[...row.sizes].toSorted().join(', ') || 'none: it is settled by looking'} | ${[...row.traits].toSorted().join(', ') || 'none'} | ${testsOf(kind.id, id).join(', ') || 'NONE'} |`,
      )
    lines.push('')
  }
  return lines.join('\n')
}
const rows_ = rows()

describe('the table of joints', () => {
  it('has a row for every kind and every check, and no empty cell', () => {
    for (const kind of JOINT_KINDS) expect(rows_.get(kind.id)?.checks.size ?? 0, kind.id).toBeGreaterThan(0)
    const text = markdown()
    expect([...text.matchAll(/^.*\| NONE \|$/gm)].map(([line]) => line.slice(0, 60))).toEqual([])
  })
  it('is the one in docs', () => {
    if (process.env.UPDATE_DOCS) writeFileSync(DOC, markdown())
    expect(readFileSync(DOC, 'utf8')).toBe(markdown())
  })
})
