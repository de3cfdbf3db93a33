/** Median of `runs` timings of `act`, in milliseconds, after one warm-up. */
export async function median(runs: number, act: () => unknown): Promise<number> {
  await act()
  const times: number[] = []
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    await act()
    times.push(performance.now() - start)
  }
  return times.toSorted((a, b) => a - b)[Math.floor(runs / 2)]!
}

export const row = (what: string, much: number, beside = '', unit = 'ms') =>
  console.log(`${what.padEnd(64)} ${much.toFixed(2).padStart(9)} ${unit}  ${beside}`)
