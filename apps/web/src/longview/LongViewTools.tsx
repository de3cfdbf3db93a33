import type { ReactNode } from 'react'

export const Tool = ({ label, onClick, children }: { label: string; onClick: () => void; children: ReactNode }) => (
  <button
    type="button"
    aria-label={label}
    title={label}
    onClick={onClick}
    className="grid size-10 place-items-center text-soft hover:text-violet"
  >
    {children}
  </button>
)
