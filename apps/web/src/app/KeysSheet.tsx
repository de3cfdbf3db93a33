import { usePrefs } from '../state/prefs'
import { KeyCap } from '../ui/KeyCap'
import { Sheet } from '../ui/Sheet'
import { Toggle } from '../ui/Toggle'
import { KEYS } from './useKeys'

/** All keys, and whether those pressed alone do anything. */
export function KeysSheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { singleKeys, setSingleKeys } = usePrefs()
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Keys">
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <KeyCap>{key}</KeyCap>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-3 border-t border-hairline pt-1">
        <Toggle label="Letters, numbers and signs pressed alone do this" on={singleKeys} onChange={setSingleKeys} />
        <p className="text-[14px] text-soft">
          Off where a voice or a reader presses keys of its own. Arrows, Enter, Esc, Space and Ctrl Z work all the same.
        </p>
      </div>
    </Sheet>
  )
}
