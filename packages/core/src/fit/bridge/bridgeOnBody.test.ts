import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

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
      job: 'Take the bridge with a block of 43.2 mm or less.',
      sizes: { 'bridge/block.depth': 47 },
    },
  ])
})
