import { daysBetween, spending, type Build, type Evaluation } from '@snug/core'
import { Moon, Redo2, Sun, Undo2 } from 'lucide-react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { today } from '../state/today'
import { KeyCap } from '../ui/KeyCap'
import { shortDay } from '../ui/times'

/** Name of the build, the days, the money; and what can be switched from anywhere. */
export function Header({
  build,
  evaluation,
  onFind,
  onLog,
  onKeys,
}: {
  build: Build
  evaluation: Evaluation | undefined
  onFind: () => void
  onLog: () => void
  onKeys: () => void
}) {
  const { canUndo, canRedo, undo, redo } = useBuild(useShallow(({ canUndo, canRedo, undo, redo }) => ({ canUndo, canRedo, undo, redo })))
  const shown = useBuild((s) => s.shown !== undefined)
  const prefs = usePrefs()
  const { planned, paid } = spending(build)
  const left = build.due ? daysBetween(today(), build.due) : undefined
  const late = build.due && evaluation?.plan.ends && evaluation.plan.ends > build.due
  return (
    <header className="shell-head flex items-center gap-3 border-b border-hairline bg-paper px-4">
      {shown ? (
        <span className="label border border-violet px-2 text-[14px] text-violet">to look at</span>
      ) : (
        <Link to="/" className="label min-h-10 content-center text-[14px] text-soft hover:text-violet" title="All builds">
          Shelf
        </Link>
      )}
      <h1 className="text-[21px]">{build.name}</h1>
      <p className="head-extra label flex gap-3 text-[15px] whitespace-nowrap text-soft">
        {build.due && (
          <span className="border-l border-hairline pl-3">
            due {shortDay(build.due)} · {left} days
            {evaluation?.plan.ends && (
              <span className={late ? 'text-wont' : ''}>
                {' '}
                · plan ends {shortDay(evaluation.plan.ends)}
                {evaluation.plan.undated.length > 0 && ' at the earliest'}
              </span>
            )}
          </span>
        )}
        <span className="border-l border-hairline pl-3">
          {Math.round(paid)} paid of {Math.round(planned)} {build.currency}
          {build.budget !== undefined && <span className={planned > build.budget ? 'text-wont' : ''}> · budget {build.budget}</span>}
        </span>
      </p>
      <div className="ml-auto flex items-center">
        <Do label="Undo (Ctrl+Z)" onClick={() => void undo()} disabled={!canUndo}>
          <Undo2 size={17} />
        </Do>
        <Do label="Redo (Ctrl+Shift+Z)" onClick={() => void redo()} disabled={!canRedo}>
          <Redo2 size={17} />
        </Do>
        <Do label={`${prefs.system}: change to ${prefs.system === 'mm' ? 'inches' : 'millimetres'} (U)`} onClick={prefs.toggleSystem}>
          <KeyCap>{prefs.system}</KeyCap>
        </Do>
        <Do label={`F ${prefs.view === 'back' ? 'front' : 'back'}: turn the instrument over`} onClick={prefs.flip} className="head-extra">
          <KeyCap>F</KeyCap> {prefs.view === 'back' ? 'front' : 'back'}
        </Do>
        <Do label={`V ${prefs.view === 'side' ? 'top' : 'side'}: look from there`} onClick={prefs.turn} className="head-extra">
          <KeyCap>V</KeyCap> {prefs.view === 'side' ? 'top' : 'side'}
        </Do>
        <Do label="/ find: a part, a joint, a hole, a step" onClick={onFind}>
          <KeyCap>/</KeyCap> <span className="head-extra">find</span>
        </Do>
        <Do label="L log: write something down" onClick={onLog}>
          <KeyCap>L</KeyCap> log
        </Do>
        <Do label={`${prefs.theme === 'light' ? 'Dark' : 'Light'} theme (T)`} onClick={prefs.toggleTheme}>
          {prefs.theme === 'light' ? <Moon size={16} /> : <Sun size={16} />}
        </Do>
        <Do label="? all keys" onClick={onKeys} className="head-extra">
          <KeyCap>?</KeyCap>
        </Do>
      </div>
    </header>
  )
}

const Do = ({
  label,
  onClick,
  disabled,
  className = '',
  children,
}: {
  label: string
  onClick: () => void
  disabled?: boolean
  className?: string
  children: ReactNode
}) => (
  <button
    type="button"
    aria-label={label}
    title={label}
    onClick={onClick}
    disabled={disabled}
    className={`label inline-flex min-h-10 min-w-10 items-center justify-center gap-1.5 px-1.5 text-[15px] font-semibold hover:text-violet disabled:cursor-default disabled:opacity-35 ${className}`}
  >
    {children}
  </button>
)
