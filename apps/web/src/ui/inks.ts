/**
 * The theme's inks as values, for charts that cannot read style sheets.
 * Where the system says its own colours the inks are names of these, which only a laid-out element knows the values of.
 */
export function inks<N extends string>(names: readonly N[]): Record<N, string> {
  const probe = document.createElement('i')
  probe.style.setProperty('forced-color-adjust', 'none')
  document.body.append(probe)
  const value = (name: N) => {
    probe.style.color = `var(--${name})`
    return getComputedStyle(probe).color
  }
  const all = Object.fromEntries(names.map((n) => [n, value(n)])) as Record<N, string>
  probe.remove()
  return all
}
