import type { ReactNode } from 'react'

export const KeyCap = ({ children }: { children: ReactNode }) => (
  <kbd className="figure inline-grid min-w-6 place-items-center rounded border border-hairline bg-sheet px-1.5 text-[12px] leading-5 text-ink">
    {children}
  </kbd>
)
