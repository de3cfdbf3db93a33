/** The eight stations of the bench with their names, in the order of the tool roll. */
export const STATION_NAME = {
  parts: 'Parts',
  fit: 'Dry fit',
  drill: 'Drill',
  wire: 'Wire',
  finish: 'Finish',
  setup: 'Set up',
  plan: 'Plan',
  log: 'Log',
} as const
export type Station = keyof typeof STATION_NAME
export const STATIONS = Object.keys(STATION_NAME) as Station[]
