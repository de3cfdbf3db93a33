import { isGlued } from '../document/read'
import { hasSprings } from '../instrument/vibrato'
import type { Build } from '../document/build'
import { valueAt, traitAt } from '../document/read'
import { perimeterOf } from '../geometry/polygon'
import { tightTurns } from '../geometry/inset'
import { bodyShape } from '../instrument/bodyShape'
import { outlinePoints } from '../instrument/outline'
import { GRAIN } from './grits'
import { burstOrder } from './burst'
import { surfaceOf, type Layer } from './stack'
import { maskedOf } from './masking'
import { closingOf } from './closing'
import { hasBinding, zoneGroups, type ZoneGroup } from './zones'
import { RAGS, SHEET } from './products'

export const CARD_IDS = [
  'before-coat',
  'test-board',
  'filler',
  'burst',
  'masking',
  'holders',
  'metallic',
  'oil',
  'mist',
  'decal',
  'binding',
  'relic',
  'polishing',
  'neck-feel',
  'fretboard',
  'old-finish',
  'conductive',
  'small-parts',
] as const
export type CardId = (typeof CARD_IDS)[number]

/** A job of its own at the finish, line by line. */
export interface FinishCard {
  id: CardId
  title: string
  why: string
  /** Does this build ask for it, by its parts and its stack? */
  asked: boolean
  lines: string[]
  numbers: { label: string; value: string }[]
  cautions: string[]
  /** Asked before the first line may be ticked: it cannot be undone, or it hurts. */
  confirm?: string
}

const card = (c: Omit<FinishCard, 'numbers' | 'cautions'> & Partial<FinishCard>): FinishCard => ({ numbers: [], cautions: [], ...c })

/** All cards with this build's own figures, those it asks for first. [practice] */
export function finishCards(build: Build): FinishCard[] {
  const layers = zoneGroups(build).flatMap((g) => g.layers)
  const has = (medium: string) => layers.some((l) => l.medium === medium)
  const sprayed = layers.some((l) => l.applied === 'spray')
  const spray = layers.find((l) => l.applied === 'spray')
  const cans = spray ? [...spray.cautions] : []
  const all: FinishCard[] = [
    card({
      id: 'before-coat',
      title: 'Before every coat',
      why: 'Most dust and most spitting is decided in the five minutes before.',
      asked: layers.length > 0,
      ...beforeCoat(spray ?? layers[0]),
    }),
    card({
      id: 'test-board',
      title: 'Test board',
      why: 'The same wood, the same sanding, every layer in its order: colour and bond are seen there first.',
      asked: layers.some((l) => l.name === 'dye' || l.name === 'colour' || l.name === 'filler'),
      lines: [
        'An offcut of the same wood, sanded as the body is.',
        'A strip for each layer: mask one off before every next one, so that all stand side by side.',
        'Dye and filler in both orders, if both are wanted: some fillers show as patches.',
        'Laid beside the picture and looked at by day.',
        'Clear over all of it and rubbed out like the body.',
      ],
      numbers: layers.map((l) => ({ label: l.label, value: `${l.coats} ×` })),
    }),
    fillerCard(build, layers.find((l) => l.name === 'filler')?.coats),
    burstCard(build),
    card({
      id: 'masking',
      title: 'Masking',
      why: `${isGlued(build) ? '' : 'Film in the pocket closes the joint; '}film under the bridge cuts its ground off.`.replace(/^f/, 'F'),
      asked: sprayed || has('waterborne'),
      lines: [
        ...maskedOf(build).map((m) => `${m.says[0]!.toUpperCase()}${m.says.slice(1)}.`),
        'The nut’s slot.',
        'Front taped off where the back is sprayed.',
        ...(hasSprings(build) ? ['Not forgotten: the inside of the vibrato’s route shows from the back.'] : []),
        'Pulled off while the last coat is still soft, back on itself, score where it bridges.',
      ],
    }),
    card({
      id: 'holders',
      title: 'Holders and booth',
      why: 'Body and neck are turned without being touched.',
      asked: layers.length > 0,
      lines: [
        `A stick screwed to ${isGlued(build) ? '' : 'the pocket’s floor or to '}a pickup’s route, longer than the hand.`,
        ...(build.parts.neck ? [`${isGlued(build) ? 'It hangs' : 'The neck hangs'} by a hook through a tuner’s bore.`] : []),
        'A hook in the strap button’s hole, or two nails to lie on where it lies.',
        ...(sprayed ? ['Outdoors: a big carton on its side, open to the light, its back to the wind.'] : []),
        'Where it hangs to dry: nothing above it, nobody passes.',
      ],
    }),
    card({
      id: 'metallic',
      title: 'Metallic and sparkle',
      why: 'Flakes lie flat only in a wet coat; sanded they stand up and are grey.',
      asked: has('metallic'),
      lines: [
        'Primer levelled with P600, every dent filled: metallic hides nothing.',
        'Three thin coats, 10 minutes apart, 15 cm off, wetter than other colours.',
        'Never sanded, not even a speck: nib it under the clear instead.',
        'Sparkle, three coats, 10 minutes apart.',
        'An hour, then clear, 4 or 5 coats; only the clear is sanded.',
      ],
      cautions: cans,
    }),
    card({
      id: 'oil',
      title: 'Oil, by two schools',
      why: 'Either it is flooded and wiped off, or rubbed even and left: never both in one coat.',
      asked: has('oil') || has('hard-wax'),
      lines: [
        'Flooded: wipe on, wait 15 to 20 minutes, wipe all of it off, overnight.',
        'Or thin: a few drops rubbed even until nothing is wet, then 2 hours, about twelve times; also over a dry acrylic wash.',
        'P400 or a pad between, with the grain, dust off.',
        'Raw wood before it: P180, P240, P320; under stain P220 to P400.',
        'Rags spread flat outside at once.',
      ],
      cautions: [RAGS],
    }),
    card({
      id: 'mist',
      title: 'Mist coats over weeks',
      why: 'Two cans in mists of 5 µm: nothing runs, hardly anything is levelled, and it takes 4 to 6 weeks.',
      asked: layers.some((l) => l.product === 'lacquer-mist'),
      lines: [
        'Shake 3 minutes by the clock; can hand-warm.',
        'Start off the body; a mist that just dulls the shine below.',
        'Two days between; specks nibbed with P800 and no finger behind it.',
        'A blob: dry, feather it, wipe, the next mist.',
        'Two weeks after the last before it is sanded.',
      ],
      cautions: cans,
    }),
    card({
      id: 'decal',
      title: 'Transfer, rub-on or print',
      why: 'It holds only on film that is dry, and its step goes under clear.',
      asked: layers.some((l) => l.name === 'decal'),
      lines: [
        'Printed mirrored where it is laid face down; right way round on a water slide.',
        'Film under it dry for a day and levelled; wiped.',
        'Water slide: wet its paper, slide it off, press the water out from the middle. Two-liner rub-on: rub, peel, press again.',
        'Print in varnish: pressed into the wet coat, fully dry, then the paper rubbed away wet.',
        'Overnight. Three mist coats of clear first: a wet one melts it.',
        'Its edge feathered by three or four clears, never sanded through: see its step under Sanding.',
      ],
    }),
    bindingCard(build),
    card({
      id: 'relic',
      title: 'Worn by hand',
      why: 'A wear pattern that is matched, and that nobody can take back.',
      asked: false,
      confirm: 'This cannot be undone: what is worn through stays worn through. Is the outline on the body and the photograph beside it?',
      lines: [
        'Outline in pencil after the photograph: forearm, chest, belt, thumb, case.',
        'Knife along the outline’s edge, shallow, then coarse paper inside it, then fine.',
        'Film at the edge goes to wood without fibres: P320 across it, then P600.',
        'Oil or grime in the bare wood, wiped.',
        'A thin clear, or none.',
      ],
      cautions: ['Dust mask: old or new film is dust now. Knife away from the fingers.'],
    }),
    polishingCard(zoneGroups(build).some(isRubbed)),
    card({
      id: 'neck-feel',
      title: 'How the neck feels',
      why: 'Gloss can be sticky under the hand; the neck’s back is its own zone.',
      asked: zoneGroups(build).some((g) => g.zones.includes('neck-back') && isRubbed(g)),
      lines: [
        'Choose: gloss, dulled, satin, or bare with oil.',
        'Dulled: a fine pad along the neck only, then hard-wax oil on the pad.',
        'Border drawn in pencil and taped before it is dulled: where the neck meets the body and behind the nut.',
      ],
    }),
    card({
      id: 'fretboard',
      title: 'Fretboard',
      why: 'Unfinished woods only: a lacquered board is wiped, never oiled.',
      asked: !zoneGroups(build).some((g) => g.zones.includes('board')),
      lines: [
        'Cleaned along the frets, dry.',
        'Mineral oil, lemon-scented mineral oil, hard-wax oil or linseed, thin; ten minutes; wiped dry.',
        'Waxed before anything is wet-sanded beside it.',
      ],
      cautions: [RAGS],
    }),
    card({
      id: 'old-finish',
      title: 'An old or unknown finish',
      why: 'It decides what holds on it, and old ones may hold lead.',
      asked: surfaceOf(build) !== 'raw',
      lines: [
        'A drop of water on a hidden place: soaks in and darkens is raw, stands is sealed.',
        'A lead test on what is older than you.',
        'Stain is wanted: all of it off to the wood, then the drop again everywhere.',
        'A coat is wanted: scuff with P400, a test piece, a coat of shellac free of wax between if in doubt.',
      ],
      cautions: [`Dust of old finish may hold lead: test first, mask P2 or better, nobody else in the room. ${SHEET}`],
    }),
    card({
      id: 'conductive',
      title: 'Conductive paint in the hollows',
      why: 'It is a shield only where it is joined and nowhere touches a live lug.',
      asked: false,
      lines: [
        'After the last coat, hollows clean and masked to the rim.',
        'Two or three coats, each dry by its label; a lug screwed into it and wired to ground.',
        'Ohms across the hollow and to the jack’s sleeve: under 100 Ω across, under 1 Ω at the lug’s wire.',
        'Tape over it wherever a live lug comes near.',
      ],
      cautions: [SHEET],
    }),
    card({
      id: 'small-parts',
      title: 'Ageing small parts',
      why: 'A spare first, beside the part it is to match.',
      asked: false,
      lines: [
        'A spare piece first.',
        'Dips by the clock in strong tea or cola: look, dry, look again beside its neighbour.',
        'Rinsed, dried; a drop of oil on threads.',
        'Shim ends blackened with a marker.',
      ],
    }),
  ]
  return all.toSorted((a, b) => Number(b.asked) - Number(a.asked))
}

/** Does it end as a film that is cut and polished, and not as oil in the wood? */
function isRubbed({ layers }: ZoneGroup): boolean {
  const last = layers.findLast((l) => l.name !== 'wax')
  return last !== undefined && closingOf(last) === 'rub'
}

/** What is done before a coat of this goes on, and what is asked where it can hurt. */
export function beforeCoat(layer: Pick<Layer, 'applied' | 'cautions'> | undefined): Pick<FinishCard, 'lines' | 'confirm' | 'cautions'> {
  const sprayed = layer?.applied === 'spray'
  return {
    ...(sprayed ? { confirm: 'Respirator with organic-vapour cartridge on, gloves on, and the air moving out of the room?' } : {}),
    lines: [
      ...(sprayed
        ? [
            'Respirator for organic vapour and particles on, gloves, eyes; outdoors or the fan on; no flame.',
            'Can warmed in hand-warm water, never above what its label allows; again each session.',
            'Shaken for 3 minutes after the ball is free.',
          ]
        : ['Window open, gloves.']),
      'Floor and air wetted with a spray of water; dust settled.',
      'Work wiped, looked over under a lamp laid flat: specks, hairs, fingermarks.',
      ...(sprayed ? ['First pass begins and ends off the body, on a piece of card.'] : []),
    ],
    cautions: [...(layer?.cautions ?? [])],
  }
}

function fillerCard(build: Build, coats?: number): FinishCard {
  const wood = traitAt(build, 'body', 'wood') ?? ''
  const open = wood === 'mahogany' || wood === 'ash'
  return card({
    id: 'filler',
    title: 'Grain filler',
    why: open ? 'This wood has open pores: filled flat, or left open on purpose.' : 'Closed pores: hardly needed here.',
    asked: coats !== undefined || open,
    lines: [
      'Unknown wood: a scrap first. Mixed woods: each zone for itself.',
      'Thin, worked across the grain with a card, scraped off while soft.',
      'Overnight.',
      'P320 with a block, dust out of the pores.',
      `Again, ${coats && coats > 2 ? coats : 'two or three'} times in all: one thick go shrinks back.`,
      'Under dye: on the test board first. Patchy: that face opaque, the show face masked.',
    ],
    numbers: [{ label: 'Times in all', value: String(coats ?? '2 to 3') }],
    cautions: [`Dust mask when it is sanded. ${SHEET}`],
  })
}

function burstCard(build: Build): FinishCard {
  const order = burstOrder(build).steps
  return card({
    id: 'burst',
    title: 'Burst, from light to dark',
    why: 'The lightest colour over all of it, each darker one in a narrower band, each dry before the next.',
    asked: order.some((o) => o.width !== undefined),
    lines: [
      ...(order.length
        ? order.map((o) => o.says)
        : ['Give layers a colour and a burst under Colour: their order and amounts stand here then.']),
      'The edge undiluted by brush first, then the same 1 to 9 sprayed over its border: it softens.',
      'Both faces and the rim in one evening, so that they match.',
      'Colour bled onto the binding is scraped off again.',
    ],
    numbers: order.map((o) => ({ label: o.name, value: `${Math.round(o.millilitres)} ml` })),
  })
}

/** A strip lifts where the edge turns tighter than this, mm. [practice] */
const TIGHT = 25
const PIECE = 60

function bindingCard(build: Build): FinishCard {
  const points = outlinePoints(bodyShape(build).rows)
  const around = perimeterOf(points)
  const tight = tightTurns(points, TIGHT)
  const strip = {
    thickness: valueAt(build, { slot: 'body', size: 'binding.thickness' }),
    height: valueAt(build, { slot: 'body', size: 'binding.height' }),
  }
  const ledge = (mm: number | undefined) => (mm === undefined ? 'measure the strip' : `${(mm - 0.15).toFixed(2)} mm`)
  return card({
    id: 'binding',
    title: 'Binding',
    why: 'Its ledge is 0.1 to 0.2 mm less than the strip both ways, so that the strip stands proud and is scraped flush.',
    asked: hasBinding(build),
    lines: [
      'Strip measured with calipers, both ways, at three places.',
      'Ledge cleaned with a solvent that leaves no film.',
      'Slick plastic scuffed with P220 where it is glued.',
      `Tape cut and staged: ${Math.ceil(around / PIECE)} pieces, one every ${PIECE} mm.`,
      `Glued from the waist, pulled tight${tight.length ? `; at ${tight.length === 1 ? 'the one tight turn' : `the ${tight.length} tight turns`} warmed first, two pieces of tape each` : ''}.`,
      'Ends butted, cut last.',
      '12 to 24 hours. What lifted at a curve: cement, tape, again.',
      'Scraped flush with a blade, never sanded into the colour.',
    ],
    numbers: [
      { label: 'Once round', value: `${Math.round(around)} mm` },
      { label: 'Strip to buy, a tenth more', value: `${Math.ceil((around * 1.1) / 10) * 10} mm` },
      { label: 'Ledge, inwards', value: ledge(strip.thickness) },
      { label: 'Ledge, downwards', value: ledge(strip.height) },
      { label: `Turns tighter than ${TIGHT} mm`, value: String(tight.length) },
    ],
    cautions: ['Solvent cement: no flame, open window, gloves. A ledge cutter grabs at horns: climb cuts light, both hands.', SHEET],
  })
}

function polishingCard(asked: boolean): FinishCard {
  return card({
    id: 'polishing',
    title: 'Polishing',
    why: 'Rungs of the same ladder: each takes a little film and leaves a finer scratch.',
    asked,
    lines: [
      'Every hole sealed; holes and hardware covered; hardly any water, a drop of soap.',
      'P1200 on foam, or P1500 and P2000: each until the last one’s scratches are gone, dried, under one lamp.',
      'Cutting compound by hand or with a slow pad; then polish; then glaze.',
      'Half of the face first, the other half as it is: compare under one lamp.',
      'Haze stays: back to the grit whose scratch it is, P2000 before P1500.',
      'Good enough is an answer. Stop here.',
      'Last shine after it is assembled. Wax, if any, last of all.',
    ],
    numbers: [
      ...[1200, 1500, 2000].map((g) => ({ label: `P${g} takes`, value: `${(GRAIN[g]! / 3).toFixed(0)} µm` })),
      { label: 'Cutting compound takes', value: '1 to 2 µm' },
      { label: 'Polish and glaze take', value: 'under 0.5 µm' },
    ],
    cautions: ['Pads in a drill grab: both hands, edge turning away from you. Dust mask when it is dry.'],
  })
}
