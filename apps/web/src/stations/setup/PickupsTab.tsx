import { pickupHeights } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { Levels } from './Levels'
import { ReadingEntry } from './ReadingEntry'
import { SetupTabs } from './tabs'
import { useSetupDrawing } from './useSetupDrawing'

/** How far each pickup's ends lie under the outer strings, held at the last fret. */
export default function PickupsTab() {
  const build = useOpenBuild()
  const drawing = useSetupDrawing()
  const pickups = useMemo(() => pickupHeights(build), [build])
  const [seen, setSeen] = useState<string>()
  const hand = pickups.find((p) => p.slot === seen) ?? pickups[0]
  return (
    <Workspace
      fromSide
      loupe={drawing}
      listLabel="Pickup heights"
      list={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          {pickups.length ? (
            <ul>
              {pickups.map((p) => (
                <ThingRow
                  key={p.slot}
                  title={p.label}
                  about={
                    p.sides.every((s) => s.read === undefined) ? p.sides[0]!.says : p.sides.map((s) => `${s.side}: ${s.says}`).join(' ')
                  }
                  figure={p.sides.map((s) => (s.read === undefined ? '–' : s.read.toFixed(1))).join(' / ')}
                  under={`want ${p.sides.map((s) => s.wanted.toFixed(1)).join(' / ')}`}
                  selected={p.slot === hand?.slot}
                  onSelect={() => setSeen(p.slot)}
                />
              ))}
            </ul>
          ) : (
            <p className="p-4">No pickup is chosen yet.</p>
          )}
        </div>
      }
      hand={
        hand ? (
          <div>
            <h2 className="text-[23px]">{hand.label}</h2>
            <p className="text-soft">Strings held down at the last fret; from the string’s underside to the pole.</p>
            <div className="mt-2 grid grid-cols-2 gap-3">
              {hand.sides.map((s) => (
                <ReadingEntry
                  key={`${hand.slot}${s.side}`}
                  label={`${s.side === 'bass' ? 'Bass' : 'Treble'} end`}
                  asked={{ what: 'pickup', string: s.string, slot: hand.slot }}
                />
              ))}
            </div>
            {hand.sides.map((s) => (
              <p key={s.side} className="mt-2 border-l-4 border-violet pl-3">
                {s.side === 'bass' ? 'Bass' : 'Treble'} end, wanted {s.wanted.toFixed(1)} mm: {s.says}
              </p>
            ))}
            <p className="mt-2 text-[14px] text-soft">
              A start, not a law: then each pickup as loud as the next, by ear, and no string warbling high up.
            </p>
            <Levels key={hand.slot} slot={hand.slot} />
          </div>
        ) : (
          <p>Choose a pickup under Parts.</p>
        )
      }
    />
  )
}
