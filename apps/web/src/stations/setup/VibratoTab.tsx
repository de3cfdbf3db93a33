import {
  balanceDrawing,
  balanceWork,
  floats,
  setSetup,
  setupDrawing,
  traitAt,
  USUAL_VIBRATO,
  VIBRATO_SCHOOLS,
  type VibratoSchool,
  type VibratoSetup,
} from '@snug/core'
import { useMemo } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { Choice } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { ReadingEntry } from './ReadingEntry'
import { ReturnToPitch } from './ReturnToPitch'
import { SetupTabs } from './tabs'

const SCHOOL: Record<VibratoSchool, string> = {
  float: 'floating, a gap under its back edge',
  deck: 'down on the body, dives only',
  block: 'blocked, does not move',
}
const NUMBERS = [
  ['springs', 'Springs', 1, 6],
  ['rate', 'Rate of one, N/mm', 0.1, 20],
  ['preload', 'Its preload, N', 0, 100],
  ['closed', 'Its length, closed, mm', 20, 150],
  ['pitch', 'Claw screws, mm a turn', 0.3, 5],
] as const
const PLACES = [
  ['claw', 'Claw'],
  ['block', 'Spring holes'],
  ['saddle', 'Saddle tops'],
  ['back', 'Back edge'],
] as const

/** Strings against springs about the knife edge: where it comes to rest, turns of the claw, what a bend and a dive do. */
export default function VibratoTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const work = useMemo(() => balanceWork(build), [build])
  const v = build.setup.vibrato ?? {}
  const put = (to: Partial<VibratoSetup>, says: string) => change((b) => setSetup(b, 'vibrato', { ...b.setup.vibrato, ...to }, says))
  const school = v.school ?? 'float'
  const still = traitAt(build, 'bridge', 'mount') !== undefined && !floats(build)
  const drawing = useMemo(() => (still ? setupDrawing(build) : balanceDrawing(build)), [build, still])
  return (
    <Workspace
      fromSide
      loupe={drawing}
      listLabel="Vibrato"
      list={
        <div className="flex min-h-full flex-col">
          <SetupTabs />
          {still ? (
            <p className="p-4">
              {build.parts.springs
                ? 'This bridge stands still: nothing is balanced here.'
                : 'No springs are among the parts: nothing is balanced here until they are.'}
            </p>
          ) : !work ? (
            <p className="p-4">Enter the string gauges under Parts first: their pull is one side of the balance.</p>
          ) : (
            <section className="px-4 py-2">
              {work.says.map((s) => (
                <p key={s} className="mt-1">
                  {s}
                </p>
              ))}
              <table className="mt-3 w-full text-[15px]">
                <caption className="sr-only">How far each string goes</caption>
                <thead>
                  <tr className="label text-left text-soft">
                    <th>string</th>
                    <th className="text-right">up to the body</th>
                    <th className="text-right">dived 6°</th>
                    <th className="text-right">string 3 bent a step</th>
                  </tr>
                </thead>
                <tbody className="figure">
                  {work.balance.up.map((up, i) => (
                    <tr key={i} className="border-t border-hairline">
                      <td>{i + 1}</td>
                      <td className="text-right">{up === undefined ? '' : `+${up.toFixed(2)}`}</td>
                      <td className="text-right">{work.balance.dive[i] === undefined ? 'slack' : work.balance.dive[i].toFixed(2)}</td>
                      <td className="text-right">{work.bend?.cents[i] === undefined ? '' : `${work.bend.cents[i].toFixed(0)} cents`}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <p className="mt-1 text-[14px] text-soft">
                Semitones from pitch, tuners left alone. Computed with the plate and its levers turning, no friction at the edge.
                {work.assumed.length ? ' Of usual sizes, as an example.' : ''}
              </p>
            </section>
          )}
          {floats(build) && <ReturnToPitch />}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Vibrato</h2>
          <Choice<VibratoSchool>
            label="How it is to stand"
            value={school}
            options={VIBRATO_SCHOOLS.map((s) => [s, SCHOOL[s]] as const)}
            onChange={(s) => put({ school: s }, `Vibrato: ${s}`)}
          />
          <div className="mt-2 grid grid-cols-2 gap-3">
            <ReadingEntry label="Gap under the back edge, in tune" asked={{ what: 'float' }} />
            {school === 'float' && (
              <NumberEntry
                label="Gap wanted, mm"
                value={build.setup.wanted?.float ?? 1}
                from={0}
                to={6}
                onCommit={(float) => change((b) => setSetup(b, 'wanted', { ...b.setup.wanted, float }, `Float ${float} mm`))}
              />
            )}
          </div>
          <h3 className="mt-3 text-[18px]">Its springs and places</h3>
          <div className="grid grid-cols-2 gap-2">
            {NUMBERS.map(([key, label, from, to]) => (
              <NumberEntry
                key={key}
                label={label}
                value={v[key]}
                from={from}
                to={to}
                whole={key === 'springs'}
                placeholder={String(USUAL_VIBRATO[key])}
                onCommit={(n) => put({ [key]: n }, `${label}: ${n}`)}
              />
            ))}
          </div>
          <p className="mt-2 text-[14px] text-soft">From the knife edge, mm: towards the tail, and up.</p>
          {PLACES.map(([key, label]) => (
            <div key={key} className="grid grid-cols-2 gap-2">
              <NumberEntry
                label={`${label}, along`}
                value={v[key]?.x}
                from={-200}
                to={200}
                placeholder={String(USUAL_VIBRATO[key].x)}
                onCommit={(x) => put({ [key]: { ...USUAL_VIBRATO[key], ...v[key], x } }, `${label}, along: ${x}`)}
              />
              <NumberEntry
                label={`${label}, up`}
                value={v[key]?.y}
                from={-100}
                to={100}
                placeholder={String(USUAL_VIBRATO[key].y)}
                onCommit={(y) => put({ [key]: { ...USUAL_VIBRATO[key], ...v[key], y } }, `${label}, up: ${y}`)}
              />
            </div>
          ))}
          <Caution lines={['Springs let go: eyes covered, strings slackened evenly before any is unhooked.']} />
        </div>
      }
    />
  )
}
