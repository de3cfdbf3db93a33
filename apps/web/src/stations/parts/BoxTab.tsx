import { PILES, pileOf, pileWords, plays, putOnPile, SLOTS, unsorted, type Build, type Pile, type Slot } from '@snug/core'
import { useDeferredValue, useState } from 'react'
import { Board } from '../../app/Workspace'
import { useWhere } from '../../app/where'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { PartPicture } from '../../ui/PartPicture'
import { StationTabs, useTab } from '../../ui/StationTabs'
import { BoxHand } from './BoxHand'
import { TAB_IDS, TABS } from './tabs'

const ROWS = SLOTS.map((s) => ({ ...s, id: s.slot as Slot }))

/** What came in the box: every part as a picture, put on its pile by pressing it. */
export function BoxTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const changes = plays(build)
  const title = changes ? 'What is changed' : 'What came in the box'
  const [pile, setPile] = useState<Pile>(changes ? 'apart' : 'box')
  const [tab, onTab] = useTab(TAB_IDS)
  const { thing, go } = useWhere()
  const hand = ROWS.find((r) => r.slot === thing)
  const pick = (slot: string) => go('parts', slot, true, 'box')
  const open = unsorted(build)
  // Pictures may follow a keystroke later; the piles may not.
  const drawn = useDeferredValue(build)
  const allHere = () => change((b) => putOnPile(b, unsorted(b), 'box'))
  const press = (slot: Slot) => {
    pick(slot)
    if (pileOf(build.parts[slot]) !== pile) change((b) => putOnPile(b, [slot], pile))
  }
  return (
    <Board
      selected={hand?.id}
      onPick={pick}
      boardLabel={title}
      board={
        <div className="flex h-full flex-col">
          <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Parts" />
          <div className="min-h-0 flex-1 overflow-auto px-5 py-3">
            <div className="flex flex-wrap items-center justify-between gap-3">
              <h2 className="text-[25px] leading-tight">{title}</h2>
              <span className="flex flex-wrap gap-2">
                {open.length > 0 && <Button onClick={allHere}>It is all here</Button>}
                <Button
                  look="main"
                  onClick={() => {
                    if (open.length) allHere()
                    go('parts', undefined, false, 'measure')
                  }}
                >
                  {open.length ? 'All here: measure' : 'Measure it'}
                </Button>
              </span>
            </div>
            <p className="text-[15px] text-soft">
              {changes
                ? 'Say what becomes of a part, then press each that it happens to. What stays in place is neither taken off, drilled nor soldered.'
                : 'Everything is as usual for its kind, dotted, until you measure it. Say where a part is, then press each one that is there.'}
            </p>
            <PilePicker pile={pile} words={pileWords(build)} onPile={setPile} />
            {PILES.map((p) => (
              <Tray key={p} pile={p} build={build} drawn={drawn} hand={hand?.id} onPress={press} />
            ))}
          </div>
        </div>
      }
      hand={<BoxHand key={hand?.id} slot={hand?.id} />}
    />
  )
}

function PilePicker({ pile, words, onPile }: { pile: Pile; words: Readonly<Record<Pile, string>>; onPile: (pile: Pile) => void }) {
  return (
    <fieldset className="mt-2 flex flex-wrap gap-2">
      <legend className="sr-only">A part you press goes to</legend>
      {PILES.map((p) => (
        <label
          key={p}
          className={`label inline-flex min-h-10 cursor-pointer items-center gap-2 rounded border px-3 text-[15px] font-semibold ${p === pile ? 'border-violet bg-wash' : 'border-hairline bg-sheet'}`}
        >
          <input type="radio" name="pile" className="accent-[var(--violet)]" checked={p === pile} onChange={() => onPile(p)} />
          {words[p]}
        </label>
      ))}
    </fieldset>
  )
}

interface TrayProps {
  pile: Pile
  build: Build
  drawn: Build
  hand: Slot | undefined
  onPress: (slot: Slot) => void
}

function Tray({ pile, build, drawn, hand, onPress }: TrayProps) {
  const here = ROWS.filter((r) => pileOf(build.parts[r.slot]) === pile)
  if (!here.length) return null
  const words = pileWords(build)[pile]
  return (
    <section className="mt-3" aria-label={words}>
      <h3 className="text-[18px]">
        {words.charAt(0).toUpperCase() + words.slice(1)} <span className="figure text-[14px] text-soft">{here.length}</span>
      </h3>
      <ul className="flex flex-wrap gap-1.5">
        {here.map(({ slot, label }) => (
          <li key={slot}>
            <button
              type="button"
              aria-current={slot === hand ? 'true' : undefined}
              onClick={() => onPress(slot)}
              className={`flex items-center rounded border p-1.5 text-left text-[14px] leading-tight ${slot === hand ? 'border-violet bg-wash' : 'border-hairline bg-sheet hover:border-violet'} ${pile === 'none' ? 'min-h-10' : 'h-[104px] w-[124px] flex-col justify-between'}`}
            >
              {pile !== 'none' && <PartPicture build={drawn} slot={slot} width={108} height={66} />}
              <span className={pile === 'none' ? 'px-1' : 'line-clamp-2 w-full text-center text-[13px]'}>{label}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
