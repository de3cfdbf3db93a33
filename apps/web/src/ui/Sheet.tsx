import { Dialog } from 'radix-ui'
import { useEffect, useRef, type ReactNode } from 'react'

/** A sheet of paper laid over the bench. */
export function Sheet({
  open,
  onOpenChange,
  title,
  about,
  children,
}: {
  open: boolean
  onOpenChange: (open: boolean) => void
  title: string
  about?: string
  children: ReactNode
}) {
  const before = useRef<EventTarget | null>(null)
  useEffect(() => {
    if (open) return
    // What is in the sheet takes the focus before anybody is told that it opened.
    const note = ({ target }: FocusEvent) => {
      if (target instanceof HTMLElement && !target.closest('[role=dialog]')) before.current = target
    }
    document.addEventListener('focusin', note)
    return () => document.removeEventListener('focusin', note)
  }, [open])
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          className="fixed top-[12vh] left-1/2 z-50 flex max-h-[76vh] w-[min(560px,94vw)] -translate-x-1/2 flex-col border border-hairline bg-sheet p-5 shadow-lg"
          {...(about ? {} : { 'aria-describedby': undefined })}
          onCloseAutoFocus={(e) => {
            e.preventDefault()
            backTo(before.current)
          }}
        >
          <Dialog.Title className="text-[22px]">{title}</Dialog.Title>
          {about && <Dialog.Description className="mt-1 text-soft">{about}</Dialog.Description>}
          <div className="mt-3 min-h-0 overflow-auto">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** Where the person was before the sheet lay there; when that is gone, the thing in hand in the list. */
function backTo(was: EventTarget | null) {
  if (was instanceof HTMLElement && was !== document.body && was.isConnected) return was.focus()
  document.querySelector<HTMLElement>('.ws-list [aria-current=true], .ws-list')?.focus()
}
