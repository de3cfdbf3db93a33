import { wordOf, type Verdict } from '@snug/core'

const COLOUR: Record<Verdict, string> = {
  snug: 'var(--snug)',
  loose: 'var(--mind)',
  tight: 'var(--mind)',
  'wont-go': 'var(--wont)',
  'cant-tell': 'var(--cant)',
}

/**
 * A hole and a peg: the peg fills it, rattles in it, is too wide for it, stands square across it, or is not there yet.
 * Told apart by shape; the word stands beside it, and then the mark is silent, or is read out.
 */
export function PegMark({
  verdict,
  condition,
  size = 22,
  silent = false,
}: {
  verdict: Verdict
  condition?: boolean | undefined
  size?: number
  silent?: boolean
}) {
  const c = COLOUR[verdict]
  const name = silent ? { 'aria-hidden': true as const } : { role: 'img', 'aria-label': wordOf(verdict, condition) }
  return (
    <svg width={size} height={size} viewBox="-12 -12 24 24" {...name} className="shrink-0">
      <PegShape verdict={verdict} colour={c} />
    </svg>
  )
}

/** The same shape for use inside another drawing, centred on its origin. */
export function PegShape({ verdict, colour = COLOUR[verdict] }: { verdict: Verdict; colour?: string }) {
  const ring = <circle r="9.5" fill="var(--sheet)" stroke={colour} strokeWidth="2.4" />
  switch (verdict) {
    case 'snug':
      return (
        <>
          {ring}
          <circle r="6.6" fill={colour} />
        </>
      )
    case 'loose':
      return (
        <>
          {ring}
          <circle r="3" cy="3.4" fill={colour} />
        </>
      )
    case 'tight':
      return (
        <>
          <circle r="7.6" fill="var(--sheet)" stroke={colour} strokeWidth="2.2" />
          <rect x="-5.2" y="-11" width="10.4" height="22" rx="1.6" fill={colour} />
        </>
      )
    case 'wont-go':
      return (
        <>
          {ring}
          <rect x="-4.9" y="-4.9" width="9.8" height="9.8" fill={colour} />
        </>
      )
    case 'cant-tell':
      return <circle r="9.5" fill="var(--sheet)" stroke={colour} strokeWidth="2.2" strokeDasharray="3 3" />
  }
}
