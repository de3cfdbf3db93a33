import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'

/** Where unsent changes stand: on their way, waiting and why, or held by a build that was put away. Read out where something keeps them. */
export function SendingWord() {
  const { sending, unsent, shown } = useBuild(useShallow(({ sending, unsent, shown }) => ({ sending, unsent, shown })))
  return (
    <>
      {!shown && sending.is === 'sending' && unsent > 0 && <span className="text-soft">saving… </span>}
      <span aria-live="polite">
        <Kept />
      </span>
    </>
  )
}

function Kept() {
  const { sending, unsent, bringBack, shown, build, asShown } = useBuild(
    useShallow(({ sending, unsent, bringBack, shown, build, asShown }) => ({ sending, unsent, bringBack, shown, build, asShown })),
  )
  if (shown)
    return (
      <span className="text-violet">
        {shown === build ? 'Shown by its bench to be looked at; try what you like. ' : 'What you tried is not kept. '}
        {shown !== build && (
          <button type="button" className="min-h-9 px-2 font-semibold underline" onClick={asShown}>
            As it is
          </button>
        )}
      </span>
    )
  if (sending.is === 'sending' || sending.is === 'quiet') return null
  const changes = unsent === 1 ? 'One change' : `${unsent} changes`
  return (
    <span className="text-wont" title={sending.why}>
      {sending.is === 'waiting'
        ? `${changes} not saved yet, kept in this browser `
        : sending.is === 'handed'
          ? `${sending.why}${unsent ? ` ${changes} kept here` : ''} `
          : `Put away in another window${unsent ? `, ${changes.toLowerCase()} kept here` : ''} `}
      {sending.is === 'put away' && (
        <button type="button" className="min-h-9 px-2 font-semibold underline" onClick={() => void bringBack()}>
          Bring it back
        </button>
      )}
    </span>
  )
}
