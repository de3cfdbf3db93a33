const PLACES = [
  ['the list', '.ws-list [aria-current=true], .ws-list'],
  ['the thing in hand', '.ws-hand'],
  ['the stations', 'nav[aria-label=Stations] a[aria-current=page]'],
] as const

/** The first stops of the page: past everything that stands on every page, seen only when reached by key. */
export function SkipLinks() {
  return (
    <nav aria-label="Skip to" className="absolute top-0 left-0 z-50 flex">
      {PLACES.map(([name, selector]) => (
        <button
          key={name}
          type="button"
          onClick={() => document.querySelector<HTMLElement>(selector)?.focus()}
          className="label sr-only min-h-11 border border-violet bg-sheet px-4 text-[15px] font-semibold focus:not-sr-only focus:absolute focus:min-h-11 focus:px-4 focus:whitespace-nowrap"
        >
          Skip to {name}
        </button>
      ))}
    </nav>
  )
}
