import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

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
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Dialog.Content
          className="fixed top-[12vh] left-1/2 z-50 flex max-h-[76vh] w-[min(560px,94vw)] -translate-x-1/2 flex-col border border-hairline bg-sheet p-5 shadow-lg"
          {...(about ? {} : { 'aria-describedby': undefined })}
        >
          <Dialog.Title className="text-[22px]">{title}</Dialog.Title>
          {about && <Dialog.Description className="mt-1 text-soft">{about}</Dialog.Description>}
          <div className="mt-3 min-h-0 overflow-auto">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
