import type { Cure } from '../../judge/joint'

/** What no job on the wood puts right: read again first, and where it is so, another panel. @param places “the place of the jack and of the control route” */
export const elsewhere = (id: string, places: string, panel: string, how: string): Cure => ({
  id,
  job: `Read ${places} again; if both are right, take another ${panel}.`,
  how,
  gives: 'the part',
  tools: ['rule'],
})
