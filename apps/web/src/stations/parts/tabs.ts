export const TAB_IDS = ['slots', 'box', 'measure', 'stock', 'choose', 'money', 'paper'] as const
export type PartsTab = (typeof TAB_IDS)[number]
export const TABS: readonly (readonly [PartsTab, string])[] = [
  ['slots', 'Slots'],
  ['box', 'What came'],
  ['measure', 'Measure next'],
  ['stock', 'Stash, offers'],
  ['choose', 'Choose a set'],
  ['money', 'Money'],
  ['paper', 'Paperwork'],
]
