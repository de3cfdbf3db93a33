/** A sentence begins with a capital. */
export const capital = (s: string): string => s[0]!.toUpperCase() + s.slice(1)
