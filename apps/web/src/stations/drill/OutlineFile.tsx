import { halfWidths, mouthOf, outlinePoints, over, setOutline, wantedOver, type Build, type Point } from '@snug/core'
import { useMemo, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'
import { FileButton } from '../../ui/FileButton'
import { NumberEntry } from '../../ui/NumberEntry'

type Target = 'body' | 'neck' | 'guard'
const TARGET: Record<Target, string> = { body: 'the body', neck: 'the headstock', guard: 'the guard' }
/** Where a part's own lengths begin, said of a drawing that lies along its centre line with the neck's end at the left. */
const datumOf = (build: Build, target: Target): string =>
  `From its left end to ${{ body: mouthOf(build), neck: 'the nut', guard: 'its neck edge' }[target]}, mm`

/** An outline drawn elsewhere: an SVG path or a DXF polyline, laid along the centre line, becomes a part's half-widths. */
export function OutlineFile() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const targets = (['body', 'neck', 'guard'] as const).filter((t) => build.parts[t])
  const [target, setTarget] = useState<Target>('body')
  const [points, setPoints] = useState<Point[]>()
  const [problem, setProblem] = useState<string>()
  const [left, setLeft] = useState(0)
  const [centre, setCentre] = useState<number>()
  const [bass, setBass] = useState<'below' | 'above'>(build.handedness === 'left' ? 'above' : 'below')
  if (!targets.length) return null
  const read = async (file: File) => {
    setPoints(undefined)
    if (file.size > 10e6) return setProblem('The file is larger than 10 MB; an outline is a few kilobytes.')
    const { readOutline } = await import('@snug/formats/outlineIn')
    const found = readOutline(file.name, await file.text())
    setProblem(found.ok ? undefined : found.why)
    if (found.ok) setPoints(found.value)
  }
  const box = points && boxOf(points)
  const middle = centre ?? (box ? box.height / 2 : 0)
  const rows =
    points && box ? halfWidths(points.map((p) => ({ x: p.x - box.x - left, y: (bass === 'below' ? 1 : -1) * (p.y - box.y - middle) }))) : []
  return (
    <details>
      <summary className="label min-h-9 cursor-pointer pt-1.5 text-[16px] font-semibold">An outline from a file</summary>
      <p className="text-[15px] text-soft">
        SVG path or DXF polyline, in millimetres, lying along its centre line with the neck’s end at the left.
      </p>
      <FileButton className="mt-1" name="Choose an outline" accept=".svg,.dxf" onFile={(f) => void read(f)}>
        Read SVG or DXF
      </FileButton>
      {problem && (
        <p role="alert" className="mt-1 text-wont">
          {problem}
        </p>
      )}
      {points && box && (
        <>
          <p className="figure mt-2">
            {box.width.toFixed(1)} x {box.height.toFixed(1)} mm
          </p>
          <Preview rows={rows} hand={build.handedness} />
          <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
            <Choice<Target> label="Outline of" value={target} options={targets.map((t) => [t, TARGET[t]] as const)} onChange={setTarget} />
            <Choice<'below' | 'above'>
              label="Bass side lies"
              value={bass}
              options={[
                ['below', 'below the centre line'],
                ['above', 'above it'],
              ]}
              onChange={setBass}
            />
            <NumberEntry label={datumOf(build, target)} value={left} from={-50} to={900} onCommit={setLeft} />
            <NumberEntry
              label="Centre line below its top, mm"
              value={Math.round(middle * 10) / 10}
              from={0}
              to={900}
              onCommit={setCentre}
            />
          </div>
          <Button
            className="mt-2"
            look="main"
            disabled={rows.length < 3 || !build.parts[target]}
            onClick={() => change((b) => setOutline(b, target, rows))}
          >
            Take it as the outline
          </Button>
          {target === 'body' && <Over rows={rows} />}
        </>
      )}
    </details>
  )
}

/** What it would do to the body that lies there. */
function Over({ rows }: { rows: ReturnType<typeof halfWidths> }) {
  const build = useOpenBuild()
  const over = useMemo(() => wantedOver(build, rows), [build, rows])
  if (!over) return null
  return (
    <div className="mt-3 border-l-4 border-hairline px-3">
      <p className="label text-[15px] font-semibold">Laid over the body as it is</p>
      {over.says.map((s) => (
        <p key={s} className="text-[15px]">
          {s}
        </p>
      ))}
    </div>
  )
}

function boxOf(points: readonly Point[]) {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y }
}

/** As the part will keep it, with its own centre line. */
function Preview({ rows, hand }: { rows: ReturnType<typeof halfWidths>; hand: Build['handedness'] }) {
  const points = outlinePoints(rows).map(hand === 'left' ? over : (p) => p)
  if (!points.length) return null
  const { x, y, width, height } = boxOf(points)
  return (
    <svg
      viewBox={`${x - 5} ${y - 5} ${width + 10} ${height + 10}`}
      className="max-h-40 w-full"
      role="img"
      aria-label="The outline as it will be kept"
    >
      <path d={`M${points.map((p) => `${p.x} ${p.y}`).join('L')}Z`} fill="none" stroke="var(--ink)" strokeWidth={width / 200} />
      <path
        d={`M${x - 5} 0H${x + width + 5}M0 ${y}V${y + height}`}
        stroke="var(--violet)"
        strokeWidth={width / 300}
        strokeDasharray={width / 60}
      />
    </svg>
  )
}
