/** What is looked at before any number is taken. [practice] */
export const FIRST_LINES = [
  'Both outer strings lie on the board all the way to the last fret.',
  'No string sings or rattles behind the nut or at the tuners.',
  'Strings clear the bridge’s back and every screw head.',
  'Stretched and tuned three times, at pitch now.',
] as const
