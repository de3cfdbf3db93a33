import { wordOf, type Verdict } from '@snug/core'

const TONE: Record<Verdict, string> = {
  snug: 'text-snug',
  loose: 'text-mind',
  tight: 'text-mind',
  'wont-go': 'text-wont',
  'cant-tell': 'text-cant',
}

/** A verdict in its colour; what is no fit but a condition goes by words of its own. */
export const VerdictWord = ({ verdict, condition }: { verdict: Verdict; condition?: boolean | undefined }) => (
  <span className={`label text-[1.08em] font-semibold tracking-[0.045em] ${TONE[verdict]}`}>{wordOf(verdict, condition)}</span>
)
