/** Tools some jobs cannot be done without, by the words the cures name them with. [practice] */
export const BENCH_TOOLS = [
  'router',
  'reamer',
  'drill stand',
  'long bit',
  'drill',
  'chisel',
  'plane',
  'file',
  'clamp',
  'dowel',
  'soldering iron',
  'scraper',
] as const

const names = (words: string, tool: string) => new RegExp(`\\b${tool}s?\\b`).test(words)

/** Can a job be done without the tools a person lacks? "Router or wide flat bit" can be done with either. */
export const canDo = (tools: readonly string[], lacking: readonly string[]): boolean =>
  tools.every((entry) => entry.split(' or ').some((way) => !lacking.some((tool) => names(way, tool))))
