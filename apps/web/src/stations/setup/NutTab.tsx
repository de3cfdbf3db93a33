import { NUT_SCHOOLS, nutShim, nutTargetsOf, nutWork, SAY_NUT, setSetup, slotSpacing, type NutSchool, type SetupResult } from '@snug/core'
import { useMemo, useState } from 'react'
import { useWhere } from '../../app/where'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { Choice } from '../../ui/Field'
import { ThingRow } from '../../ui/ThingRow'
import { ReadingEntry } from './ReadingEntry'
import { SetupTabs } from './tabs'
import { useSetupDrawing } from './useSetupDrawing'

/** The nut slot by slot: read in either of two ways, what is to be filed, and where slots lie across. */
export default function NutTab({ setup }: { setup: SetupResult }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const drawing = useSetupDrawing()
  const [seen, setSeen] = useState(1)
  const hand = setup.nut.find((s) => s.number === seen) ?? setup.nut[0]!
  const work = nutWork(build)
  const shim = useMemo(() => nutShim(setup.nut, work), [setup.nut, work])
  const spacing = useMemo(() => slotSpacing(build), [build])
  return (
    <Workspace
      fromSide
      loupe={drawing}
      listLabel="Nut slots"
      list={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          <ul>
            {setup.nut.map((s) => (
              <ThingRow
                key={s.number}
                number={s.number}
                title={`String ${s.number}`}
                about={s.says}
                figure={s.read ? `${s.sliver.toFixed(2)}` : '–'}
                under={`want ${s.wanted.toFixed(2)} mm`}
                selected={s.number === hand.number}
                onSelect={() => setSeen(s.number)}
              />
            ))}
          </ul>
          {spacing && work === 'filed' && (
            <section className="px-4 py-2">
              <h3 className="label font-semibold">Where slots lie, mm from the middle</h3>
              <table className="w-full text-[14px]">
                <caption className="sr-only">Slots of the nut</caption>
                <thead>
                  <tr className="text-left text-soft">
                    <th>string</th>
                    <th className="text-right">equal centres</th>
                    <th className="text-right">equal gaps</th>
                  </tr>
                </thead>
                <tbody className="figure">
                  {spacing.map((s) => (
                    <tr key={s.number} className="border-t border-hairline">
                      <td>{s.number}</td>
                      <td className="text-right">{s.centres.toFixed(2)}</td>
                      <td className="text-right">{s.gaps.toFixed(2)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          )}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Slot of string {hand.number}</h2>
          <Choice<NutSchool>
            label="How it is to be"
            value={build.setup.nutSchool ?? 'ordinary'}
            options={NUT_SCHOOLS.map((s) => [s, nutTargetsOf(build)[s].label] as const)}
            onChange={(s) => change((b) => setSetup(b, 'nutSchool', s, `Nut: ${s}`))}
          />
          <p className="text-[14px] text-soft">{nutTargetsOf(build)[build.setup.nutSchool ?? 'ordinary'].why}</p>
          <div className="mt-2 grid grid-cols-2 gap-3">
            <ReadingEntry key={`s${hand.number}`} label="Left over fret 1, held at 3" asked={{ what: 'sliver', string: hand.number }} />
            <ReadingEntry key={`g${hand.number}`} label="Or the open gap over fret 1" asked={{ what: 'gap', string: hand.number }} />
          </div>
          <p className="mt-3 border-l-4 border-violet pl-3">{hand.says}</p>
          {hand.read && (
            <p className="text-[14px] text-soft">
              Both ways: {hand.sliver.toFixed(2)} mm held at fret 3, {hand.open.toFixed(2)} mm open, by the crowns as they stand with this
              relief. The newer reading counts.
            </p>
          )}
          {shim && <p className="mt-2">{shim.says}</p>}
          {!work && <WhatNut />}
          {work === 'filed' && <ByFile />}
          {work === 'whole' && <ByShims says={setup.moves.find((m) => m.id === 'nut')?.says} />}
        </div>
      }
    />
  )
}

function ByFile() {
  return (
    <>
      <h3 className="mt-3 text-[18px]">Two passes</h3>
      <ol className="list-decimal pl-5 text-[15px]">
        <li>Slots cleaned of finish; the outer two placed, the rest by the spacing, shallow marks everywhere.</li>
        <li>Depth with the strings on: lift it out, a stroke or two, back, tune, read.</li>
        <li>A file of the string’s own width and shape, tilted back towards the tuner; round jet-cleaning files do.</li>
        <li>Stop a tenth early; the last of it by feel.</li>
      </ol>
      <Caution lines={['Tape the headstock’s face before filing. Bone dust: mask.']} />
    </>
  )
}

/** What is done to it hangs on what it is. */
function WhatNut() {
  const { go } = useWhere()
  return (
    <p className="mt-3 flex items-center gap-3 text-mind">
      <span className="flex-1">{SAY_NUT}</span>
      <Button look="quiet" aria-label="Nut under Parts" onClick={() => go('parts', 'nut')}>
        Parts
      </Button>
    </p>
  )
}

/** A locking nut goes up and down as a whole. */
function ByShims({ says }: { says: string | undefined }) {
  return (
    <>
      <h3 className="mt-3 text-[18px]">By shims, never by a file</h3>
      {says && <p className="text-[15px]">{says}</p>}
      <ol className="list-decimal pl-5 text-[15px]">
        <li>Clamps open, strings slack; the nut’s screws out, it lifts off its shelf.</li>
        <li>Metal shims under all of it, more or fewer; more at one end where bass and treble want different heights.</li>
        <li>Screws tight, tune, read the outer strings, then the others.</li>
        <li>Clamps closed last, once the strings are stretched and in tune.</li>
      </ol>
    </>
  )
}
