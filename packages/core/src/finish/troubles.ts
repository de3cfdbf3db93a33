import type { Build, FinishZone } from '../document/build'
import { filmEvidence, type Fact } from './evidence'

/** What brought it about: how often it is that, and what in the log speaks for it. */
interface Cause {
  says: string
  /** How usual it is among its kind, before anything is known. [ours] */
  usual: number
  facts?: readonly Fact[]
}

/** A way back: what is done, hands and waiting, what it costs. */
export interface WayBack {
  id: string
  says: string
  /** Minutes at the bench. */
  minutes: number
  /** Days before it can go on. */
  days: number
  cost: string
}

export interface FilmSymptom {
  id: string
  label: string
  causes: readonly Cause[]
  ways: readonly WayBack[]
}

const way = (id: string, says: string, minutes: number, days: number, cost: string): WayBack => ({ id, says, minutes, days, cost })

/** Troubles of a film, in people's words. Causes and ways back [practice]; how usual each is [ours]. */
export const FILM_SYMPTOMS: readonly FilmSymptom[] = [
  {
    id: 'through',
    label: 'Sanded through: colour or wood shows',
    causes: [
      { says: 'too little film over the colour there: edges keep two thirds of a coat, corners half', usual: 5, facts: ['cut through'] },
      { says: 'a block ran over the edge: it bites half as much again', usual: 4, facts: ['cut through'] },
      { says: 'the film was soft and rolled off', usual: 1, facts: ['sanded early'] },
    ],
    ways: [
      way('leave', 'Stop. Tiny and off the face: leave it, and go no further there.', 0, 0, 'nothing'),
      way(
        'spot',
        'Stop. Dry, colour put back with a fine brush or a light mist on the spot, then three clears over all of it; the wait begins again.',
        60,
        8,
        'part of a can',
      ),
      way('again', 'Level that face flat, colour over all of it, clear as before.', 180, 12, 'a can of colour, one of clear'),
    ],
  },
  {
    id: 'grey',
    label: 'Silver turned grey and rough',
    causes: [
      {
        says: 'the metallic went on dry, from too far away: flakes stand up and the sanding cut them',
        usual: 6,
        facts: ['metallic', 'metallic sanded'],
      },
      { says: 'the metallic itself was sanded', usual: 4, facts: ['metallic sanded', 'metallic'] },
    ],
    ways: [
      way(
        'respray',
        'Metallic again, nearer and wetter, 15 cm off; no sanding of it; an hour later clear over it.',
        60,
        4,
        'half a can of metallic, clear',
      ),
    ],
  },
  {
    id: 'runs',
    label: 'Runs or sags',
    causes: [
      { says: 'sprayed too near or too slowly, or stopped on the work', usual: 5, facts: ['many in one evening'] },
      { says: 'the next coat came while the last was wet', usual: 3, facts: ['too soon'] },
      { says: 'too cold to dry', usual: 2, facts: ['cold'] },
    ],
    ways: [
      way(
        'block',
        'Leave it until it is hard, days longer than the rest. Shave it level with a block, touch in, clear over it.',
        40,
        5,
        'nothing but time',
      ),
    ],
  },
  {
    id: 'peel',
    label: 'Orange peel',
    causes: [
      { says: 'too far away or too hot: droplets are half dry when they land', usual: 5, facts: ['hot'] },
      { says: 'a cold can sputters coarse', usual: 4, facts: ['cold'] },
      { says: 'too dry a coat', usual: 2, facts: ['mist coats'] },
    ],
    ways: [
      way(
        'level',
        'Once it is hard, level it wet: it takes half of the peel off the film. See Sanding for the odds first.',
        120,
        0,
        'film',
      ),
    ],
  },
  {
    id: 'blush',
    label: 'Milky white haze',
    causes: [
      { says: 'water settled in it: damp air, or a surface near the dew point', usual: 7, facts: ['damp', 'dew'] },
      { says: 'cold work brought into a warm room', usual: 2, facts: ['dew', 'cold'] },
    ],
    ways: [
      way('wait', 'Warm, dry air for a day: thin haze leaves by itself.', 0, 1, 'nothing'),
      way('mist', 'A mist of slow thinner or of clear on a dry day lets the water out; then go on.', 20, 1, 'a little clear'),
    ],
  },
  {
    id: 'fisheyes',
    label: 'Craters that stay open (fisheyes)',
    causes: [
      { says: 'silicone, wax or grease on the wood: polish, hands, spray oil in the room', usual: 7, facts: ['sealed'] },
      { says: 'oil underneath', usual: 2, facts: ['oil'] },
    ],
    ways: [
      way(
        'wipe',
        'Let it dry, sand the craters flat, wipe with a solvent that leaves nothing, two mist coats of shellac free of wax, then on.',
        60,
        1,
        'a little shellac',
      ),
    ],
  },
  {
    id: 'patchy',
    label: 'Patchy dye or filler',
    causes: [
      { says: 'filler takes dye otherwise than wood', usual: 5, facts: ['dye over filler', 'filler'] },
      { says: 'sealer or glue is still in the wood there', usual: 4, facts: ['sealed'] },
      { says: 'sanded unevenly before', usual: 2 },
    ],
    ways: [
      way('opaque', 'Sand that face, make it opaque, and mask the show face meanwhile.', 150, 2, 'a can of colour'),
      way('sand', 'Sand it back to bare wood and dye again, tried on scrap first.', 180, 2, 'dye'),
    ],
  },
  {
    id: 'wrinkle',
    label: 'Wrinkled or lifted like skin',
    causes: [
      { says: 'coated between the hours in which it is soft below and dry above', usual: 6, facts: ['forbidden', 'too soon'] },
      { says: 'a stronger solvent over a film it dissolves', usual: 4, facts: ['sealed'] },
    ],
    ways: [
      way(
        'strip',
        'Let it harden a week, sand the wrinkles off flat, prime that face, colour and clear again within the windows.',
        180,
        10,
        'primer, colour and clear',
      ),
    ],
  },
  {
    id: 'cracks',
    label: 'Film cracked round tuner or screw holes',
    causes: [
      { says: 'water crept into holes that were not sealed, and the wood swelled', usual: 8, facts: ['holes open'] },
      { says: 'drilled after the film, without a chamfer', usual: 3 },
    ],
    ways: [
      way('dry', 'Nothing simple. Let it dry for days; what stays cracked is hidden under bushings and washers.', 10, 5, 'nothing'),
      way('fill', 'Thin clear let into the cracks with a needle, several times, levelled.', 40, 7, 'a little clear'),
    ],
  },
  {
    id: 'blobs',
    label: 'Blobs spat by the can',
    causes: [
      { says: 'the pass began on the work: a can spits as it starts', usual: 5 },
      { says: 'a cold or hardly shaken can, or a clogged nozzle', usual: 5, facts: ['cold'] },
    ],
    ways: [
      way(
        'feather',
        'Dry; feather it with paper and no finger behind it; wipe; the next mist. Three minutes of shaking, and begin off the body.',
        20,
        1,
        'nothing',
      ),
    ],
  },
  {
    id: 'specks',
    label: 'Specks and hairs',
    causes: [
      { says: 'dust that was stirred up: wet the room down, wipe, look under a lamp before each coat', usual: 7 },
      { says: 'lint from the cloth', usual: 3, facts: ['oil'] },
    ],
    ways: [way('nib', 'Dry, nib them off with P800, wipe, the next coat.', 15, 0, 'nothing')],
  },
  {
    id: 'prints',
    label: 'Prints: fingers, cloth, a stand',
    causes: [
      { says: 'touched or packed before it was hard', usual: 7, facts: ['sanded early', 'cold', 'damp', 'many in one evening'] },
      { says: 'oil that was not wiped off and stays soft', usual: 2, facts: ['oil'] },
    ],
    ways: [
      way('wait', 'Wait as long again, then level and polish.', 60, 14, 'nothing'),
      way('clears', 'Dry, sand flat, several clears, the wait from the start.', 90, 10, 'half a can of clear'),
    ],
  },
  {
    id: 'sticky',
    label: 'Stays sticky',
    causes: [
      { says: 'oil that stood on the wood instead of being wiped off', usual: 4, facts: ['oil'] },
      { says: 'coats too thick or too soon: solvent is shut in', usual: 4, facts: ['too soon', 'many in one evening'] },
      { says: 'cold or damp air', usual: 4, facts: ['cold', 'damp'] },
    ],
    ways: [
      way('warm', 'Warm dry moving air, and days. Nothing over it meanwhile.', 0, 7, 'nothing'),
      way('wipe', 'Oil: wipe with white spirit until nothing comes off, let dry, one thin coat.', 40, 3, 'a little spirit'),
    ],
  },
  {
    id: 'peels',
    label: 'Flakes or peels off',
    causes: [
      { says: 'nothing keyed it: the coat below was too old or too smooth', usual: 5, facts: ['too late'] },
      { says: 'it lies on a finish it does not hold on', usual: 5, facts: ['sealed', 'oil'] },
    ],
    ways: [
      way(
        'back',
        'Scrape off what is loose, feather, scuff with P400, a coat of shellac free of wax, then again.',
        120,
        4,
        'shellac, colour, clear',
      ),
    ],
  },
  {
    id: 'dip',
    label: 'A dip shows through the paint',
    causes: [{ says: 'a hole or dent was not filled, or its filler shrank', usual: 1, facts: ['filler'] }],
    ways: [
      way(
        'glue',
        'Instant glue in drops, flat-sanded with a hard block, paint on that face. Next time: fill and look along a lamp before colour.',
        60,
        3,
        'colour and clear',
      ),
    ],
  },
  {
    id: 'bare',
    label: 'Bare wood shows in an opening',
    causes: [{ says: 'the inside of a route was masked or missed', usual: 1 }],
    ways: [way('touch', 'Mask round it again and touch in.', 60, 0, 'a little colour')],
  },
  {
    id: 'transfer',
    label: 'The transfer tore or slid',
    causes: [
      { says: 'the film under it was damp or not dry', usual: 5, facts: ['damp', 'too soon'] },
      { says: 'too wet when it was pressed', usual: 4 },
    ],
    ways: [way('redo', 'Rub it off, dry fully, lay another: print mirrored if it is pressed on face down.', 40, 1, 'a sheet')],
  },
  {
    id: 'binding',
    label: 'Binding stands off',
    causes: [
      { says: 'a tight curve pulled back before the cement was dry', usual: 6 },
      { says: 'smooth plastic was not scuffed', usual: 4 },
    ],
    ways: [way('reglue', 'Cement or its solvent into the gap, tape across, 12 to 24 h, scrape flush.', 20, 1, 'a little cement')],
  },
]

export interface Diagnosis {
  says: string
  /** Share among the causes of this symptom, 0 to 1. */
  share: number
  /** What in the log speaks for it. */
  because: string[]
}

/** Each fact that speaks for a cause makes it so many times likelier. [ours] */
const SPEAKS = 4

/** Causes of a symptom, likeliest first, by what was really laid and sanded. */
export function causesOf(build: Build, symptom: FilmSymptom, zone?: FinishZone): Diagnosis[] {
  const facts = filmEvidence(build, zone)
  const weighed = symptom.causes.map((c) => {
    const because = (c.facts ?? []).flatMap((f) => facts.get(f) ?? [])
    return { says: c.says, weight: c.usual * SPEAKS ** because.length, because }
  })
  const sum = weighed.reduce((s, c) => s + c.weight, 0)
  return weighed.map(({ weight, ...c }) => ({ ...c, share: weight / sum })).toSorted((a, b) => b.share - a.share)
}

export const filmSymptom = (id: string): FilmSymptom | undefined => FILM_SYMPTOMS.find((s) => s.id === id)
