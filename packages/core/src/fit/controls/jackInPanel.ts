import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { controlPlace } from '../../instrument/controlPlace'
import { HOLE_OVER } from '../../instrument/holeOver'
import { panelName, type Panel } from '../../instrument/panel'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, sizesIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { THREAD_KEPT } from './potLimits'
import { wideWashers } from './wideWashers'

type Carrier = Panel & { slot: 'control-plate' | 'guard' }

/** A hole this much over the thread leaves the nut nothing to bear on, mm. [practice] */
const HELD = 1
/** Room wanted behind the plug's tip, mm. [practice] */
const BEHIND = 2

/** A jack beside the controls: its hole in what carries them, its thread through it, and the plug in their hollow. */
export function jackInPanelJoint(build: Build, panel: Carrier): JudgedJoint {
  const refs = { hole: sizeRef(panel.slot, 'jack.hole'), thread: sizeRef('jack', 'bore') }
  return judged(build, {
    id: 'jack',
    title: `Jack in the ${panelName(build)}`,
    slots: ['jack', panel.slot, 'body'],
    at: () => controlPlace(build, 'jack'),
    draw: drawnOnceKnown(build, `Jack through the ${panel.name}`, refs, (have) =>
      boreSection({
        title: `Jack through the ${panel.name}`,
        into: panel.role,
        thickness: drawnAt(build, panel.thickness),
        bore: have.hole.value,
        boreDepth: drawnAt(build, panel.thickness),
        plug: {
          label: 'Thread',
          diameter: have.thread.value,
          length: drawnAt(build, sizeRef('jack', 'thread.length')),
          flange: have.thread.value + 6,
        },
      }),
    ),
    asks: asksInPanel(panel),
  })
}

/** What a jack beside the controls is held to. */
export const asksInPanel = (panel: Carrier): ((build: Build) => Question)[] => [(b) => hole(b, panel), (b) => thread(b, panel), room]

function hole(build: Build, panel: Carrier): Question {
  const ref = sizeRef(panel.slot, 'jack.hole')
  const have = sizesIn(build, { hole: ref, thread: sizeRef('jack', 'bore') })
  const c = gapOf([
    [1, have.hole],
    [-1, have.thread],
  ])
  return {
    id: 'hole',
    label: 'Hole minus thread',
    clearance: c,
    bands: [
      { upTo: 0.1, is: 'tight' },
      { upTo: HELD, is: 'snug' },
      { upTo: Infinity, is: 'loose' },
    ],
    says: () => `The hole is ${printMm(have.hole.value, 1)} mm and the jack needs ${printMm(have.thread.value, 1)} mm.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : verdict === 'loose'
          ? [wideWashers('jack')]
          : [
              {
                id: 'ream-jack-hole',
                job: `Ream the jack’s hole in the ${panel.name} to ${printMm(have.thread.value + HOLE_OVER.jack, 1)} mm.`,
                how: 'From both faces, by hand, the part clamped.',
                gives: panel.name,
                tools: ['tapered reamer'],
                plan: { ...ref, delta: HOLE_OVER.jack - likelyOf(c), doubt: 0.1 },
              },
            ],
  }
}

/** How long a jack's thread is, and what its washer and its nut take of it. */
export const THREAD = {
  length: sizeRef('jack', 'thread.length'),
  washer: sizeRef('jack', 'washer.thickness'),
  nut: sizeRef('jack', 'nut.thickness'),
}

function thread(build: Build, panel: Carrier): Question {
  const have = sizesIn(build, { ...THREAD, panel: panel.thickness })
  const spare = gapOf([
    [1, have.length],
    [-1, have.panel],
    [-1, have.washer],
    [-1, have.nut],
  ])
  return {
    id: 'thread',
    label: 'Thread past the nut',
    clearance: spare,
    bands: [
      { upTo: 0, is: 'wont-go' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `The thread stands ${printMm(likelyOf(spare), 1)} mm out of its nut.`
        : `The thread is ${printMm(-likelyOf(spare), 1)} mm too short for ${panel.name}, washer and nut.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'long-jack',
              job: `Take a jack with at least ${printMm(have.length.value - likelyOf(spare) + THREAD_KEPT, 1)} mm of thread.`,
              how: 'Measure it from the shoulder.',
              gives: 'the jack',
              tools: [],
            },
          ],
  }
}

/** The plug goes straight down into the controls' hollow. */
function room(build: Build): Question {
  const have = sizesIn(build, { route: sizeRef('body', 'control.depth'), jack: sizeRef('jack', 'depth') })
  const c = gapOf([
    [1, have.route],
    [-1, have.jack],
  ])
  return {
    id: 'room',
    label: 'Route under the plug’s tip',
    clearance: c,
    bands: [
      { upTo: 0, is: 'wont-go' },
      { upTo: BEHIND, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      likelyOf(c) < 0
        ? `The jack with its plug in is ${printMm(have.jack.value, 1)} mm deep and the control route ${printMm(have.route.value, 1)} mm: the plug meets its floor.`
        : `The plug ends ${printMm(likelyOf(c), 1)} mm above the control route’s floor.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'deepen-under-jack',
              job: `Deepen the control route under the jack by ${printMm(BEHIND + 0.5 - likelyOf(c), 1)} mm, to ${printMm(have.route.value + BEHIND + 0.5 - likelyOf(c), 1)} mm.`,
              how: 'Waste drilled out first, then a bearing bit; mind the wood left below. Before any coat goes on.',
              gives: 'body',
              tools: ['router', 'bearing bit'],
              plan: { slot: 'body', size: 'control.depth', delta: BEHIND + 0.5 - likelyOf(c), doubt: 0.5 },
            },
            {
              id: 'low-jack',
              job: `Or take a jack no deeper than ${printMm(Math.floor(have.route.value - BEHIND), 0)} mm with its plug in.`,
              how: 'Open ones are lower than closed barrels; push a plug in before measuring.',
              gives: 'the jack',
              tools: [],
            },
          ],
  }
}
