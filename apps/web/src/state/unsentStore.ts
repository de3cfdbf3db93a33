import type { Change } from '@snug/core'

/**
 * Changes on their way, kept in the browser until the server has them: closing the window, or the server being away, loses none.
 * Each window keeps its own, under its own name; what a closed window left is taken over by the next that opens the build.
 */
const PREFIX = 'snug-unsent/'
const me = Math.random().toString(36).slice(2)
const keyOf = (build: string) => `${PREFIX}${build}/${me}`

// Held for as long as this window lives; another window that asks for it gets it the moment this one is gone.
void navigator.locks?.request(`${PREFIX}${me}`, () => new Promise(() => undefined))

export function keepUnsent(build: string, changes: readonly Change[]): void {
  try {
    if (changes.length) localStorage.setItem(keyOf(build), JSON.stringify(changes))
    else localStorage.removeItem(keyOf(build))
  } catch {
    // A browser that keeps nothing, or no more: the changes stay in the window, and the sill says that they wait.
  }
}

const keys = () => Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((k) => k.startsWith(PREFIX))

/** Builds for which some window has kept unsent changes. */
export const buildsWithUnsent = (): string[] => [...new Set(keys().map((k) => k.slice(PREFIX.length, k.lastIndexOf('/'))))]

/**
 * Hands over what windows that are gone kept of a build, at once or as soon as they go; what a living window keeps is its own.
 */
export function adoptUnsent(build: string, adopt: (changes: Change[]) => void): void {
  for (const key of keys().filter((k) => k.startsWith(`${PREFIX}${build}/`) && k !== keyOf(build))) {
    const take = () => {
      const kept = localStorage.getItem(key)
      localStorage.removeItem(key)
      const changes = kept === null ? [] : asChanges(kept)
      if (changes.length) adopt(changes)
    }
    const owner = `${PREFIX}${key.slice(key.lastIndexOf('/') + 1)}`
    if (navigator.locks) void navigator.locks.request(owner, take)
    else take()
  }
}

function asChanges(kept: string): Change[] {
  try {
    const read = JSON.parse(kept) as unknown
    return Array.isArray(read) ? (read as Change[]) : []
  } catch {
    return []
  }
}
