import { VERDICT_WORD, type Verdict } from '@snug/core'

const TONE: Record<Verdict, string> = {
  snug: 'text-snug',
  loose: 'text-mind',
  tight: 'text-mind',
  'wont-go': 'text-wont',
  'cant-tell': 'text-cant',
}

export const VerdictWord = ({ verdict }: { verdict: Verdict }) => (
  <span className={`label text-[1.08em] font-semibold tracking-[0.045em] ${TONE[verdict]}`}>{VERDICT_WORD[verdict]}</span>
)
