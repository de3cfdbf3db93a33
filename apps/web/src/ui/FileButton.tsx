import { useRef, type ComponentProps, type ReactNode } from 'react'
import { Button } from './Button'

/** A button that asks for one file; the same may be chosen again. @param name what the field behind it is called */
export function FileButton({
  name,
  accept,
  onFile,
  look,
  className,
  children,
}: {
  name: string
  accept: string
  onFile: (file: File) => void
  look?: ComponentProps<typeof Button>['look']
  className?: string
  children: ReactNode
}) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={name}
        className="sr-only"
        // The button below is what is reached and read; this would be a second one that nobody sees.
        tabIndex={-1}
        aria-hidden
        onChange={(e) => {
          const file = e.target.files?.[0]
          if (file) onFile(file)
          e.target.value = ''
        }}
      />
      <Button {...(look ? { look } : {})} {...(className ? { className } : {})} onClick={() => input.current?.click()}>
        {children}
      </Button>
    </>
  )
}
