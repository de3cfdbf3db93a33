import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { WOODS } from '../../parts/woods'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { untold } from '../../testing/anyBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { rimPressure, vibratoStudPull } from './studPull'

// Limits [practice], sums [physics].
describe('studs in the body', () => {
  judgeRows([
    {
      what: 'bore 0.1 too large',
      joint: 'bridge-on-body',
      check: 'press',
      verdict: 'loose',
      sizes: { 'body/studBore': 10.1 },
      says: /lean under string pull/,
      job: /^Wrap the bushing/,
    },
    {
      what: 'bushing 0.3 too large',
      joint: 'bridge-on-body',
      check: 'press',
      verdict: 'tight',
      sizes: { 'body/studBore': 9.7 },
      says: /splits the wood/,
      job: /9\.9 mm/,
    },
    {
      what: 'bushing 1.2 too large',
      joint: 'bridge-on-body',
      check: 'press',
      verdict: 'wont-go',
      says: 'The bushing is 1.2 mm larger than its bore; driven in it splits the wood.',
      job: 'Drill the bores out to 9.9 mm.',
      sizes: { 'body/studBore': 8.8 },
    },
    {
      what: 'bore 1 mm too large',
      joint: 'bridge-on-body',
      check: 'press',
      verdict: 'wont-go',
      says: 'The bore is 1 mm larger than the bushing: the studs stand loose and lean under string pull.',
      job: 'Plug the bore with dowel of the same grain and drill it anew, 9.9 mm.',
      sizes: { 'body/studBore': 11 },
    },
    {
      what: 'the block strikes the route',
      joint: 'bridge-on-body',
      check: 'swing',
      verdict: 'tight',
      says: 'The block strikes the route’s wall 3 mm before the arm is down.',
      sizes: { 'body/vibrato.length': 18 },
      job: /^Lengthen the vibrato route/,
    },
    {
      what: 'a route hardly longer than the block',
      joint: 'bridge-on-body',
      check: 'swing',
      verdict: 'wont-go',
      says: 'The block strikes the route’s wall 8 mm before the arm is down.',
      job: 'Lengthen the vibrato route by 9 mm on the tail side.',
      sizes: { 'body/vibrato.length': 13 },
    },
    {
      what: 'studs 0.7 mm apart from the bridge’s',
      joint: 'bridge-on-body',
      check: 'pattern',
      verdict: 'tight',
      says: 'The bridge’s pattern is 74 mm and the body’s 74.8 mm: 0.8 mm apart.',
      job: 'Plug the old holes and drill at 74 mm.',
      sizes: { 'body/studSpacing': 74.8 },
    },
    {
      what: 'studs 3 mm apart from the bridge’s',
      joint: 'bridge-on-body',
      check: 'pattern',
      verdict: 'wont-go',
      job: 'Plug the old holes and drill at 74 mm.',
      sizes: { 'body/studSpacing': 71 },
      says: /74 mm and the body’s 71 mm: 3 mm apart/,
    },
    {
      what: 'block longer than the body is thick',
      joint: 'bridge-on-body',
      check: 'block',
      verdict: 'wont-go',
      says: 'The block is 47 mm deep in a 44.2 mm body.',
      job: 'Take the bridge with a shorter block.',
      sizes: { 'bridge/block.depth': 47 },
    },
  ])
})

describe('string pull on studs', () => {
  it('rim pressure: a stiff post in a bed that gives evenly, forces and moments in balance [physics]', () => {
    // Without overhang four times the mean; the closed form against summing the pressure along the post.
    expect(rimPressure(1000, 10, 25, 0)).toBeCloseTo((4 * 1000) / 250, 9)
    const [F, d, L, e] = [240, 11.5, 25, 12]
    const rim = rimPressure(F, d, L, e)
    const slope = (-12 * (F * e + (F * L) / 2)) / (d * L ** 3)
    let [force, moment] = [0, 0]
    const n = 20_000
    for (let i = 0; i < n; i++) {
      const z = ((i + 0.5) * L) / n
      const p = rim + slope * z
      force += (p * d * L) / n
      moment += (p * d * z * L) / n
    }
    expect(force).toBeCloseTo(F, 3)
    expect(moment).toBeCloseTo(-F * e, 1)
  })
  it('a vibrato’s studs hold strings and springs', () => expect(vibratoStudPull(460, 9, 36)).toBeCloseTo(575, 9))
  it('crushing strengths are those of the woods’ table [published: Wood Handbook, from memory]', () => {
    expect(WOODS['hard-maple'].crushing).toBe(54)
    expect(WOODS.basswood.crushing).toBe(32.6)
  })
  judgeRows([
    {
      what: 'short bushings in basswood',
      joint: 'bridge-on-body',
      check: 'pull',
      verdict: 'tight',
      sizes: { 'bridge/studLength': 14 },
      traits: { 'body/wood': 'basswood' },
      says: /Basswood is trusted with 10\.9/,
      job: /bushings at least \d+ mm long/,
    },
    {
      what: 'usual bushings in hard maple',
      joint: 'bridge-on-body',
      check: 'pull',
      verdict: 'snug',
      says: 'The strings pull 290 N on each stud, 6 mm above the wood: 6.3 MPa at the rim of a 25 mm bushing. Hard maple is trusted with 18.0.',
    },
  ])
  it('the pressure falls with length and with harder wood, never the other way', () => {
    const spare = (length: number, wood: string) =>
      checkIn(changed(fullBuild(), { 'bridge/studLength': length }, { 'body/wood': wood }), 'bridge-on-body', 'pull').clearance[0]!.mean
    for (const wood of ['basswood', 'alder', 'hard-maple'])
      for (let l = 12; l < 30; l += 3) expect(spare(l + 3, wood)).toBeGreaterThan(spare(l, wood))
    expect(spare(20, 'hard-maple')).toBeGreaterThan(spare(20, 'basswood'))
  })
})

describe('saddles along and over the strings', () => {
  judgeRows([
    {
      what: 'studs 6 mm too far forward',
      joint: 'bridge-reach',
      check: 'back',
      verdict: 'snug',
      says: 'Every saddle reaches its place with 1.5 mm in hand.',
      sizes: { 'body/mouthToBridge': 259 },
    },
    {
      what: 'studs 15 mm too far forward',
      joint: 'bridge-reach',
      check: 'back',
      verdict: 'wont-go',
      says: 'The low strings’ saddles reach their back stop before they are in tune.',
      job: 'Place the studs between 638.2 and 643.7 mm from the nut.',
      sizes: { 'body/mouthToBridge': 238 },
    },
    {
      what: 'studs too far back',
      joint: 'bridge-reach',
      check: 'front',
      verdict: 'wont-go',
      says: 'The high strings’ saddles reach their front stop before they are in tune.',
      job: 'Place the studs between 638.2 and 643.7 mm from the nut.',
      sizes: { 'body/mouthToBridge': 268 },
    },
    {
      what: 'a spacing 5 mm too wide',
      joint: 'strings-on-board',
      check: 'bass',
      verdict: 'tight',
      says: 'Outer strings run 2 mm inside (bass) and 2 mm inside (treble) the board’s edges at the last fret. Under 2.5 mm a string slips off the edge when fretted.',
      job: 'Use a nut or saddles with closer string spacing.',
      sizes: { 'bridge/spread': 59 },
    },
    {
      what: 'an axis 3.4 mm off',
      joint: 'strings-on-board',
      check: 'treble',
      verdict: 'tight',
      says: 'Outer strings run 6.8 mm inside (bass) and 1.9 mm inside (treble) the board’s edges at the last fret. Under 2.5 mm a string slips off the edge when fretted.',
      job: 'Turn the neck: bring its axis 3.4 mm to the treble side at the bridge.',
      sizes: { 'body/axisAtBridge': 3.4 },
    },
  ])
  it('a neck of another scale moves every saddle’s place: numbers decide, not names', () => {
    expect(jointIn(changed(fullBuild(), { 'neck/scale': 628.65 }), 'bridge-reach').verdict).toBe('wont-go')
  })
})

describe('neck angle and bridge height', () => {
  judgeRows([
    {
      what: 'the bridge ends 3 mm too low',
      joint: 'bridge-height',
      check: 'high-stop',
      verdict: 'wont-go',
      sizes: { 'bridge/height.max': 10.5 },
      says: /Strings lie too low/,
      job: /^Tip the neck/,
    },
    {
      what: 'the bridge at its stop',
      joint: 'bridge-height',
      check: 'low-stop',
      verdict: 'wont-go',
      sizes: { 'bridge/height.min': 14.5, 'bridge/height.max': 20 },
      says: /at its stop the action stays/,
      job: /^Tilt the neck/,
    },
    {
      what: 'a hair over the stop',
      joint: 'bridge-height',
      check: 'low-stop',
      verdict: 'tight',
      says: 'Saddles stand 13.3 mm above the body, only 0.3 mm over the bridge’s lowest stop.',
      job: 'Tilt the neck 0.09° back: a tapered shim, 0.12 mm at the pocket’s end.',
      sizes: { 'bridge/height.min': 13.02 },
    },
    {
      what: 'a bridge cover 12 mm tall',
      joint: 'bridge-height',
      check: 'cover-bridge',
      verdict: 'wont-go',
      says: 'Run right down the bridge cover still stands 1.8 mm into the strings held at the last fret; 1.6 of air is wanted.',
      job: 'Let the bridge pickup 3.6 mm deeper: deepen its route, or raise the strings with a plate under the heel.',
      sizes: { 'pickup-bridge/above': 12 },
    },
  ])
  it('strings too low: a plate, or the neck tipped forward; both land inside', () => {
    const low = changed(fullBuild(), { 'bridge/height.max': 12.6 })
    expect(jointIn(low, 'bridge-height').cures.map((c) => c.id)).toEqual(['less-tilt', 'deepen-pocket', 'taller-bridge'])
    const flat = jointIn(changed(low, {}, { 'bridge/mount': 'six-screw' }), 'bridge-height')
    expect(flat.cures.map((c) => c.id)).toEqual(['bridge-plate', 'less-tilt', 'deepen-pocket', 'taller-bridge'])
  })
  it('a heel with its own tilt screw is turned before anything is cut', () => {
    const stop = changed(fullBuild(), { 'bridge/height.min': 14.5, 'bridge/height.max': 20 }, { 'neck/tiltScrew': 'screw' })
    expect(jointIn(stop, 'bridge-height').cures[0]!.id).toBe('tilt-screw')
  })
  it('the bridge as it was set: action at fret 12 from its height, and the turns that bring it right', () => {
    const at = (saddle: number): Build => ({ ...fullBuild(), setup: { ...fullBuild().setup, saddle } })
    const wanted = Number(/needs|stand ([\d.]+) mm/.exec(jointIn(fullBuild(), 'bridge-height').says)![1])
    expect(checkIn(at(wanted), 'bridge-height', 'as-set').raw.verdict).toBe('snug')
    const high = checkIn(at(wanted + 1.4), 'bridge-height', 'as-set')
    expect(high.raw.verdict).toBe('loose')
    expect(high.clearance[0]!.mean).toBeCloseTo(0.7, 1)
    // A two-stud vibrato hangs from its studs: 1.4 mm down on threads of 0.5 mm are 2.8 turns into the body, clockwise.
    const job = (build: Build) => checkIn(build, 'bridge-height', 'as-set').cures[0]!
    expect(job(at(wanted + 1.4)).job).toBe('Saddles down by 1.4 mm: the studs 2 7/8 turns clockwise, seen from above.')
    // Grub screws through the saddles lift them clockwise.
    const grub = changed(at(wanted + 1.4), {}, { 'bridge/mount': 'screws' })
    expect(job(grub).job).toBe('Saddles down by 1.4 mm: the saddle screws 2 7/8 turns counter-clockwise, seen from above.')
    expect(job(grub).how).toMatch(/both screws of each saddle/)
    // Nobody has said its thread: which way, and no figure by what is only usual.
    const threadless = (build: Build) => untold(build, 'sizes', 'bridge', 'height.pitch')
    expect(job(threadless(at(wanted + 1.4))).job).toBe('Saddles down by 1.4 mm: the studs clockwise, seen from above.')
    expect(job(threadless(grub)).job).toBe('Saddles down by 1.4 mm: the saddle screws counter-clockwise, seen from above.')
    expect(job(threadless(at(wanted - 1))).job).toBe('Saddles up by 1 mm: the studs counter-clockwise, seen from above.')
    expect(job(threadless(grub)).how).toMatch(/half a turn at a time, measured after each/)
    // Nobody has said what carries them: no turns.
    expect(job(untold(grub, 'traits', 'bridge', 'mount')).job).toBe('Saddles down by 1.4 mm, by the screws that carry them.')
    expect(checkIn(at(wanted - 1), 'bridge-height', 'as-set').raw.verdict).toBe('tight')
    expect(checkIn(at(wanted - 1), 'bridge-height', 'as-set').cures[0]!.job).toMatch(/up by 1 mm/)
  })
})

describe('strings over the saddles', () => {
  const tailed = (): Build => ({
    ...changed(
      fullBuild(),
      { 'body/tail.toBridge': 45, 'body/tail.bore': 11.4, 'body/tail.spacing': 82, 'bridge/back.height': undefined },
      { 'bridge/mount': 'post' },
    ),
    parts: {
      ...changed(
        fullBuild(),
        { 'body/tail.toBridge': 45, 'body/tail.bore': 11.4, 'body/tail.spacing': 82, 'bridge/back.height': undefined },
        { 'bridge/mount': 'post' },
      ).parts,
      tailpiece: aPart(
        'tailpiece',
        { height: 4, studDiameter: [11.5, 'calipers', 0.02], studLength: 25, studSpacing: 82, 'string.hole': 1.8 },
        { type: 'stop', hand: 'either' },
        { metal: 'nickel' },
      ),
    },
  })
  judgeRows(
    [
      {
        what: '11 degrees to a stop tail',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'snug',
        says: 'Strings break over the saddles by 11.7°.',
      },
      {
        what: 'tail almost as high as the saddles',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'wont-go',
        job: 'Set the tailpiece so that strings leave it 6 mm above the body.',
        sizes: { 'tailpiece/height': 11.5 },
        says: /hop or buzz/,
      },
      {
        what: 'tail screwed down near the bridge',
        joint: 'saddle-break',
        check: 'break',
        verdict: 'tight',
        job: 'Set the tailpiece so that strings leave it 8.3 mm above the body.',
        sizes: { 'body/tail.toBridge': 20 },
        says: /steeper than the usual 20/,
      },
      {
        what: 'strings over a tall back',
        joint: 'saddle-break',
        check: 'path',
        verdict: 'tight',
        job: 'none',
        sizes: { 'bridge/back.height': 13, 'bridge/back.distance': 8 },
        says: /touch the bridge’s back/,
      },
      {
        what: 'a loose tail stud',
        joint: 'tail-studs',
        check: 'press',
        verdict: 'loose',
        says: 'The bore is 0.12 mm larger than the bushing: the studs stand loose and lean under string pull.',
        job: 'Wrap the bushing: 0.11 mm of paper or foil all round.',
        sizes: { 'body/tail.bore': 11.62 },
      },
      {
        what: 'tail bores for another tailpiece',
        joint: 'tail-studs',
        check: 'pattern',
        verdict: 'wont-go',
        says: 'The tailpiece’s pattern is 82 mm and the body’s 84 mm: 2 mm apart.',
        job: 'Plug the old holes and drill at 82 mm.',
        sizes: { 'body/tail.spacing': 84 },
      },
      {
        what: 'tail bores that agree',
        joint: 'tail-studs',
        check: 'pattern',
        verdict: 'snug',
        says: 'Tailpiece 82 mm and body 82.2 mm from first to last agree.',
        sizes: { 'body/tail.spacing': 82.2 },
      },
      {
        what: 'tail studs in basswood',
        joint: 'tail-studs',
        check: 'pull',
        verdict: 'tight',
        says: 'The strings pull 232 N on each stud, 4 mm above the wood: 14.9 MPa at the rim of a 9 mm bushing. Basswood is trusted with 10.9.',
        job: 'Take bushings at least 13 mm long, or lower the strings over the studs.',
        sizes: { 'tailpiece/studLength': 9 },
        traits: { 'body/wood': 'basswood' },
      },
    ],
    tailed,
  )
  it('a vibrato tailpiece wants a flatter string than a stop', () => {
    const vibrato = changed(tailed(), { 'tailpiece/height': 5 }, { 'tailpiece/type': 'vibrato' })
    expect(checkIn(vibrato, 'saddle-break', 'break').raw.verdict).toBe('snug')
    expect(checkIn(changed(vibrato, { 'tailpiece/height': 1 }), 'saddle-break', 'break').raw.verdict).toBe('tight')
  })
  it('steep is no fault where the bridge holds its own strings, up to about 55 degrees', () => {
    const to = (distance: number) =>
      checkIn(changed(fullBuild(), { 'bridge/exit.distance': distance }), 'saddle-break', 'break').raw.verdict
    expect(to(14)).toBe('snug')
    expect(to(5)).toBe('tight')
  })
  it('nobody said where the bridge lets its strings go: nothing is judged, nothing asked', () => {
    const unknown = changed(fullBuild(), { 'bridge/exit.distance': undefined })
    expect(() => jointIn(unknown, 'saddle-break')).toThrow()
  })
  it('no tilt is told for a steeper break where the saddles cannot follow it', () => {
    const flat = changed(tailed(), { 'tailpiece/height': 11.5, 'bridge/height.max': 14 })
    const ids = (build: Build) => jointIn(build, 'saddle-break').cures.map((c) => c.id)
    expect(ids(flat)).toEqual(['tail-height'])
    expect(ids(changed(flat, { 'bridge/height.max': 20 }))).toContain('tilt-for-break')
  })
})

describe('springs', () => {
  judgeRows([
    {
      what: 'one spring',
      joint: 'springs',
      check: 'balance',
      verdict: 'wont-go',
      says: 'The strings pull 463 N; that asks for 2.8 springs and 1 is fitted. The claw cannot take up so much.',
      sizes: { 'springs/count': 1 },
      job: /Fit 3 springs/,
    },
    {
      what: 'five springs',
      joint: 'springs',
      check: 'balance',
      verdict: 'loose',
      says: 'The strings pull 463 N; that asks for 2.8 springs and 5 are fitted. The claw takes up the rest.',
      job: 'Fit 3 springs.',
      sizes: { 'springs/count': 5 },
    },
    // 463 x 9 / (20 x 36) = 5.8 springs; five of 20 x 5.8 / 5 = 23.2 N.
    {
      what: 'springs too soft for any claw',
      joint: 'springs',
      check: 'balance',
      verdict: 'wont-go',
      sizes: { 'springs/pull': 20 },
      job: 'Take 5 springs that pull 24 N each at the same stretch.',
    },
    {
      what: 'springs under a fixed bridge',
      joint: 'springs',
      check: 'vibrato',
      verdict: 'wont-go',
      says: 'The bridge is fixed: there is nothing for springs to pull on. Leave them and their claw out.',
      traits: { 'bridge/mount': 'screws' },
    },
  ])
  it('under a fixed bridge nobody counts them', () =>
    expect(jointIn(changed(fullBuild(), {}, { 'bridge/mount': 'screws' }), 'springs').checks.map((c) => c.id)).toEqual(['vibrato']))
  it('no vibrato, no springs', () => expect(() => jointIn(without(fullBuild(), 'springs'), 'springs')).toThrow())
})

describe('centre block of a hollow body', () => {
  const hollow = () => changed(fullBuild(), { 'body/block.width': 96 }, { 'body/build': 'semi-hollow' })
  judgeRows(
    [
      {
        what: '6 mm of wood beside the studs',
        joint: 'bridge-on-body',
        check: 'in-block',
        verdict: 'snug',
        says: '6 mm of the centre block stands beside each stud; 3 is wanted.',
      },
      {
        what: '1 mm of wood',
        joint: 'bridge-on-body',
        check: 'in-block',
        verdict: 'tight',
        says: '1 mm of the centre block stands beside each stud; 3 is wanted.',
        sizes: { 'body/block.width': 86 },
        job: /^Glue hardwood/,
      },
      {
        what: 'studs beside the block',
        joint: 'bridge-on-body',
        check: 'in-block',
        verdict: 'wont-go',
        sizes: { 'body/block.width': 70 },
        says: /outside the centre block/,
      },
    ],
    hollow,
  )
  it('a solid body has no block to miss', () =>
    expect(jointIn(changed(fullBuild(), { 'body/block.width': 40 }), 'bridge-on-body').checks.map((c) => c.id)).not.toContain('in-block'))
})

describe('string ferrules', () => {
  const through = (): Build => {
    const b = changed(fullBuild(), { 'body/ferrule.bore': 7.93 })
    return {
      ...b,
      parts: { ...b.parts, ferrules: aPart('ferrules', { count: 6, diameter: [8, 'calipers', 0.02], length: 9, 'string.hole': 2.2 }) },
    }
  }
  judgeRows(
    [
      {
        what: 'a press fit',
        joint: 'ferrules',
        check: 'press',
        verdict: 'snug',
        says: 'Ferrules press in, 0.07 mm larger than their bores.',
      },
      {
        what: 'bores 0.2 too large',
        joint: 'ferrules',
        check: 'press',
        verdict: 'loose',
        says: 'The bores are 0.2 mm larger than the ferrules: they drop out when the strings are off.',
        sizes: { 'body/ferrule.bore': 8.2 },
        job: /^Wrap each ferrule/,
      },
      // (0.55 + 0.07)/2 = 0.31 all round: no wrap.
      {
        what: 'bores 0.55 too large',
        joint: 'ferrules',
        check: 'press',
        verdict: 'loose',
        says: 'The bores are 0.55 mm larger than the ferrules: they drop out when the strings are off.',
        sizes: { 'body/ferrule.bore': 8.55 },
        job: /^Plug the bores with dowel and drill them anew, 7\.93 mm/,
      },
      {
        what: 'bores 0.3 too small',
        joint: 'ferrules',
        check: 'press',
        verdict: 'tight',
        says: 'The ferrules are 0.3 mm larger than their bores; forced, the back chips.',
        sizes: { 'body/ferrule.bore': 7.7 },
        job: /^Drill the bores out to 7\.93/,
      },
      {
        what: 'bores 1 mm too small',
        joint: 'ferrules',
        check: 'press',
        verdict: 'wont-go',
        says: 'The ferrules are 1 mm larger than their bores; forced, the back chips.',
        job: 'Drill the bores out to 7.93 mm, all with one stop.',
        sizes: { 'body/ferrule.bore': 7 },
      },
      {
        what: 'five for six strings',
        joint: 'ferrules',
        check: 'count',
        verdict: 'wont-go',
        says: '5 ferrules for 6 strings.',
        sizes: { 'ferrules/count': 5 },
        job: /1 more/,
      },
    ],
    through,
  )
})
