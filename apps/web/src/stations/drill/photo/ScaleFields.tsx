import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Field'
import { NumberEntry } from '../../../ui/NumberEntry'
import { WANTS, WAYS, type PhotoWork, type Way } from './work'

const HOW: Record<Way, string> = {
  card: 'Pick its four corners going round, roughly: its edges are then found through many pixels.',
  sheet: 'Its five marks are found by themselves. Say first what its bar measured on paper.',
  rectangle: 'Pick its four corners going round, a long side first.',
  two: 'Pick both. Right only straight from above: the doubt grows with the tilt.',
}

/** What the scale is taken from, and what is known of how the picture was taken. */
export function ScaleFields({
  work,
  set,
  onSheet,
  ready,
}: {
  work: PhotoWork
  set: (more: Partial<PhotoWork>) => void
  onSheet: () => void
  ready: boolean
}) {
  const picked = Math.min(work.picks.length, WANTS[work.way])
  return (
    <section className="flex flex-col gap-2">
      <Choice<Way> label="Scaled by" value={work.way} options={WAYS} onChange={(way) => set({ way, picks: [], found: undefined })} />
      <p className="text-[15px] text-soft">
        {HOW[work.way]} {WANTS[work.way] > 0 && `${picked} of ${WANTS[work.way]} picked.`}
      </p>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        {work.way === 'sheet' && (
          <>
            <Choice
              label="Printed on"
              value={work.paper}
              options={[
                ['a4', 'A4'],
                ['letter', 'US Letter'],
              ]}
              onChange={(paper) => set({ paper })}
            />
            <NumberEntry label="Its bar measures, mm" value={work.bar} from={90} to={110} onCommit={(bar) => set({ bar })} />
          </>
        )}
        {(work.way === 'rectangle' || work.way === 'two') && (
          <NumberEntry
            label={work.way === 'two' ? 'Their distance, mm' : 'First side, mm'}
            value={work.wide}
            from={5}
            to={2000}
            onCommit={(wide) => set({ wide })}
          />
        )}
        {work.way === 'rectangle' && (
          <NumberEntry label="Other side, mm" value={work.high} from={5} to={2000} onCommit={(high) => set({ high })} />
        )}
        <NumberEntry label="It lies below the face by, mm" value={work.below} from={-60} to={60} onCommit={(below) => set({ below })} />
        <NumberEntry
          label="Camera to the work, about, mm"
          value={work.distance}
          from={100}
          to={5000}
          onCommit={(distance) => set({ distance })}
        />
      </div>
      {work.way === 'sheet' && (
        <Button className="self-start" disabled={!ready} onClick={onSheet}>
          Find the sheet
        </Button>
      )}
    </section>
  )
}
