import { ofHand } from '../../drawing/turnedOver'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, type SizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { pt, type Point } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { PLACES } from '../../instrument/guardPlace'
import { whileOpen, leadRun, leadRuns, openedBy, UNSEEN, type LeadRun } from '../../instrument/leads'
import { outlinePoints } from '../../instrument/outline'
import { panelOf } from '../../instrument/panel'
import { platePoints } from '../../instrument/platePlace'
import { judged } from '../../judge/assemble'
import type { Question, DetailTable, JudgedJoint } from '../../judge/joint'
import { sizeIn } from '../../judge/known'
import type { Slot } from '../../parts/slots'
import { likelyOf, normal } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A lead longer than it need be by this folds up in the cavity and takes up hum, mm. [practice] */
const TOO_LONG = 250
/** Doubt of a run: bends and lugs are not straight lines, mm. [ours] */
const RUN_DOUBT = 20

const OPEN_WORDS = {
  guard: 'with the guard turned over beside the body',
  plate: 'with the control plate turned over beside its route',
  'sound-hole': 'with the harness lying outside the sound hole',
  'in-place': 'with the controls in their cavity',
  unknown: 'wherever the controls are laid out',
} as const

const refOf = (id: LeadRun['id']): SizeRef =>
  id === 'jack'
    ? sizeRef('wire', 'lead.jack')
    : id === 'ground'
      ? sizeRef('wire', 'lead.ground')
      : { slot: id satisfies Slot, size: 'lead.length' }

const LEADS: readonly LeadRun['id'][] = ['jack', 'ground', ...PLACES.map((p) => `pickup-${p}` as const)]

/** Has anyone cut a lead, or measured one on a pickup? */
export const leadsCut = (build: Build): boolean => LEADS.some((id) => sizeAt(build, refOf(id)))

/** Lengths to cut, for whoever has not cut yet. */
export function leadTable(build: Build): DetailTable {
  return {
    title: `Leads: to reach ${OPEN_WORDS[openedBy(build).way]}, and a little for a later swap${
      build.sale === undefined
        ? ''
        : '. It is made to be sold: leave the pickups’ own leads as long as they came, looped and tied; a cut one lowers what a pickup fetches'
    }`,
    columns: ['lead', 'in place', 'opened', 'cut'],
    rows: leadRuns(build).map((r) => [
      r.label,
      `${printMm(r.closed, 0)} mm`,
      r.open === undefined ? '?' : `${printMm(r.open, 0)} mm`,
      `${printMm(r.cut, 0)} mm`,
    ]),
  }
}

/** Are the leads long enough to lay the controls out while soldering, and not so long that they fold up under the guard? */
export const leadsJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'leads',
    condition: true,
    title: 'Leads, opened and closed',
    slots: ['jack', 'body'],
    at: () => pt(datums(build).studs - 20, -96),
    draw: () => leadsDrawing(build),
    tables: () => [leadTable(build)],
    asks: LEADS.map((id) => (b: Build) => reach(b, id)),
  })

function reach(build: Build, id: LeadRun['id']): Question[] {
  const run = leadRun(build, id)
  const ref = refOf(id)
  if (!run || !build.parts[ref.slot]) return []
  const lead = sizeIn(build, ref)
  const words = OPEN_WORDS[openedBy(build).way]
  // Between what it takes in place and what it may take elsewhere, where nobody knows.
  const [open, doubt] = run.open === undefined ? [run.closed + UNSEEN / 2, UNSEEN / 2] : [run.open, RUN_DOUBT]
  const spare = normal(lead.value - open, doubt / 2)
  const v = likelyOf(spare)
  return [
    {
      id: run.id,
      spread: true,
      label: `${run.label}, over what it takes`,
      clearance: spare,
      bands: [
        // However short, it is wire: a new one or a splice is a job of minutes, and no ground against a part.
        { upTo: 0, is: 'tight' },
        { upTo: TOO_LONG, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () =>
        v < 0
          ? `${run.label}: ${printMm(lead.value, 0)} mm, and ${run.open === undefined ? `in place alone it takes ${printMm(run.closed, 0)}` : `${words} it takes ${printMm(open, 0)}`}.`
          : v > TOO_LONG
            ? `${run.label}: ${printMm(v, 0)} mm more than it takes; it folds up under the cover and picks up hum.`
            : `${run.label}: reaches ${words}${run.open === undefined ? '' : `, ${printMm(v, 0)} mm to spare`}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : v < 0
            ? [
                {
                  id: `new-lead-${run.id}`,
                  job: `Cut a new lead of ${printMm(run.cut, 0)} mm, or splice ${printMm(run.cut - lead.value, 0)} mm on and sleeve the joint.`,
                  how: 'Stranded bends and folds; solid wire breaks at the lug after a few times.',
                  gives: 'nothing',
                  tools: ['wire', 'soldering iron'],
                  minutes: 15,
                  must: lead.value < run.closed,
                  plan: { slot: ref.slot, size: ref.size, delta: run.cut - lead.value, doubt: 5 },
                },
              ]
            : [
                {
                  id: `tie-lead-${run.id}`,
                  job: 'Lay it in one flat loop and tie it; cut it only when the pickup stays for good.',
                  how: 'A long lead is worth having for a swap. Keep the loop away from the switch.',
                  gives: 'nothing',
                  tools: ['lacing cord or tape'],
                },
              ],
    },
  ]
}

/** Outline of what carries the controls, where it lies; nothing where nobody has said, or the wood itself carries them. */
function carrierPoints(build: Build, heelEnd: number): Point[] {
  const { slot } = panelOf(build)
  if (slot === 'control-plate') return platePoints(build) ?? []
  return slot === 'guard' ? outlinePoints(build.parts.guard?.outline ?? []).map((p) => pt(p.x + heelEnd, p.y)) : []
}

/** The runs from above, where the controls lie open and where they sit. */
function leadsDrawing(build: Build) {
  const open = openedBy(build)
  const runs = leadRuns(build)
  const { heelEnd } = datums(build)
  const carrier = carrierPoints(build, heelEnd)
  const opened = open.way === 'guard' || open.way === 'plate' ? carrier.map((p) => whileOpen(open, p)) : []
  const { role } = panelOf(build)
  const marks: Mark[] = [
    ...[opened, carrier].filter((g) => g.length).map((points, i): Mark => ({ mark: 'area', role, points, dashed: i === 0 })),
    ...runs.flatMap((r): Mark[] => [
      { mark: 'line', role: r.id === 'ground' ? 'ground' : 'hot', points: [r.from, r.to] },
      { mark: 'circle', role: 'metal', at: r.to, r: 4 },
      // Pickups and ground end on one line: the ground is named on its other side.
      {
        mark: 'label',
        at: pt(r.to.x - (r.id === 'ground' ? 8 : 0), r.to.y + (r.id === 'ground' ? -9 : 15)),
        text: r.short,
        anchor: r.id === 'ground' ? 'end' : 'middle',
      },
    ]),
  ]
  const [first] = runs
  if (first) {
    marks.push({ mark: 'circle', role: 'metal', at: first.from, r: 12 })
    if (open.way === 'guard' || open.way === 'plate') {
      const over = whileOpen(open, first.from)
      const hinge = open.way === 'plate' ? [...open.edge] : [-90, 90].map((dx) => pt(first.from.x + dx, open.edge))
      marks.push(
        { mark: 'line', role: 'guide', dashed: true, points: hinge },
        { mark: 'circle', role: 'metal', at: over, r: 12, dashed: true },
        { mark: 'line', role: 'hot', dashed: true, points: [over, first.to] },
      )
    }
    if (open.way === 'sound-hole') marks.push({ mark: 'circle', role: 'cavity', at: open.hole, r: 20, dashed: true })
  }
  const drawing = framed(
    'Leads from above, in place and opened',
    open.way === 'guard' || open.way === 'plate'
      ? `dashed: turned over on its ${open.side} edge`
      : 'true proportion · dashed: while soldering',
    marks,
    runs.map((r) => ({ label: r.label, value: `${printMm(r.cut, 0)} mm to cut` })),
    0.06,
  )
  return ofHand(drawing, build.handedness)
}
