import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { CONTROL_WORDS, type SwitchControl } from '../../instrument/controlPlace'
import { inHollow, isCarried, panelName, panelOf } from '../../instrument/panel'
import { isScrewedDown, switchMake } from '../../instrument/switchMake'
import { drawnAt } from '../../judge/known'
import { platePose } from '../../instrument/platePlace'
import { printMm } from '../../quantity/length'
import { behindPanel, SCRAP_BEHIND } from '../behind'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { slitOf } from '../slit'
import { isThere } from '../told'
import { cautionsOn, LOOK_IN, lying, placed, sideOf } from './controls'

/** Over the lever's swing, so that it never strikes the slot's ends, mm. [practice] */
const OVER_SWING = 1

/** The slot a lever or a slide moves in and the two holes its frame is screwed through, in what carries it or in the wood. */
export const switchSlot =
  (of: SwitchControl): Finder =>
  (build) => {
    const contacts = traitAt(build, of, 'contacts')
    if (!build.parts[of] || contacts === undefined || !isScrewedDown(contacts)) return undefined
    const panel = panelOf(build)
    const carried = isCarried(panel)
    if (!build.parts[panel.slot]) return undefined
    const make = switchMake(contacts)
    const base: Base = {
      id: of === 'switch' ? 'switch-slot' : 'switch-slot-2',
      title: `Slot for the ${CONTROL_WORDS[of]}, in the ${panelName(build)}`,
      slot: of,
      side: sideOf(panel),
      goesIn: `the ${make}, and the two screws that hold its frame`,
      located: carried ? `the ${panel.name}’s own mark` : 'the room below it: the whole frame has to pass into it',
      first: [carried ? lying(panel) : inHollow(build) ? LOOK_IN : 'the control route, and the room in it for the whole frame'],
      back: carried ? `A plate of the same stuff over it, or another ${panel.name}.` : 'A metal plate with a slot of its own hides it.',
    }
    const there = { slot: panel.slot, trait: of === 'switch' ? 'bored.slot' : 'bored.slot-2' } as const
    const own = isCarried(panel) ? [sizeRef(panel.slot, `${of}.slot`), sizeRef(panel.slot, `${of}.screws`)] : []
    const stands = isThere(build, there, ...own)
    if (stands === undefined) return waiting(build, base, [], [there])
    const located = placed(build, [of])
    const lies = panel.slot === 'control-plate' ? platePose(build).turn : undefined
    const slit = (apart: number | undefined) => (apart === undefined ? {} : { slit: slitOf(apart, lies) })
    if (stands)
      return filled(build, base, {
        work: 'keep',
        places: located.places,
        ...slit(own[1] && sizeAt(build, own[1])?.value),
        says: 'It is there; whether its length and its screws’ holes suit this switch stands under Dry fit.',
        from: ['the slot itself'],
        steps: [`switch in, every position: the ${make} reaches its ends and touches nothing`],
        with: 'by hand',
        draw: () => slotDrawing(build, of, ...own.map((ref) => sizeAt(build, ref)?.value)),
      })
    const refs = [sizeRef(of, 'swing'), sizeRef(of, 'screw.spacing')]
    const missing = [...refs.filter((r) => !sizeAt(build, r)), ...located.missing]
    if (missing.length) return waiting(build, base, missing)
    const [swing, apart] = refs.map((r) => sizeAt(build, r)!.value) as [number, number]
    const long = swing + OVER_SWING
    return filled(build, base, {
      work: 'new',
      ...slit(apart),
      says: `${printMm(long, 1)} mm long, ${OVER_SWING} over the ${make}’s swing; the screws’ holes ${printMm(apart, 1)} mm apart, the slot midway between them.`,
      places: located.places,
      from: located.from.map((words) => `middle of the slot, ${words}`),
      steps: [
        'its line pencilled the way the hand moves it; the middle, both ends and both screws marked on that line',
        `both screws’ holes 0.4 mm over their thread; ${SCRAP_BEHIND[behindPanel(build)]}`,
        'a row of holes as wide as the blade and half a millimetre, from end to end; opened with a flat file or a fret saw',
        'switch in, every position, before an edge is cleaned',
      ],
      size: `${printMm(long, 1)} long`,
      with: 'drill, flat file or fret saw',
      mind: [`The blade’s width is measured, not supposed: the slot may not be wider than its cap.`],
      ...cautionsOn(panel),
      draw: () => slotDrawing(build, of, long, apart),
    })
  }

/** Slot and screws from the front, on their own line; what nobody measured of one that is there has no figure. */
function slotDrawing(build: Build, of: SwitchControl, long?: number, apart?: number) {
  const l = long ?? drawnAt(build, sizeRef(of, 'swing')) + OVER_SWING
  const a = apart ?? drawnAt(build, sizeRef(of, 'screw.spacing'))
  const figured = [
    ...(long === undefined ? [] : [{ label: 'Slot', half: l / 2, y: -9, text: printMm(long, 1), ending: '' }]),
    ...(apart === undefined ? [] : [{ label: 'Screws', half: a / 2, y: 9, text: printMm(apart, 1), ending: ' apart' }]),
  ]
  return framed(
    `Slot for the ${CONTROL_WORDS[of]}`,
    figured.length === 2 ? 'from the front, true proportion' : 'from the front · what is not measured is drawn as usual',
    [
      { mark: 'area', role: panelOf(build).role, points: rectangle(-a / 2 - 14, -16, a / 2 + 14, 16) },
      { mark: 'area', role: 'cavity', points: rectangle(-l / 2, -1.5, l / 2, 1.5) },
      { mark: 'circle', role: 'cavity', at: pt(-a / 2, 0), r: 1.7 },
      { mark: 'circle', role: 'cavity', at: pt(a / 2, 0), r: 1.7 },
      ...figured.map(({ half, y, text }) => ({ mark: 'dimension' as const, from: pt(-half, y), to: pt(half, y), text, emphasis: y < 0 })),
    ],
    figured.map(({ label, text, ending }) => ({ label, value: `${text} mm${ending}` })),
  )
}
