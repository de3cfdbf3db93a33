import { useMemo, useSyncExternalStore } from 'react'
import { usePrefs } from '../state/prefs'
import { inks } from './inks'

const NAMES = ['ink', 'soft', 'hairline', 'violet', 'copper', 'snug', 'mind', 'wont', 'metal'] as const

const FORCED = '(forced-colors: active)'
const query = typeof matchMedia === 'undefined' ? undefined : matchMedia(FORCED)
const subscribe = (hear: () => void) => {
  query?.addEventListener('change', hear)
  return () => query?.removeEventListener('change', hear)
}

/** The theme's inks as values, anew when the theme or the system's colours change. */
export function useThemeColours(): Record<(typeof NAMES)[number], string> {
  const theme = usePrefs((p) => p.theme)
  const forced = useSyncExternalStore(subscribe, () => query?.matches ?? false)
  return useMemo(() => {
    void theme
    void forced
    return inks(NAMES)
  }, [theme, forced])
}
