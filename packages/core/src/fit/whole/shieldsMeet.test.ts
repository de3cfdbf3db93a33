import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

describe('shields', () => {
  judgeRows([
    {
      what: 'nothing joins them',
      joint: 'shields-meet',
      check: 'closed',
      verdict: 'tight',
      says: 'The box is open: the cavity is not lined, nothing joins the two.',
      job: 'Line both and join them: a tab of foil folded over the cavity’s edge, or a wire.',
      traits: { 'shielding/tab': 'none', 'body/shield': 'none' },
    },
  ])
})
