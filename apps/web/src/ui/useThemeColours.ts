import { useMemo } from 'react'
import { usePrefs } from '../state/prefs'

const NAMES = ['ink', 'soft', 'hairline', 'violet', 'copper', 'snug', 'mind', 'wont', 'metal'] as const
type Inks = Record<(typeof NAMES)[number], string>

/** The theme's inks as values, for charts that cannot read style sheets. */
export function useThemeColours(): Inks {
  const theme = usePrefs((p) => p.theme)
  return useMemo(() => {
    void theme
    const style = getComputedStyle(document.documentElement)
    return Object.fromEntries(NAMES.map((n) => [n, style.getPropertyValue(`--${n}`).trim()])) as Inks
  }, [theme])
}
