import {
  axisAdvice,
  axisFrom,
  bridgeMoved,
  bridgeWindow,
  enteredAt,
  mouthOf,
  PENCIL_STATIONS,
  setIn,
  setSize,
  sizeRef,
  valueAt,
  windowDrawing,
  windowSays,
  type PencilLines,
  type PencilStation,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { SizeField } from '../../ui/SizeField'
import { DrillTabs } from './tabs'

const PLACE: Record<PencilStation, string> = { near: 'near the neck', far: 'near the bridge' }
const READ = [
  ['along', undefined],
  ['bassLine', 'to the bass side’s line'],
  ['trebleLine', 'to the treble side’s line'],
  ['bassEnd', 'to the bass end of route or studs'],
  ['trebleEnd', 'to the treble end of the same'],
] as const

/** Where the neck points and where the bridge may stand: both before any hole. */
export function AxisTab() {
  const build = useOpenBuild()
  const [shown, setShown] = useState<'axis' | 'bridge'>('axis')
  const change = useBuild((s) => s.change)
  const advice = useMemo(() => axisAdvice(build), [build])
  const found = useMemo(() => bridgeWindow(build), [build])
  const drawing = useMemo(
    () => (shown === 'axis' ? advice?.draw() : 'window' in found ? windowDrawing(found.window) : undefined),
    [shown, advice, found],
  )
  const drag = (_: string, at: number) => change((b) => bridgeMoved(b, at))
  return (
    <Workspace
      loupe={drawing?.handles ? <DrawingView drawing={drawing} onHandle={drag} /> : (drawing ?? <Nothing shown={shown} />)}
      listLabel="Pencil lines"
      list={
        <div>
          <DrillTabs />
          <div className="px-4 py-3">
            <h3 className="text-[19px]">Pencil lines</h3>
            <p className="text-[15px] text-soft">
              A straight-edge along each side of the neck, its line drawn on over the body. Then at one place, or two, everything read from
              one straight edge on the bass side.
            </p>
            <div className="mt-2 grid gap-5 sm:grid-cols-2">
              {PENCIL_STATIONS.map((station) => (
                <Lines key={station} station={station} />
              ))}
            </div>
            <Found />
          </div>
        </div>
      }
      hand={
        <div className="flex flex-col gap-5">
          <section>
            <h2 className="text-[23px]">Neck axis</h2>
            {advice ? advice.says.map((s) => <p key={s}>{s}</p>) : <p>Not known yet: pencil lines, or the size below.</p>}
            {build.parts.body && (
              <SizeField
                sizeRef={sizeRef('body', 'axisAtBridge')}
                size={enteredAt(build, sizeRef('body', 'axisAtBridge'))}
                onCommit={(size) => change((b) => setSize(b, sizeRef('body', 'axisAtBridge'), size))}
              />
            )}
            <Button className="mt-1" onClick={() => setShown('axis')}>
              Show it
            </Button>
          </section>
          <section>
            <h2 className="text-[23px]">Bridge</h2>
            {'window' in found ? (
              windowSays(found.window).map((s) => <p key={s}>{s}</p>)
            ) : (
              <p>{found.missing.length ? 'Not known yet: what stands below.' : 'A neck, a body and a bridge make a window.'}</p>
            )}
            {'missing' in found &&
              found.missing.map((ref) => (
                <div key={`${ref.slot}/${ref.size}`} data-size={`${ref.slot}/${ref.size}`}>
                  <SizeField sizeRef={ref} size={enteredAt(build, ref)} onCommit={(size) => change((b) => setSize(b, ref, size))} />
                </div>
              ))}
            <Checks />
            <Button className="mt-1" onClick={() => setShown('bridge')} disabled={!('window' in found)}>
              Show it, drag it
            </Button>
          </section>
        </div>
      }
    />
  )
}

const Nothing = ({ shown }: { shown: 'axis' | 'bridge' }) => (
  <p className="p-6 text-soft">
    {shown === 'axis'
      ? 'The axis is drawn once the pencil lines are read and where the neck ends and the bridge stands is known.'
      : 'The window is drawn once scale, the neck’s end and the saddles’ travel are known.'}
  </p>
)

/** The bench's own check of a bridge's place, from the scale as it was measured. */
function Checks() {
  const scale = valueAt(useOpenBuild(), sizeRef('neck', 'scale'))
  if (scale === undefined) return null
  return (
    <p className="mt-1 text-[15px] text-soft">
      Check at the bench: fret 12 lies {(scale / 2).toFixed(1)} mm from the nut; a rod cut to {scale.toFixed(1)} mm from the nut ends at the
      scale line, and every saddle stands that far back or a little more.
    </p>
  )
}

/** One place's five readings; kept as soon as all five are there. */
function Lines({ station }: { station: PencilStation }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const kept = build.pencil?.[station]
  const [typed, setTyped] = useState<Partial<PencilLines>>({})
  const now = { ...kept, ...typed }
  const read = (key: keyof PencilLines, value: number) => {
    const next = { ...now, [key]: value }
    setTyped(next)
    if (READ.every(([k]) => next[k] !== undefined))
      change((b) => setIn(b, 'pencil', station, { ...(next as PencilLines) }, `Pencil lines ${PLACE[station]}`))
  }
  return (
    <fieldset>
      <legend className="label text-[16px] font-semibold">{PLACE[station]}</legend>
      <div className="flex flex-col gap-1.5">
        {READ.map(([key, label]) => (
          <NumberEntry
            key={key}
            label={`${label ?? `from ${mouthOf(build)}`}, mm`}
            value={now[key]}
            from={key === 'along' ? -100 : 0}
            to={key === 'along' ? 500 : 700}
            onCommit={(v) => read(key, v)}
          />
        ))}
      </div>
    </fieldset>
  )
}

/** What the lines say, and the way into the sizes. */
function Found() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const bridge = valueAt(build, sizeRef('body', 'mouthToBridge'))
  const { near, far } = build.pencil ?? {}
  const found = axisFrom(near, far, bridge ?? far?.along ?? near?.along ?? 0)
  if (!found) return <p className="mt-3 text-soft">Nothing read yet: all five of one place give the offset, two places the angle.</p>
  const { atBridge, angle } = found
  const side = atBridge.value > 0 ? 'bass' : 'treble'
  return (
    <div className="mt-3 border-l-4 border-violet bg-wash px-3 py-2">
      <p>
        The lines put the axis{' '}
        <b>
          {Math.abs(atBridge.value).toFixed(1)} ±{atBridge.doubt.toFixed(1)} mm
        </b>{' '}
        to the {side} side {bridge === undefined ? 'there' : 'at the bridge'}
        {angle && `, ${Math.abs(angle.value).toFixed(2)} ±${angle.doubt.toFixed(2)}° to the body’s centre line`}.
      </p>
      <Button
        className="mt-1"
        disabled={!build.parts.body}
        onClick={() =>
          change((b) =>
            setSize(b, sizeRef('body', 'axisAtBridge'), {
              value: Math.round(atBridge.value * 100) / 100,
              doubt: Math.round(atBridge.doubt * 100) / 100,
              known: 'rule',
            }),
          )
        }
      >
        Take it as the axis at the bridge
      </Button>
    </div>
  )
}
