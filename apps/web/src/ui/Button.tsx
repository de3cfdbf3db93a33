import type { ButtonHTMLAttributes } from 'react'

type Look = 'plain' | 'main' | 'quiet'
const LOOK: Record<Look, string> = {
  main: 'border-violet bg-violet text-on-violet hover:opacity-90',
  plain: 'border-hairline bg-sheet text-ink hover:border-violet',
  quiet: 'border-transparent bg-transparent text-ink underline decoration-hairline underline-offset-4 hover:decoration-violet',
}

export function Button({ look = 'plain', className = '', ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return (
    <button
      type="button"
      className={`label inline-flex min-h-10 items-center gap-2 rounded border px-3 text-[15px] font-semibold disabled:cursor-default disabled:opacity-45 ${LOOK[look]} ${className}`}
      {...rest}
    />
  )
}
