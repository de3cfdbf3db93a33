const RATIO = (Math.sqrt(5) - 1) / 2

/**
 * Where a function with one valley between two places is lowest, by golden section: one further look at the function a step
 * (a textbook method, from memory).
 * @param width how near the answer has to lie, in the unit of the place
 */
export function lowestAt(f: (at: number) => number, from: number, to: number, width: number): number {
  let [a, b] = [from, to]
  let [x, y] = [b - RATIO * (b - a), a + RATIO * (b - a)]
  let [fx, fy] = [f(x), f(y)]
  while (b - a > width) {
    if (fx <= fy) {
      b = y
      y = x
      fy = fx
      x = b - RATIO * (b - a)
      fx = f(x)
    } else {
      a = x
      x = y
      fx = fy
      y = a + RATIO * (b - a)
      fy = f(y)
    }
  }
  return (a + b) / 2
}
