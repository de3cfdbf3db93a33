import { curveThrough, edgeNear, SHEET_SIGMA, setOutline, type Point, type ScaledPicture } from '@snug/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useWhere } from '../../../app/where'
import { Board } from '../../../app/Workspace'
import { api, photoAddress, type Photo } from '../../../state/api'
import { useBuild, useOpenBuild } from '../../../state/buildStore'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Field'
import { download } from '../../../ui/download'
import { FileButton } from '../../../ui/FileButton'
import { rankWorker } from '../../../workers/compute'
import { Toggle } from '../../../ui/Toggle'
import { DrillTabs } from '../tabs'
import { Measured } from './Measured'
import { Magnified, PictureBoard, type PickedMark } from './PictureBoard'
import { LensFields } from './LensFields'
import { ScaleFields } from './ScaleFields'
import { PlaceOfHole } from './PlaceOfHole'
import { lastPlace, traced, TraceNotes } from './trace'
import { usePicture } from './usePicture'
import { FRESH, scaleOf, useWorks, WANTS, type PhotoWork } from './work'

type Doing = 'lens' | 'scale' | 'measure' | 'trace'

/** A picture brought to millimetres: scaled by what lies in it, then measured and traced, each size with its doubt. */
export function PhotoTab() {
  const { id } = useWhere()
  const queries = useQueryClient()
  const { data = [] } = useQuery({ queryKey: ['photos', id], queryFn: () => api.photos(id), enabled: id !== '' })
  // Pictures of the log are for looking, not for measuring.
  const photos = useMemo(() => data.filter((p) => !p.logged), [data])
  const [chosen, setChosen] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const photo = photos.find((p) => p.id === chosen) ?? photos[0]
  const again = () => queries.invalidateQueries({ queryKey: ['photos', id] })
  const take = async (file: File) => {
    setProblem(undefined)
    try {
      setChosen((await api.addPhoto(id, file)).id)
      await again()
    } catch (e) {
      setProblem(e instanceof Error ? e.message : 'The picture was not taken in.')
    }
  }
  const shelf = (
    <PhotoShelf
      photos={photos}
      photo={photo}
      problem={problem}
      onChoose={setChosen}
      onTake={(f) => void take(f)}
      onRemove={(p) => void api.removePhoto(id, p.id).then(again)}
    />
  )
  if (!photo)
    return (
      <Board
        boardLabel="Picture"
        board={
          <div>
            <DrillTabs />
            <p className="p-6 text-soft">
              A photograph or a scan from straight above, with a plastic card or our reference sheet lying in the plane of what is measured.
            </p>
          </div>
        }
        hand={shelf}
      />
    )
  return <OnePhoto key={photo.id} address={photoAddress(id, photo.id)} photo={photo} shelf={shelf} />
}

function OnePhoto({ photo, address, shelf }: { photo: Photo; address: string; shelf: React.ReactNode }) {
  const kept = useWorks((s) => s.works[photo.id])
  // What was kept by an earlier version lacks what it did not know.
  const work = useMemo(() => ({ ...FRESH, ...kept }), [kept])
  const put = useWorks((s) => s.put)
  const set = (more: Partial<PhotoWork>) => put(photo.id, more)
  const { grey, problem } = usePicture(address)
  const [doing, setDoing] = useState<Doing>('scale')
  const [says, setSays] = useState<string>()
  const scale = useMemo(() => scaleOf(work, photo), [work, photo])
  const now: Doing = scale || doing === 'lens' ? doing : 'scale'

  const scaleBy = async (picks: Point[]) => {
    set({ picks, found: undefined })
    if (work.way !== 'card' || picks.length < 4 || !grey) return
    setSays('Looking for the card’s edges')
    const fit = await rankWorker().fitCorners(grey, picks)
    setSays(fit ? undefined : 'The card’s edges cannot be made out: its picked corners are used, and good to some millimetres only.')
    if (fit) set({ picks, found: { points: fit.corners, sigma: fit.sigma } })
  }
  const findSheet = async () => {
    if (!grey) return
    setSays('Looking for the sheet’s marks')
    const sheet = await rankWorker().findSheet(grey)
    setSays(
      sheet
        ? sheet.mirrored
          ? 'The picture is mirrored: lengths are right, left is right.'
          : undefined
        : 'The five marks of the sheet are not all in the picture, or something covers one.',
    )
    if (sheet) set({ found: { points: sheet.marks, sigma: SHEET_SIGMA, mirrored: sheet.mirrored } })
  }
  const onEdge = (at: Point) => (grey && edgeNear(grey, at)) ?? at
  const pick = (at: Point) => {
    if (now === 'measure') return set({ measure: work.measure.length >= 2 ? [at] : [...work.measure, at] })
    if (now === 'lens') return set({ edges: [...work.edges.slice(0, -1), [...(work.edges.at(-1) ?? []), onEdge(at)]] })
    // The first three places say where the frame lies; only the edge itself is sought.
    if (now === 'trace') return set({ trace: [...work.trace, work.snap && work.trace.length >= 3 ? onEdge(at) : at] })
    const wants = WANTS[work.way]
    if (wants) void scaleBy(work.picks.length >= wants ? [at] : [...work.picks, at])
  }
  const key = now === 'measure' ? 'measure' : now === 'trace' ? 'trace' : 'picks'
  const last = now === 'lens' ? work.edges.at(-1)?.at(-1) : work[key].at(-1)
  const nudge = (dx: number, dy: number) => {
    if (!last || now === 'lens') return
    const moved = [...work[key].slice(0, -1), { x: last.x + dx, y: last.y + dy }]
    if (key === 'picks') void scaleBy(moved)
    else set({ [key]: moved })
  }
  return (
    <Board
      boardLabel="Picture"
      board={
        <div>
          <DrillTabs />
          {problem && <p className="p-4 text-wont">{problem}</p>}
          <PictureBoard
            address={address}
            name={photo.name}
            width={photo.width}
            height={photo.height}
            marks={marksOf(work)}
            lines={linesOf(work)}
            onPick={pick}
            onNudge={nudge}
          />
        </div>
      }
      hand={
        <div className="flex flex-col gap-4">
          {shelf}
          <ScaleFields work={work} set={set} onSheet={() => void findSheet()} ready={grey !== undefined} />
          {says && <p className="text-[15px] text-soft">{says}</p>}
          <Doings doing={now} scale={scale} onDo={setDoing} />
          <Magnified address={address} width={photo.width} height={photo.height} at={last} />
          {now === 'lens' && <LensFields work={work} set={set} size={photo} />}
          {now === 'measure' && scale && <Measured scale={scale} work={work} set={set} />}
          {now === 'trace' && scale && <Traced scale={scale} work={work} set={set} />}
        </div>
      }
    />
  )
}

function Doings({ doing, scale, onDo }: { doing: Doing; scale: ScaledPicture | undefined; onDo: (d: Doing) => void }) {
  const words: readonly (readonly [Doing, string])[] = [
    ['lens', 'Lens'],
    ['scale', 'Scale'],
    ['measure', 'Measure'],
    ['trace', 'Trace an outline'],
  ]
  return (
    <div className="flex flex-wrap gap-2" role="group" aria-label="What a click does">
      {words.map(([d, label]) => (
        <Button
          key={d}
          look={d === doing ? 'main' : 'plain'}
          aria-pressed={d === doing}
          disabled={d !== 'scale' && d !== 'lens' && !scale}
          onClick={() => onDo(d)}
        >
          {label}
        </Button>
      ))}
    </div>
  )
}

const marksOf = (w: PhotoWork): PickedMark[] => [
  ...(w.way === 'sheet' ? [] : w.picks.map((at): PickedMark => ({ at, role: 'scale' }))),
  ...(w.found?.points ?? []).map((at): PickedMark => ({ at, role: 'found' })),
  ...w.measure.map((at): PickedMark => ({ at, role: 'measure' })),
  ...w.trace.map((at): PickedMark => ({ at, role: 'trace' })),
  ...w.edges.flat().map((at): PickedMark => ({ at, role: 'scale' })),
]
const linesOf = (w: PhotoWork) => [
  ...(w.way === 'card' && w.found ? [{ points: w.found.points, closed: true, role: 'found' as const }] : []),
  ...(w.measure.length === 2 ? [{ points: w.measure, closed: false, role: 'measure' as const }] : []),
  ...(w.trace.length > 4
    ? [{ points: w.bend ? curveThrough(w.trace.slice(3)) : w.trace.slice(3), closed: true, role: 'trace' as const }]
    : []),
  ...w.edges.filter((e) => e.length > 1).map((points) => ({ points, closed: false, role: 'scale' as const })),
]

function PhotoShelf({
  photos,
  photo,
  problem,
  onChoose,
  onTake,
  onRemove,
}: {
  photos: readonly Photo[]
  photo: Photo | undefined
  problem: string | undefined
  onChoose: (id: string) => void
  onTake: (file: File) => void
  onRemove: (photo: Photo) => void
}) {
  const sheet = async (paper: 'a4' | 'letter') => {
    const { referenceSheetPdf } = await import('@snug/formats/referenceSheetPdf')
    download(`reference-sheet-${paper}.pdf`, 'application/pdf', await referenceSheetPdf(paper))
  }
  return (
    <section>
      <h2 className="text-[23px]">Picture to millimetres</h2>
      {photo && photos.length > 1 && (
        <Choice label="Picture" value={photo.id} options={photos.map((p) => [p.id, p.name] as const)} onChange={onChoose} />
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <FileButton look={photo ? 'plain' : 'main'} name="Choose a picture" accept="image/jpeg,image/png" onFile={onTake}>
          Take a picture in
        </FileButton>
        {photo && (
          <Button look="quiet" onClick={() => onRemove(photo)}>
            Take this one out
          </Button>
        )}
        <Button look="quiet" onClick={() => void sheet('a4')}>
          Reference sheet, A4
        </Button>
        <Button look="quiet" onClick={() => void sheet('letter')}>
          Letter
        </Button>
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-wont">
          {problem}
        </p>
      )}
    </section>
  )
}

/** Which part an outline is for, and the way into it. */
function Traced({ scale, work, set }: { scale: ScaledPicture; work: PhotoWork; set: (more: Partial<PhotoWork>) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const parts = (['body', 'neck', 'guard'] as const).filter((slot) => build.parts[slot])
  const [slot, setSlot] = useState<'body' | 'neck' | 'guard'>(parts[0] ?? 'body')
  const rows = traced(scale, work.trace, work.bend)
  return (
    <section>
      <TraceNotes picked={work.trace.length} slot={slot} />
      <Toggle label="Come onto the nearest edge" on={work.snap} onChange={(snap) => set({ snap })} />
      <Toggle label="Bend from place to place" on={work.bend} onChange={(bend) => set({ bend })} />
      {parts.length > 1 && (
        <Choice
          label="Outline of"
          value={slot}
          options={parts.map((p) => [p, p === 'neck' ? 'the headstock' : `the ${p}`] as const)}
          onChange={setSlot}
        />
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={rows.length < 3 || !build.parts[slot]} onClick={() => change((b) => setOutline(b, slot, rows))}>
          Take it as the outline
        </Button>
        <Button look="quiet" disabled={!work.trace.length} onClick={() => set({ trace: work.trace.slice(0, -1) })}>
          Last place away
        </Button>
        <Button look="quiet" disabled={!work.trace.length} onClick={() => set({ trace: [] })}>
          Begin again
        </Button>
      </div>
      <PlaceOfHole key={slot} slot={slot} place={lastPlace(scale, work.trace)} />
    </section>
  )
}
