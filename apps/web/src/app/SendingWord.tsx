import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'

/** Where unsent changes stand: on their way, waiting and why, or held by a build that was put away. */
export function SendingWord() {
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
  if (sending.is === 'sending') return unsent ? <span className="text-soft">saving… </span> : null
  if (sending.is === 'quiet') return null
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
