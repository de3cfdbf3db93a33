import { takenPart } from '../../instrument/idleParts'
import { inHollow } from '../../instrument/panel'
import { potsIn } from '../../instrument/controlPlace'
import type { Build } from '../../document/build'
import { traitAt, isThrough } from '../../document/read'
import { type Bench, USUAL_BENCH } from '../bench'
import type { DrawnCard } from '../holeCard'
import { drawnCards } from '../holes'
import { withoutGuesses } from '../told'
import { body } from './body'
import { guardTemplate } from './guard'
import { plateTemplate } from './controlPlate'
import { head, practice } from './head'
import { controlTemplate, routeTemplate } from './router'
import { cover, ferruleRow, shim } from './small'
import { TEMPLATE_IDS, type Template, type TemplateId, laidOut } from './template'
import { type Made, TITLES } from './titles'

/** Draws one from the build, what stands on the bench, and the cards as they are for both. */
type Maker = (build: Build, bench: Bench, cards: readonly DrawnCard[]) => Made | undefined

/** One template of a build, when what it shows is known, and may be cut by it. */
export function templateOf(build: Build, id: TemplateId, bench: Bench = USUAL_BENCH): Template | undefined {
  const told = withoutGuesses(build)
  return drawn(told, id, bench, drawnCards(told, bench))
}

function drawn(build: Build, id: TemplateId, bench: Bench, cards: readonly DrawnCard[]): Template | undefined {
  const made = heldBack(cards, id) ? undefined : MAKERS[id](build, bench, cards)
  return made && laidOut({ legend: [], id, ...made }, build.handedness)
}

/** What is cut by each of these has a card of its own. */
const CARD: Partial<Record<TemplateId, string>> = {
  'route-neck': 'route-neck',
  'route-middle': 'route-middle',
  'route-bridge': 'route-bridge',
  'route-control': 'route-control',
  ferrules: 'ferrule-bores',
}

/** What its card says where it refuses the cut, or asks first what there is: no paper is cut by before that. */
function heldBack(cards: readonly DrawnCard[], id: TemplateId): Listed['held'] {
  const card = cards.find((c) => c.id === CARD[id])
  return card && (card.stands === 'refused' || (card.stands === 'waiting' && card.untold.length))
    ? { card: card.id, says: card.says }
    : undefined
}

interface Listed {
  id: TemplateId
  title: string
  template: Template | undefined
  /** "the body's outline", where there is none. */
  waits?: string
  /** Its card, and what that says against it. */
  held?: { card: string; says: string }
}

/** Which templates a build has, with what the others wait for. */
export function templatesOf(build: Build, bench: Bench = USUAL_BENCH): Listed[] {
  const told = withoutGuesses(build)
  const cards = drawnCards(told, bench)
  return TEMPLATE_IDS.filter((id) => EXISTS[id](build)).map((id) => {
    const template = drawn(told, id, bench, cards)
    if (template) return { id, title: TITLES[id], template }
    const held = heldBack(cards, id)
    return { id, title: TITLES[id], template, ...(held ? { waits: 'its card under Holes', held } : { waits: WAITS[id] }) }
  })
}

const WAITS: Record<TemplateId, string> = {
  'body-front': 'the body’s outline',
  'body-back': 'the body’s outline',
  'head-front': 'the headstock’s outline',
  'head-back': 'the headstock’s outline',
  practice: 'the tuners’ row and their bores',
  guard: 'the guard’s outline',
  'control-plate': 'the control plate’s length and width',
  ferrules: 'the ferrules’ diameter and the string spacing',
  'route-neck': 'the pickup’s cover and its middle on the body',
  'route-middle': 'the pickup’s cover and its middle on the body',
  'route-bridge': 'the pickup’s cover and its middle on the body',
  'route-control': 'the controls’ places and depths, or the route’s own length, width and place',
  shim: 'the pocket’s length and widths',
  cover: 'the control route’s length and width',
}

export const has = (slot: keyof Build['parts']) => (b: Build) => b.parts[slot] !== undefined

const EXISTS: Record<TemplateId, (b: Build) => boolean> = {
  'body-front': has('body'),
  'body-back': has('body'),
  'head-front': has('neck'),
  'head-back': has('neck'),
  practice: (b) => has('neck')(b) && has('tuners')(b),
  guard: has('guard'),
  'control-plate': has('control-plate'),
  ferrules: (b) => takenPart(b, 'ferrules') !== undefined,
  'route-neck': has('pickup-neck'),
  'route-middle': has('pickup-middle'),
  'route-bridge': has('pickup-bridge'),
  'route-control': (b) => has('body')(b) && potsIn(b).length > 0 && !inHollow(b),
  shim: (b) => has('body')(b) && has('neck')(b) && !isThrough(b),
  cover: (b) => has('body')(b) && traitAt(b, 'body', 'access') === 'back',
}

const MAKERS: Record<TemplateId, Maker> = {
  'body-front': (b, _, cards) => body(b, cards, 'front'),
  'body-back': (b, _, cards) => body(b, cards, 'back'),
  'head-front': (b, _, cards) => head(b, cards, 'head front'),
  'head-back': (b, _, cards) => head(b, cards, 'head back'),
  practice: (_, __, cards) => practice(cards),
  guard: (b, _, cards) => guardTemplate(b, cards),
  'control-plate': (b, _, cards) => plateTemplate(b, cards),
  ferrules: (b, _, cards) => ferruleRow(b, cards),
  'route-neck': (b, bench, cards) => routeTemplate(b, bench, cards, 'neck'),
  'route-middle': (b, bench, cards) => routeTemplate(b, bench, cards, 'middle'),
  'route-bridge': (b, bench, cards) => routeTemplate(b, bench, cards, 'bridge'),
  'route-control': controlTemplate,
  shim,
  cover,
}
