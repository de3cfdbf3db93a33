import { isVibrato } from '../../instrument/vibrato'
import { aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Question } from '../../judge/joint'
import { gapOf, sizeIn, traitIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Wood wanted round a stud in a centre block, mm. [practice] */
const BLOCK_WALL = 3

/** Only a vibrato has a block below its plate. */
const swings = (build: Build): boolean => isVibrato(traitIn(build, 'bridge', 'mount'))

/** It ends so far inside the back, mm. [practice] */
const INSIDE = 1

/** A vibrato's block inside the body. */
export function blockDepth(build: Build): Question[] {
  if (!swings(build)) return []
  const deep = sizeIn(build, sizeRef('bridge', 'block.depth'))
  const body = sizeIn(build, sizeRef('body', 'thickness'))
  if (deep.value <= 0) return []
  const c = gapOf([
    [1, body],
    [-1, deep],
  ])
  return [
    {
      id: 'block',
      label: 'Block inside the body',
      clearance: c,
      bands: [
        { upTo: -1, is: 'wont-go' },
        { upTo: INSIDE, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The block ends ${printMm(likelyOf(c), 1)} mm inside the back.`
          : `The block is ${printMm(deep.value, 1)} mm deep in ${aMm(body.value, 1)} body.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'short-block',
                job: `Take the bridge with a block of ${printMm(Math.floor((body.value - INSIDE) * 10) / 10, 1)} mm or less.`,
                how: 'Thin bodies have their own.',
                gives: 'the bridge',
                tools: [],
              },
            ],
    },
  ]
}

/** How far the arm may swing the plate either way, degrees. [practice] */
export const SWING = 14

/** A vibrato's block swings in its route: its own length and what its depth sweeps. [physics] */
export function blockSwing(build: Build): Question[] {
  if (!swings(build)) return []
  const refs = { route: sizeRef('body', 'vibrato.length'), depth: sizeRef('bridge', 'block.depth') }
  const route = sizeIn(build, refs.route)
  const depth = sizeIn(build, refs.depth)
  if (depth.value <= 0) return []
  const length = sizeIn(build, sizeRef('bridge', 'block.length'))
  const sweep = Math.tan((SWING * Math.PI) / 180)
  const free = gapOf([
    [1, route],
    [-1, length],
    [-sweep, depth],
  ])
  return [
    {
      id: 'swing',
      label: 'Route left when the block swings',
      clearance: free,
      bands: [
        { upTo: -6, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The block swings freely, ${printMm(likelyOf(free), 1)} mm to spare.`
          : `The block strikes the route’s wall ${printMm(Math.abs(likelyOf(free)), 1)} mm before the arm is down.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'lengthen-vibrato-route',
                job: `Lengthen the vibrato route by ${printMm(1 - likelyOf(free), 1)} mm on the tail side.`,
                how: 'Bearing bit from the back, both hands; before any coat goes on.',
                gives: 'body',
                tools: ['router', 'bearing bit'],
                plan: { slot: 'body', size: 'vibrato.length', delta: 1 - likelyOf(free), doubt: 0.5 },
              },
            ],
    },
  ]
}

/** In a hollow body the studs stand in the centre block with wood round them. */
export function inCentreBlock(build: Build, slot: 'bridge' | 'tailpiece'): Question[] {
  if (traitIn(build, 'body', 'build') === 'solid') return []
  const refs = { block: sizeRef('body', 'block.width'), studs: sizeRef(slot, 'studSpacing'), diameter: sizeRef(slot, 'studDiameter') }
  const [block, studs, diameter] = [sizeIn(build, refs.block), sizeIn(build, refs.studs), sizeIn(build, refs.diameter)]
  const wall = gapOf([
    [0.5, block],
    [-0.5, studs],
    [-0.5, diameter],
  ])
  return [
    {
      id: 'in-block',
      label: 'Block’s wood beside the studs',
      clearance: linear([[1, wall]], -BLOCK_WALL),
      shown: wall,
      bands: [
        { upTo: -BLOCK_WALL, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        likelyOf(wall) < 0
          ? `The studs stand ${printMm(-likelyOf(wall), 1)} mm outside the centre block: there is only the top to hold them.`
          : `${printMm(likelyOf(wall), 1)} mm of the centre block stands beside each stud; ${BLOCK_WALL} is wanted.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `widen-block-${slot}`,
                job: `Glue hardwood to the block’s sides until it is ${printMm(block.value + 2 * (BLOCK_WALL + 1 - likelyOf(wall)), 0)} mm wide.`,
                how: 'Through the pickup routes or the sound hole; clamp with wedges. Before any drilling.',
                gives: 'nothing',
                tools: ['wood', 'wood glue', 'clamp'],
                plan: { slot: 'body', size: 'block.width', delta: 2 * (BLOCK_WALL + 1 - likelyOf(wall)), doubt: 1 },
              },
            ],
    },
  ]
}
