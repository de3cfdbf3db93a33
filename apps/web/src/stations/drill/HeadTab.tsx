import {
  applyChange,
  enteredAt,
  headBlank,
  headDrawing,
  headTask,
  isSaid,
  postsOf,
  setSize,
  sizeRef,
  traitAt,
  valueAt,
  viewed,
  type Build,
  type Change,
  type HeadTask,
  type PostView,
  type Row,
  POST_EDGE,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Empty, Workspace } from '../../app/Workspace'
import { DrawingView } from '../../drawing/DrawingView'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { rankWorker } from '../../workers/compute'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { SizeField } from '../../ui/SizeField'
import { DrillTabs } from './tabs'

const FIELDS: readonly {
  key: keyof Row
  label: string
  from: number
  to: number
  size: 'tuner.first' | 'tuner.pitch' | 'tuner.offset' | 'tuner.slant'
}[] = [
  { key: 'first', label: 'Nut to first post, mm', from: 15, to: 120, size: 'tuner.first' },
  { key: 'pitch', label: 'Post to post, mm', from: 15, to: 60, size: 'tuner.pitch' },
  { key: 'offset', label: 'First post from the centre line, mm', from: -40, to: 40, size: 'tuner.offset' },
  { key: 'slant', label: 'Slant of the row, degrees', from: -30, to: 30, size: 'tuner.slant' },
]

/** Where posts come: as they are marked, as they would stand best, and as the person drags them. */
export function HeadTab() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const found = useMemo(() => headTask(build), [build])
  const [tried, setTried] = useState<Row>()
  const [busy, setBusy] = useState(false)
  const task = 'task' in found ? found.task : undefined
  const row = tried ?? task?.now
  const posts = useMemo(() => (task && row ? viewed(task, postsOf(task, row)) : []), [task, row])
  const bore = valueAt(build, sizeRef('neck', 'tuner.bore')) ?? 10
  const bored = isSaid(build, sizeRef('neck', 'tuner.bore')) || traitAt(build, 'neck', 'bored.tuners') === 'drilled'
  const drawing = task && row && headDrawing(task, posts, row, bore, build.handedness)
  const moved = tried !== undefined && task !== undefined
  const look = async (t: HeadTask) => {
    setBusy(true)
    const best = await rankWorker().layHead(t)
    setTried(rounded(best.row))
    setBusy(false)
  }
  return (
    <Workspace
      loupe={drawing && <DrawingView drawing={drawing} onHandle={(id, v) => row && setTried({ ...row, [id]: v })} />}
      listLabel="Posts"
      list={
        <div>
          <DrillTabs />
          {task ? <Posts posts={posts} moved={moved} /> : <Waits found={found} />}
        </div>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Headstock</h2>
          <p className="text-[15px] text-soft">
            Posts at least {POST_EDGE} mm from the edge, housings apart, no string on a post it passes, strings as straight over the nut as
            they can be. Drag the first and the last post, or let the row be found.
          </p>
          {headBlank(build)?.says.map((say) => (
            <p key={say} className="mt-1">
              {say}
            </p>
          ))}
          {'missing' in found &&
            found.missing.map((ref) => (
              <SizeField
                key={`${ref.slot}/${ref.size}`}
                sizeRef={ref}
                size={enteredAt(build, ref)}
                onCommit={(size) => change((b) => setSize(b, ref, size))}
              />
            ))}
          {task && row && (
            <>
              <div className="mt-3 grid grid-cols-2 gap-x-4 gap-y-2">
                {FIELDS.filter((f) => task.rows === 'one' || f.key !== 'slant').map((f) => (
                  <NumberEntry
                    key={f.key}
                    label={f.label}
                    value={Math.round(row[f.key] * 100) / 100}
                    from={f.from}
                    to={f.to}
                    onCommit={(v) => setTried({ ...row, [f.key]: v })}
                  />
                ))}
              </div>
              <div className="mt-3 flex flex-wrap gap-2">
                <Button look="main" onClick={() => void look(task)} disabled={busy}>
                  {busy ? 'Looking' : 'Find the best row'}
                </Button>
                <Button disabled={!moved || bored} onClick={() => tried && (change((b) => takeRow(b, task, tried)), setTried(undefined))}>
                  Take this row
                </Button>
                <Button look="quiet" disabled={!moved} onClick={() => setTried(undefined)}>
                  As it was marked
                </Button>
              </div>
              {bored && (
                <p className="mt-3">
                  Its bores are there: another row is only tried here. Where they are to move, plug them, clear the tuner bore under Parts,
                  say under Drill that they are not there, and take the row; the plugs show through a clear finish.
                </p>
              )}
              <p className="mt-3 text-[15px] text-soft">
                Before the neck: print the practice piece under Paper, drill it into scrap of the same thickness, and hang the tuners in it.
              </p>
            </>
          )}
        </div>
      }
    />
  )
}

const tenth = (v: number) => Math.round(v * 10) / 10
const rounded = (row: Row): Row => ({
  first: tenth(row.first),
  pitch: Math.ceil(row.pitch * 20) / 20,
  offset: tenth(row.offset),
  slant: tenth(row.slant),
})

/** The row as the neck keeps it: all its sizes in one change. */
function takeRow(build: Build, task: HeadTask, row: Row): Change {
  let now = build
  const edits = FIELDS.filter((f) => task.rows === 'one' || f.key !== 'slant').flatMap((f) => {
    const made = setSize(now, sizeRef('neck', f.size), { value: row[f.key], doubt: f.key === 'slant' ? 0.2 : 0.3, known: 'rule' })
    now = applyChange(now, made)
    return made.edits
  })
  return { label: 'Row of tuner posts laid out', edits }
}

function Waits({ found }: { found: ReturnType<typeof headTask> }) {
  const lacks = 'lacks' in found ? found.lacks : undefined
  return <Empty>{lacks ? `It waits for ${lacks}, under Parts.` : 'It waits for the sizes on the right.'}</Empty>
}

const mm = (v: number) => v.toFixed(1)
/** In words, as the person marks it anew. */
const moveWords = (m: NonNullable<PostView['move']>) => {
  const words = [
    Math.abs(m.along) < 0.05 ? '' : `${mm(Math.abs(m.along))} ${m.along > 0 ? 'away from the nut' : 'towards the nut'}`,
    Math.abs(m.inwards) < 0.05 ? '' : `${mm(Math.abs(m.inwards))} ${m.inwards > 0 ? 'in' : 'out'}`,
  ].filter(Boolean)
  return words.length ? words.join(', ') : 'stays'
}

function Posts({ posts, moved }: { posts: readonly PostView[]; moved: boolean }) {
  return (
    <table className="w-full text-[15px]">
      <caption className="sr-only">Posts and their strings</caption>
      <thead>
        <tr className="label border-b border-hairline text-left text-soft">
          <th className="px-4 py-1.5">post</th>
          <th>to the edge, mm</th>
          <th>string bends, degrees</th>
          <th>nearest passing string, mm</th>
          <th>{moved ? 'from your mark, mm' : ''}</th>
        </tr>
      </thead>
      <tbody className="figure">
        {posts.map((p, i) => (
          <tr key={i} className="border-b border-hairline">
            <td className="px-4 py-1.5">{i + 1}</td>
            <td className={p.edge < 9 ? 'font-bold text-wont' : ''}>{mm(p.edge)}</td>
            <td>{mm(Math.abs(p.bend))}</td>
            <td className={p.passes !== undefined && p.passes < 4.5 ? 'font-bold text-wont' : ''}>
              {p.passes === undefined ? '' : mm(p.passes)}
            </td>
            <td className="font-text">{moved && p.move ? moveWords(p.move) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
