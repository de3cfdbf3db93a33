/** The eight stations of the bench, in the order of the tool roll. */
export const STATIONS = ['parts', 'fit', 'drill', 'wire', 'finish', 'setup', 'plan', 'log'] as const
export type Station = (typeof STATIONS)[number]
