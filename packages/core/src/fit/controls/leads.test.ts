import { describe, expect, it } from 'vitest'
import { leadRuns, openedBy } from '../../instrument/leads'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

describe('leads', () => {
  judgeRows([
    {
      what: 'ground lead reaches closed, not opened',
      joint: 'leads',
      check: 'ground',
      verdict: 'tight',
      says: 'Controls to string ground: 232 mm, and with the guard turned over beside the body it takes 270.',
      sizes: { 'wire/lead.ground': 232 },
      job: /^Cut a new lead of \d+0 mm/,
    },
    {
      what: 'jack lead far too short',
      joint: 'leads',
      check: 'jack',
      // However short: it is wire, and no ground against a part.
      verdict: 'tight',
      says: 'Controls to jack: 60 mm, and with the guard turned over beside the body it takes 142.',
      job: 'Cut a new lead of 210 mm, or splice 150 mm on and sleeve the joint.',
      sizes: { 'wire/lead.jack': 60 },
    },
    {
      what: 'a pickup lead half a metre too long',
      joint: 'leads',
      check: 'pickup-neck',
      verdict: 'loose',
      says: 'Neck pickup to controls: 684 mm more than it takes; it folds up under the cover and picks up hum.',
      job: 'Lay it in one flat loop and tie it; cut it only when the pickup stays for good.',
      sizes: { 'pickup-neck/lead.length': 900 },
    },
  ])
  it('what hangs from the guard needs no more opened than closed', () => {
    const runs = leadRuns(fullBuild())
    for (const r of runs.filter((x) => x.id.startsWith('pickup'))) expect(r.open).toBe(r.closed)
    expect(runs.find((r) => r.id === 'ground')!.open).toBeGreaterThan(runs.find((r) => r.id === 'ground')!.closed)
  })
  it('a guard is turned over on the side nearer the jack', () => {
    expect(openedBy(fullBuild())).toMatchObject({ way: 'guard', side: 'treble' })
    expect(openedBy(changed(fullBuild(), { 'body/jack.y': 130 }))).toMatchObject({ way: 'guard', side: 'bass' })
  })
  it('through a sound hole everything must reach out of it', () => {
    const hollow = changed(
      without(fullBuild(), 'guard'),
      { 'body/soundHole.x': 150, 'body/soundHole.y': 104 },
      { 'body/access': 'sound-hole' },
    )
    expect(openedBy(hollow).way).toBe('sound-hole')
    for (const r of leadRuns(hollow)) expect(r.cut).toBeGreaterThanOrEqual(r.open! + 60)
  })
  it('nobody has told by what way they go in: no lead is said to reach', () => {
    const open = changed(without(fullBuild(), 'guard'), {}, { 'body/access': undefined })
    expect([openedBy(open).way, ...leadRuns(open).map((r) => r.open)]).toEqual(['unknown', ...leadRuns(open).map(() => undefined)])
    expect(openedBy(changed(open, {}, { 'body/access': 'back' })).way).toBe('in-place')
  })
  it('whose place nobody knows: no lead is said to reach, and the place is asked for', () => {
    const hollow = changed(without(fullBuild(), 'guard'), { 'wire/lead.jack': 160 }, { 'body/access': 'sound-hole' })
    expect(leadRuns(hollow).map((r) => r.open)).toEqual(leadRuns(hollow).map(() => undefined))
    const joint = jointIn(hollow, 'leads')
    expect(joint.verdict).toBe('cant-tell')
    expect(joint.missing).toEqual(expect.arrayContaining([{ slot: 'body', size: 'soundHole.x' }]))
    expect(joint.tables()[0]!.rows.every((r) => r[2] === '?')).toBe(true)
  })
  it('a guard nobody drew: too short in place is too short, long enough anywhere is long enough, between nobody can tell', () => {
    const drawn = fullBuild()
    const guard = { ...drawn.parts.guard!, outline: [] }
    const bare = { ...drawn, parts: { ...drawn.parts, guard } }
    // 116 in place from the guard's pot to the jack in the rim, and up to 180 more.
    const { closed, open, cut } = leadRuns(bare).find((r) => r.id === 'jack')!
    expect([Math.round(closed), open, cut]).toEqual([116, undefined, 360])
    const check = (length: number) => checkIn(changed(bare, { 'wire/lead.jack': length }), 'leads', 'jack')
    expect(check(60)).toMatchObject({ raw: { verdict: 'tight' }, says: 'Controls to jack: 60 mm, and in place alone it takes 116.' })
    expect(check(60).cures[0]!.job).toBe('Cut a new lead of 360 mm, or splice 300 mm on and sleeve the joint.')
    expect(check(200).raw.verdict).toBe('cant-tell')
    expect(check(310)).toMatchObject({
      raw: { verdict: 'snug' },
      says: 'Controls to jack: reaches wherever the controls are laid out.',
    })
    // The pickups that hang from it go with it all the same.
    for (const r of leadRuns(bare).filter((x) => x.id.startsWith('pickup'))) expect(r.open).toBe(r.closed)
  })
  it('nobody has cut anything: no joint, but the lengths stand beside the passage', () => {
    const spool = changed(fullBuild(), {
      'wire/lead.jack': undefined,
      'wire/lead.ground': undefined,
      'pickup-neck/lead.length': undefined,
      'pickup-middle/lead.length': undefined,
      'pickup-bridge/lead.length': undefined,
    })
    expect(() => jointIn(spool, 'leads')).toThrow()
    expect(jointIn(spool, 'wire-passage').tables()[0]!.rows.length).toBe(5)
  })
})
