import { aPart, type Sizes } from './bench'

/** A plain body and neck that go together, for cases that turn on one or two sizes. */
export const BODY: Sizes = {
  thickness: 44,
  'pocket.widthMouth': 56.3,
  'pocket.widthEnd': 56.3,
  'pocket.length': 76,
  'pocket.depth': 16,
  'pocket.radius': 5,
  mouthToBridge: 230,
}
const NECK: Sizes = {
  'tuner.edge': 12,
  scale: 647.7,
  frets: 22,
  nutToHeelEnd: 490,
  boardLength: 490,
  'heel.widthMouth': 56,
  'heel.widthEnd': 56,
  'heel.thickness': 25.4,
  'heel.radius': 6,
  'nut.width': 42,
  'board.widthEnd': 56,
  crown: 1.1,
  'head.thickness': 14,
}
export const body = (more: Sizes = {}, traits: Record<string, string> = {}) =>
  aPart('body', { ...BODY, ...more }, { wood: 'alder', grain: 'flat', build: 'solid', ...traits })
export const neck = (more: Sizes = {}, traits: Record<string, string> = {}) =>
  aPart('neck', { ...NECK, ...more }, { wood: 'hard-maple', grain: 'flat', head: 'one-row', row: 'bass', truss: 'head', ...traits })
