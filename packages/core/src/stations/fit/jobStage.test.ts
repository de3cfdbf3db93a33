import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { everyMake } from '../../testing/anyBuild'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { isForStringing, stageOfCure, stageOfPlanned } from './jobStage'

describe('to which stage a job belongs', () => {
  it.each([
    ['Wind string 1 further down its post: 2 turns more.', 'nothing', 'strings'],
    ['A string tree for strings 1 and 2.', 'neck', 'strings'],
    ['A lower string tree for strings 1 and 2 and a string tree for string 5.', 'neck', 'strings'],
    ['Put 1 inner nut and 3 washers on the volume pot under the guard: takes up 3.9 mm.', 'nothing', 'hardware'],
    ['Cut a new lead of 330 mm, or splice 105 mm on and sleeve the joint.', 'nothing', 'wiring'],
    ['Line both and join them: a tab of foil folded over the cavity’s edge, or a wire.', 'nothing', 'wiring'],
    ['Solder a wire from a pot’s case and lead it to the bridge or the claw.', 'nothing', 'wiring'],
    ['Tilt the neck 0.33° back: a tapered shim, 0.43 mm at the pocket’s end.', 'nothing', 'hardware'],
    ['Put a flat plate 1.2 mm thick under the whole heel.', 'nothing', 'hardware'],
    ['Take neck screws of 48 mm or less.', 'the screws', 'hardware'],
    ['File the slots on the bass side 0.2 mm deeper.', 'nut', 'strings'],
    ['A new blank at least 6 mm high.', 'the nut', 'hardware'],
    ['Find a nut for a right-handed build.', 'nut', 'hardware'],
    ['Sand the nut’s back face by 0.2 mm.', 'nut', 'hardware'],
    ['Shim the nut by 1.3 mm: veneer or bone, full length and width.', 'nothing', 'hardware'],
    ['Tilt the neck 0.3° back, 0.4 mm at the pocket’s end: the strings then break by 1.2°.', 'nothing', 'hardware'],
    ['Glue a strip of the body’s wood, 6 mm wide, into the neck route’s edge and cut it flush.', 'nothing', 'wood'],
    ['Set the tailpiece so that strings leave it 14 mm above the body.', 'nothing', 'strings'],
    ['File the guard: neck opening, neck side: 3.7 mm', 'guard', 'hardware'],
    ['Ream the jack bore to 9.8 mm.', 'body', 'wood'],
    ['Shave 0.5 mm off the treble wall.', 'body', 'wood'],
    ['Or plane 0.20 mm off each side of the heel.', 'neck', 'wood'],
    ['Plug the old holes and drill at 52.5 mm.', 'nothing', 'wood'],
    ['Line one wall with 0.6 mm of veneer.', 'nothing', 'wood'],
    ['Exchange the body or neck: 7.5 mm is more than such a job does.', 'the part', 'wood'],
    ['Exchange the neck pickup or pickguard: 29.6 mm is more than such a job does.', 'the part', 'hardware'],
    ['Exchange the neck screws: no job on what is here does it.', 'the part', 'hardware'],
    ['Lift the strings there by 1.2 mm or more: no pickup is low enough.', 'nothing', 'hardware'],
  ] as const)('%s (%s): %s', (job, gives, stage) => expect(stageOfCure({ job, gives })).toBe(stage))
  it('planned on paper: what is cut from the wood is wood, a shim between body and neck is not', () => {
    const job = { slot: 'body' as const, size: 'pocket.depth', delta: 1, doubt: 0.1 }
    expect(stageOfPlanned({ ...job, text: 'Deepen the pocket by 1 mm' })).toBe('wood')
    expect(stageOfPlanned({ ...job, text: 'A tapered shim of 0.5 mm at the pocket’s end' })).toBe('hardware')
    expect(stageOfPlanned({ ...job, slot: 'guard', text: 'File the guard' })).toBe('hardware')
  })
})

describe('what is done to strings', () => {
  it.each([
    ['Wind string 5 further down its post: 3 turns more.', true],
    ['Lock strings 1 and 2 under their own first turn, and wind what there is.', true],
    ['Hold string 1 to its post first: with 27 mm past the middle of the post it holds; with less, it is too short.', true],
    ['Lay the string in its place before it is cut, and see that its thick part goes over the nut.', true],
    ['Set the tailpiece so that strings leave it 14 mm above the body.', false],
    ['A string tree for string 3; wind string 4 further down: 1 turn more.', false],
    ['Widen the slots by 0.1 mm.', false],
  ])('%s: while they go on: %s', (job, so) => expect(isForStringing(job)).toBe(so))
})

describe('before sanding', () => {
  it('come only jobs on body and neck, never strings, washers or leads', () => {
    const build = changed(fullBuild(), { 'pot-volume/bushing.length': 18, 'wire/lead.jack': 60, 'body/pocket.widthMouth': 55.4 })
    const { steps } = evaluate(build, '2026-11-24').plan
    const sand = steps.find((s) => s.id === 'sand')!
    const first = steps.filter((s) => sand.befores.some((b) => b.id === s.id))
    expect(first.length).toBeGreaterThan(1)
    for (const s of first) expect(['wood', 'trial'], s.title).toContain(s.stage)
    expect(steps.filter((s) => s.station === 'fit' && !['wood', 'trial'].includes(s.stage)).length).toBeGreaterThan(0)
  })
})

describe('work on wood that came finished', () => {
  const cautions = (surface: string | undefined, neck: string | undefined, jobs: Build['jobs'] = {}) => {
    // Too shallow for its pickup.
    const tight = changed(fullBuild(), { 'body/route.neck.depth': 14 }, { 'body/surface': surface, 'neck/surface': neck })
    const { steps } = evaluate({ ...tight, jobs }, '2026-11-24').plan
    return Object.fromEntries(steps.filter((s) => s.station === 'fit' && s.thing).map((s) => [s.id, [s.title, ...s.cautions].join(' | ')]))
  }
  it('says that its film is cut through first, of the part that is worked and of no other', () => {
    const [raw, coated] = [cautions('raw', 'coated'), cautions('coated', 'raw')]
    expect(coated['cure-room-neck']).toMatch(
      /^Deepen the route by 4\.5 mm, to 18\.5 mm \| The body came finished: tape along what is worked/,
    )
    expect(raw['cure-room-neck']).toBe('Deepen the route by 4.5 mm, to 18.5 mm')
    expect(Object.values(coated).filter((words) => /neck came finished/.test(words))).toEqual([])
  })
  it('of a job planned on paper too', () => {
    const jobs = { 'pocket-mouth/x': { slot: 'neck' as const, size: 'heel.widthMouth', delta: -0.6, doubt: 0.1, text: 'Shave the heel' } }
    expect(cautions('coated', 'coated', jobs)['job-pocket-mouth/x']).toBe(
      'Shave the heel | The neck came finished: tape along what is worked, the film cut through with a knife before any bit or cutter.',
    )
  })
})

describe('work that several joints ask for', () => {
  const fitJobs = (build: Build) => evaluate(build, '2026-11-24').plan.steps.filter((s) => s.id.startsWith('cure-'))
  it('a route too shallow for both pots is deepened once; further under the switch, each with the depth it comes to', () => {
    // 12 mm deep: the pots lack 6.5, the switch 15.5.
    const deep = fitJobs(changed(fullBuild(), { 'body/control.depth': 12 })).filter((s) => /^Deepen the control route/.test(s.title))
    expect(deep.map((s) => s.title)).toEqual([
      'Deepen the control route by 6.5 mm, to 18.5 mm',
      'Deepen the control route under the switch by 15.5 mm, to 27.5 mm',
    ])
    expect(deep[0]!.why).toMatch(/The same is asked for by tone pot in guard\.$/)
    expect(deep[0]!.need).toBe('must')
  })
  it('no two jobs of one plan cut one size in the same words', () => {
    let merged = 0
    const law = fc.property(
      fc.nat(everyMake().length - 1),
      fc.integer({ min: 5, max: 40 }),
      fc.integer({ min: 5, max: 22 }),
      (m, control, route) => {
        const make = everyMake()[m]!
        const sizes = { 'body/control.depth': control, 'body/route.neck.depth': route, 'body/route.bridge.depth': route }
        const build = changed(make, Object.fromEntries(Object.entries(sizes).filter(([key]) => make.parts.body!.sizes[key.slice(5)])))
        const jobs = fitJobs(build).filter((s) => s.alters)
        const words = jobs.map((s) => `${s.title.split(':')[0]} ${s.alters!.map((a) => `${a.slot}/${a.size}`).join()}`)
        expect(new Set(words).size).toBe(words.length)
        if (jobs.some((s) => / is asked for by /.test(s.why))) merged++
      },
    )
    holds(law, 150)
    expect(merged).toBeGreaterThan(3)
  })
})

describe('what no job is known for', () => {
  const stepOf = (build: Parameters<typeof evaluate>[0], id: string) => evaluate(build, '2026-11-24').plan.steps.find((s) => s.id === id)!
  it('is settled before sanding only where it may go through wood', () => {
    // Springs, bridge and strings: gauges nobody has told leave open which springs do it.
    const soft = changed(fullBuild(), { 'springs/pull': 8, 'strings/gauge.1': undefined })
    expect(stepOf(soft, 'cure-springs')).toMatchObject({ title: 'Find a way: springs against the strings', stage: 'hardware' })
    const edge = changed(fullBuild(), { 'neck/tuner.first': undefined, 'tuners/post.height': 26 })
    expect(stepOf(edge, 'cure-nut-break')).toMatchObject({ title: 'Find a way: break angle at the nut', stage: 'wood' })
  })
  it('springs on a bridge that stands still are left out', () =>
    expect(stepOf(changed(fullBuild(), {}, { 'bridge/mount': 'screws' }), 'cure-springs')).toMatchObject({
      title: 'Leave the springs and their claw out',
      stage: 'hardware',
    }))
})
