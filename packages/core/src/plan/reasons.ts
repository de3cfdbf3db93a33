import type { Build } from '../document/build'
import type { Slot } from '../parts/slots'
import type { Before, Step } from './step'

/**
 * Why one stage of the work comes before another: the reason, what happens when it does not, and the way back.
 * [practice]
 */
export const BECAUSE = {
  dryFitFirst: {
    why: 'No wood is touched after colour: the trial build comes first.',
    risk: 'A route or hole cut after the finish chips it, and one slip of the router spoils the body.',
    wayBack: 'Tape, score through the film by hand, shallow passes; touch in what chips.',
  },
  holesBeforeFinish: {
    why: 'Drill before finish: a bit lifts and chips fresh film.',
    risk: 'The film chips round every hole and water creeps in later.',
    wayBack: 'Chamfer through the film by hand, run the bit backwards first, then drill.',
  },
  holesBeforeTrial: {
    why: 'A trial build shows whether the holes are where the parts want them: they are drilled before it.',
    risk: 'What does not line up is found in the finish, where every slip shows.',
    wayBack: 'Take it apart, drill, put it together once more.',
  },
  liningAfterFilm: {
    why: 'A lining goes in once no coat, no wet sanding and no polish goes over it.',
    risk: 'Film and water creep under it; what is painted over grounds nothing.',
    wayBack: 'Scrape its laps bare, check them by meter, line anew where it lifts.',
  },
  placeBeforeHoles: {
    why: 'The bridge’s place fixes its holes: from where the neck comes in and from fret 12, and both must agree.',
    risk: 'Holes in the wrong place put the whole instrument out of tune.',
    wayBack: 'Plug with dowel of the same grain, wait, drill anew.',
  },
  axisBeforeScrews: {
    why: 'The neck lies on its axis, tried by two threads to the bridge: its screws are marked like that.',
    risk: 'The screws pull it aside, and the strings run off the board.',
    wayBack: 'Hardwood dowel, a day to dry; marked anew with the neck on its axis.',
  },
  stringsBeforeHoles: {
    why: 'Neck and bridge laid on show where the strings run: this is placed by them.',
    risk: 'It stands aside of the strings, or in the way of the hand.',
    wayBack: 'Dowel or a block of the same wood, a day to dry, cut anew.',
  },
  dryBeforeGlue: {
    why: 'A glued neck stays as it is: axis, tilt and height are tried dry first.',
    risk: 'A neck glued in crooked steers the strings off the board for good.',
    wayBack: 'Within minutes pull it and wipe both clean; later heat and a thin knife, and the joint is made anew.',
  },
  curesBeforeTrial: {
    why: 'What will not go is put right before everything is put together.',
    risk: 'The trial build stops at it, or it is forced and an edge splits.',
    wayBack: 'Apart again as far as it asks, put it right, go on from there.',
  },
  seatBeforePlace: {
    why: 'The neck sits right in its pocket before anything is measured from it.',
    risk: 'The bridge’s place, taken from a neck that moves later, is wrong by as much as it moves.',
    wayBack: 'Seat it, then take the place anew before a hole is drilled.',
  },
  pocketBeforePlace: {
    why: 'The neck is laid in its pocket to find axis and place: the pocket is cut first.',
    risk: 'A neck held where its pocket will be lies a millimetre beside it, and the holes marked by it with it.',
    wayBack: 'Cut the pocket, take axis and place anew before a hole is drilled.',
  },
  holesBeforeHarness: {
    why: 'Controls are wired where they sit: what they sit in is drilled first.',
    risk: 'The harness comes off again to drill, and plastic dust gets into pots and switch.',
    wayBack: 'Controls out of it with their wires on, bagged; drill, brush clean, put them back.',
  },
  jobBeforeHoles: {
    why: 'What is cut or packed there moves where the hole comes.',
    risk: 'The hole lies beside what it is for.',
    wayBack: 'Plug with dowel of the same grain, wait, drill anew.',
  },
  sandedBeforeFilm: {
    why: 'Film shows every scratch under it: the wood is sanded to its last grit first.',
    risk: 'Scratches and fuzz come up with the first coat.',
    wayBack: 'Let it dry, sand back to level, wipe, begin with the first coat again.',
  },
  layerOverLayer: {
    why: 'Each layer goes on the one before it, in the order of its own system.',
    risk: 'A layer that was left out cannot be put under the others; a strong one over a weak one wrinkles it.',
    wayBack: 'Stop, let it dry, sand back to what is sound, go on from there.',
  },
  coatsBeforeSealing: {
    why: 'Holes are sealed over the last coat, by hand, with a stick.',
    risk: 'Coats after it close the holes or run from them.',
    wayBack: 'Clear the hole with a bit turned by hand, seal it anew.',
  },
  waxLast: {
    why: 'Wax goes on the polished film; nothing sticks to it and nothing cuts through it.',
    risk: 'Polish over wax smears, and no coat holds on it.',
    wayBack: 'Wipe the wax off with its own solvent, polish, wax anew.',
  },
  cureBeforeRub: {
    why: 'Film has to harden before it is rubbed out.',
    risk: 'Soft film tears, sinks into the grain and prints later.',
    wayBack: 'Stop, wait the full time, level and start again at the first grit.',
  },
  polishBeforeHardware: {
    why: 'Rub out before any hardware goes on.',
    risk: 'Compound packs round the hardware and edges are rubbed through.',
    wayBack: 'Take the hardware off again before going on.',
  },
  seatedBeforeSolder: {
    why: 'What is soldered sits in its place first: nuts, washers and openings are right before wires hold it there.',
    risk: 'It is unsoldered again to get a nut or a washer on.',
    wayBack: 'Unsolder its hot leads, put it right, solder them again.',
  },
  leadsBeforeSolder: {
    why: 'A lead that is too short is cut anew, or lengthened, before it is soldered in.',
    risk: 'It is soldered twice.',
    wayBack: 'Unsolder that lead at its near end, renew or splice it, sleeve the joint, test at the jack.',
  },
  solderedBeforeClosed: {
    why: 'Pickups are soldered and the harness tested before anything closes over it.',
    risk: 'It is opened again; days go by hunting a fault in a closed box.',
    wayBack: 'Open in reverse order, test at the jack, close again.',
  },
  holesBeforeWet: {
    why: 'Water creeps into bare holes: every one is sealed before any wet sanding.',
    risk: 'The wood swells round tuner and screw holes and the film cracks there; nothing simple mends it.',
    wayBack: 'Let it dry for days; what stays cracked is hidden under bushings and washers.',
  },
  shieldedBeforeClosed: {
    why: 'The hollows are lined and their lining is checked with everything in its place.',
    risk: 'A lining put in afterwards shorts what it touches, where nobody sees it.',
    wayBack: 'Everything out again, line, tape the live lugs, test at the jack.',
  },
  groundBeforeBridge: {
    why: 'The string ground is fixed before the strings pull the springs tight.',
    risk: 'Strings without a ground hum until the claw is reached again.',
    wayBack: 'Slacken, take the cover off, solder to the claw.',
  },
  groundBeforePosts: {
    why: 'The ground wire is pinched under a stud’s bushing, so that it goes in first.',
    risk: 'Without it the strings hum, and a pressed bushing comes out only with the wood round it.',
    wayBack: 'Draw the bushing by its stud against washers, lay the wire, press it in again.',
  },
  groundBeforeFed: {
    why: 'The string ground is led in while nothing is in its way: the harness is soldered to it in front of the sound hole.',
    risk: 'Behind a harness no hand reaches where it goes, and its other end no iron.',
    wayBack: 'Draw the harness out again as far as it has to come, lead the wire in, solder it on.',
  },
  groundUnderPlate: {
    why: 'The ground wire lies under the bridge’s plate.',
    risk: 'Strings without a ground hum until the plate is lifted again.',
    wayBack: 'Slacken, lift the plate, lay the wire, screw it down.',
  },
  closedBeforeStrings: {
    why: 'The strings lie over the guard: it is tested and closed before they go on.',
    risk: 'The strings come off again for whatever hums or is dead under it.',
    wayBack: 'Slacken all evenly, lift the guard at the side of the controls, mend, close, string up anew.',
  },
  finger: {
    why: 'It goes on finger-tight, is lined up with what stands beside it, and is tightened in one pass with the rest.',
    risk: 'What is tightened first stands where it happened to stand, and pulls the next one out of line.',
    wayBack: 'Loosen all of it a turn, line it up, tighten crosswise.',
  },
  tightBeforePull: {
    why: 'The strings pull on all of it: it is tight before they do.',
    risk: 'The neck shifts, a post leans, a tuner turns in its hole.',
    wayBack: 'Slacken the strings, line up, tighten, tune again.',
  },
  woundAsWanted: {
    why: 'How a string goes round its post is settled before it is cut.',
    risk: 'Cut for two turns it is too short for more, and a new one is bought.',
    wayBack: 'Leave it until the next set, or hold it down by a string tree.',
  },
  nutBeforeStrings: {
    why: 'The strings lie in the nut: it sits fast before they pull.',
    risk: 'It tips or creeps under the pull, and every slot stands somewhere else.',
    wayBack: 'Slacken the strings, set it right, let it hold, tune again.',
  },
  stringsBeforeSetup: {
    why: 'Everything in a setup is measured with the strings at pitch.',
    risk: 'Numbers taken slack mean nothing.',
    wayBack: 'String up, tune, start at the relief.',
  },
  treeByStrings: {
    why: 'A string tree is placed by the strings it holds.',
    risk: 'Beside their line it pulls them sideways over the nut.',
    wayBack: 'A sliver of hardwood and glue, drilled anew; the foot hides it.',
  },
  holeAfterHole: {
    why: 'The one is marked by the other.',
    risk: 'Marked too early, the hole comes where nothing will meet it.',
    wayBack: 'Plug, wait, drill anew.',
  },
  setupOrder: {
    why: 'Relief, balance, nut, action, pitch: each moves the next.',
    risk: 'The next adjustment undoes this one.',
    wayBack: 'Go back to the first that is open and work down again.',
  },
  rightBeforeOn: {
    why: 'What is filed, packed or exchanged is right before it goes on.',
    risk: 'It comes off again, and with it whatever went on over it.',
    wayBack: 'Loosen what lies over it, take it off, put it right, put it back.',
  },
  nutSeatedFirst: {
    why: 'The nut is fitted to its slot, and brought to its height, before it is glued there.',
    risk: 'It comes off again to be shimmed or thinned, and its slots are cut anew.',
    wayBack: 'Knock it off lengthwise with a block, clean the slot, fit it, glue it again.',
  },
  treeBeforeSetup: {
    why: 'The tree decides how steeply its strings leave the nut: it is on before any number is taken.',
    risk: 'Pitch and nut slots of its strings are another matter once it pulls them down.',
    wayBack: 'Tune again, then nut, action and pitch of those strings anew.',
  },
  checkedOutside: {
    why: 'What was soldered on the bench is tested there, where every lug is in reach.',
    risk: 'A fault is looked for through the hollow’s opening, or all of it comes out again.',
    wayBack: 'Test at the jack; what is dead comes out with its control.',
  },
  fretsBeforeNut: {
    why: 'The nut is glued and cut to frets that are level.',
    risk: 'Levelled later, frets lie lower under every slot: the whole nut is cut anew, or comes off again.',
    wayBack: 'Knock it off lengthwise with a block, clean the slot, level the frets, then glue and cut.',
  },
  heardFirst: {
    why: 'A rescue is strung and heard before it is cleaned.',
    risk: 'Afterwards nobody knows which fault was there and which was made.',
    wayBack: 'Go by the log and by the pictures; test each part on its own.',
  },
  notedFirst: {
    why: 'Action, tilt, outline, leads and screws are noted while they still stand.',
    risk: 'How it stood is gone with the first screw, and nobody knows where each came from.',
    wayBack: 'Note what still stands; read the old place of bridge and neck from their marks on the wood.',
  },
  playsUntilThen: {
    why: 'It plays until it is taken apart: what goes on instead is here first.',
    risk: 'It lies in pieces until the parcel comes.',
    wayBack: 'String it up again as it was; or measure what lies open meanwhile.',
  },
  apartFirst: {
    why: 'It is taken apart before it is worked on.',
    risk: 'A bit or a file slips into what is still on it; chips lie in its electrics.',
    wayBack: 'Stop, take it apart, blow it out, look at every edge.',
  },
  partsFirst: {
    why: 'The part has to be in hand.',
    risk: 'Listed sizes differ from real ones; a hole drilled for a listing may not fit.',
    wayBack: 'Wait for the parcel, or measure before cutting.',
  },
} as const satisfies Record<string, Omit<Before, 'id'>>

export const before = (id: string, because: keyof typeof BECAUSE): Before => ({ id, ...BECAUSE[because] })

/** Everything that went on finger-tight, tightened once. */
export const CLOSING_PASS = 'closing-pass'

/** Taking apart what is here: everything else is done to its parts. */
export const APART = 'take-apart'

/** The parcels among earlier steps that bring one of these parts. */
export const parcelsOf = (slots: readonly Slot[], earlier: readonly Step[]): Before[] =>
  earlier
    .filter((s) => s.stage === 'parcel' && slots.some((slot) => s.slot === slot || s.slots?.includes(slot)))
    .map((s) => before(s.id, s.id === APART ? 'apartFirst' : 'partsFirst'))

/** The parcels that bring these parts, and what is put right on them in the hand. */
export const rightBefore = (slots: readonly Slot[], earlier: readonly Step[]): Before[] => [
  ...parcelsOf(slots, earlier),
  ...earlier
    .filter((s) => s.station === 'fit' && s.stage === 'hardware' && s.slots?.some((slot) => slots.includes(slot)))
    .map((s) => before(s.id, 'rightBeforeOn')),
]

/** Does a film go on still? Whatever is mounted comes off for it, and goes on again. */
export const refinished = (build: Build, earlier: readonly Step[]): boolean =>
  earlier.some((s) => s.stage === 'film' && !build.steps[s.id]?.done)

/** The last step of the film, after which hardware goes on. */
export const onceFilmIsHard = (earlier: readonly Step[]): Before[] =>
  earlier
    .filter((s) => s.stage === 'film')
    .slice(-1)
    .map((s) => before(s.id, 'polishBeforeHardware'))
