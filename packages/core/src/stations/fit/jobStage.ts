import { effectsOf, type PlannedJob } from '../../document/build'
import type { Cure } from '../../judge/joint'
import type { Stage } from '../../plan/step'

/** Work that is done with the finished parts in hand, whatever size of the wood it stands for. */
const AT_ASSEMBLY = /\b(shim|plate|strip|washers?|wrap|tape|turn|set|put|raise|lower|find|take|leave)\b/i
/** Work on wood that takes nothing away from a part, and still makes dust or wants glue under the film. */
const ON_WOOD = /^(or )?(plug|line|glue|fill|scrape|square|drill|ream|deepen|widen|lengthen|cut|rout|ease|open)\b/i
const WIRING = /\b(solder|lead|leads|wires?|foil|line both|pots? of|25 k pots|stereo jack)\b/i
const STRINGS = /\b(wind string|strings?|saddles?)\b/i
/** The nut's slots are filed with the strings on; everything else about it is seen to before it is glued. */
const NUT_SLOTS = /\bthe slots\b/i
/** It is placed by its strings. */
const TREE = /\bstring trees?\b/i
/** What is done while they go on, or before one is cut. */
const AS_THEY_GO_ON = /^(or )?(wind|lock|hold|lay) (the )?strings?\b/i
/** Between neck and pocket, whatever it does to the strings. */
const TILT = /^(or )?((tilt|tip) the neck|lift the strings)\b/i
/** A body or neck that has to be another is so before it is sanded. */
const OTHER_WOOD = /^exchange\b.*\b(body|neck)\b(?! (pickup|screws))/i
/** A strip glued to the body is wood like the rest of it. */
const GLUED_IN = /^(or )?glue a strip\b/i

/**
 * To which stage a job belongs: only what cuts, glues or plugs body and neck waits for nothing and has to be done before the wood is sanded.
 * @param gives which part gives way
 */
function stageOf(job: string, gives: string | undefined): Stage {
  if (TREE.test(job)) return 'strings'
  const wood = gives === 'body' || gives === 'neck' || gives === 'the body' || gives === 'the neck'
  if (wood || GLUED_IN.test(job) || OTHER_WOOD.test(job)) return 'wood'
  if (TILT.test(job) || /\bshim the nut\b/i.test(job)) return 'hardware'
  if (gives === 'nut' || gives === 'the nut') return NUT_SLOTS.test(job) ? 'strings' : 'hardware'
  if (gives === 'nothing' && ON_WOOD.test(job) && !AT_ASSEMBLY.test(job.split(/[:,]/)[0]!) && !WIRING.test(job)) return 'wood'
  if (WIRING.test(job)) return 'wiring'
  if (gives === 'nothing' && STRINGS.test(job)) return 'strings'
  return 'hardware'
}

/** Once a string is cut and at pitch it is too late for it. */
export const isForStringing = (job: string): boolean => AS_THEY_GO_ON.test(job)

export const stageOfCure = (cure: Pick<Cure, 'job' | 'gives'>): Stage => stageOf(cure.job, cure.gives)

/** A job planned on paper: what it takes from body or neck is work on wood, but for what only lies between them. */
export function stageOfPlanned(job: PlannedJob): Stage {
  const slots = effectsOf(job).map((e) => e.slot)
  const wood = slots.find((s) => s === 'body' || s === 'neck')
  if (wood && !/\b(shim|plate|strip|washers?)\b/i.test(job.text)) return 'wood'
  return stageOf(job.text, wood ? 'nothing' : slots[0])
}
