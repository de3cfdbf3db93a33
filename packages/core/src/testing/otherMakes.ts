import type { Build } from '../document/build'
import { changed, fullBuild, without } from './fullBuild'

/** The build on which everything fits, made for the other hand. */
export const aLefty = (): Build => ({
  ...changed(fullBuild(), {}, { 'body/hand': 'left', 'neck/hand': 'left', 'guard/hand': 'left', 'tuners/hand': 'left' }),
  handedness: 'left',
})

const thou = (gauges: readonly number[]) => Object.fromEntries(gauges.map((t, i) => [`strings/gauge.${i + 1}`, t * 0.0254]))

/** Twelve strings in six courses, on a neck with two rows of tuners. */
export const aTwelve = (): Build => ({
  ...changed(
    without(fullBuild(), 'springs'),
    {
      ...thou([10, 10, 14, 14, 8, 23, 12, 30, 18, 39, 27, 47]),
      'strings/core.4': undefined,
      'strings/core.5': undefined,
      'strings/core.6': undefined,
      'strings/wound': 5,
      'tuners/count': 12,
      'neck/tuner.offset': 22,
      'neck/tuner.slant': 0,
      'neck/nut.width': 48,
      'nut/length': 48,
      'nut/spread': 41,
    },
    { 'neck/head': 'two-rows', 'bridge/mount': 'screws', 'tuners/hand': 'either' },
  ),
  strings: 12,
})

/** Eight strings in one row, everything across the strings wider. */
export const anEight = (): Build => ({
  ...changed(fullBuild(), {
    ...thou([9, 11, 16, 24, 34, 46, 60, 74]),
    'strings/wound': 5,
    'tuners/count': 8,
    'tuners/housing.width': 20,
    'tuners/string.hole': 2.4,
    'bridge/string.hole': 2.4,
    'neck/tuner.pitch': 22,
    'neck/tuner.offset': 24,
    'neck/nut.width': 54,
    'neck/board.widthEnd': 77,
    'neck/heel.widthMouth': 76.35,
    'neck/heel.widthEnd': 76.35,
    'body/pocket.widthMouth': 76.55,
    'body/pocket.widthEnd': 76.55,
    'body/studSpacing': 95,
    'bridge/studSpacing': 95,
    'bridge/spread': 73.5,
    'bridge/plate.width': 105,
    'nut/spread': 47.3,
    'nut/length': 54,
    'guard/neck.width': 77.3,
    ...Object.fromEntries(
      (['neck', 'middle', 'bridge'] as const).flatMap((place) => [
        [`pickup-${place}/width`, 92.4],
        [`pickup-${place}/ears.span`, 95],
        [`body/route.${place}.width`, 97],
        [`guard/opening.${place}.width`, 93],
      ]),
    ),
    'pickup-neck/poles.spread': 68,
    'pickup-middle/poles.spread': 70,
    'pickup-bridge/poles.spread': 72,
  }),
  strings: 8,
})
