import type { Build } from '../../document/build'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec, type Slot } from '../../parts/slots'
import { daysToCome, freeOf, leadDays, slipsOf, type Slips, type StockItem } from '../../parts/stock'
import { sayMm } from '../../quantity/length'
import { told } from '../../quantity/size'
import { counted } from '../../quantity/words'
import { tornApart } from '../inOnePiece'
import { costOf, marketOf, type ChooseRequest } from './request'

/** Why an item cannot be in any set of this build, whatever else is chosen; nothing when it can. */
export function ruledOut(
  request: Pick<ChooseRequest, 'build' | 'buildId' | 'limits' | 'open'>,
  slot: Slot,
  item: StockItem,
  slips = slipsOf(marketOf(request)),
): string | undefined {
  const { build, limits } = request
  const { part } = item
  const hand = part.traits.hand
  if (hand && hand !== 'either' && hand !== build.handedness)
    return `This one is ${hand}-handed and the build is ${build.handedness}-handed.`
  const torn = tornApart(
    build,
    slot,
    part,
    request.open.filter((o) => o.items.some((i) => i.part !== build.parts[o.slot])).map((o) => o.slot),
  )
  if (torn) return torn
  const scale = part.kind === 'neck' ? told(part.sizes.scale) : undefined
  if (scale && Math.abs(scale.value - build.scale) > 2 + scale.doubt)
    return `Its scale is ${sayMm(scale.value)} mm and the build wants ${sayMm(build.scale)} mm.`
  const count = part.kind === 'tuners' ? told(part.sizes.count) : undefined
  if (count && count.value < build.strings)
    return `${counted(count.value, 'tuner')} ${count.value === 1 ? 'is' : 'are'} not enough for ${build.strings} strings.`
  if (item.holding === 'stash' && freeOf(item, request.buildId) < 1) return 'All there are of it are put by for other builds.'
  const days = daysToCome(item, slips)
  if (limits.days !== undefined && days === undefined)
    return `Nobody has said how long it takes to come; the limit is ${counted(limits.days, 'day')}.`
  if (limits.days !== undefined && days! > limits.days)
    return `It takes ${counted(days!, 'day')} to come${days === leadDays(item) ? '' : `, ${leadDays(item)} promised`}; the limit is ${counted(limits.days, 'day')}.`
  const cost = costOf(item)
  const postage = item.holding === 'stash' ? 0 : (item.shipping ?? 0)
  if (limits.money !== undefined && cost === undefined) return `Nobody has named its price; the limit is ${limits.money.toFixed(2)}.`
  if (limits.money !== undefined && cost! + postage > limits.money + 1e-9)
    return `It costs ${cost!.toFixed(2)}${postage ? ` and ${postage.toFixed(2)} postage` : ''}; the limit is ${limits.money.toFixed(2)}.`
  return part.kind === slotSpec(slot).kind ? undefined : `This slot takes a ${KINDS[slotSpec(slot).kind].label.toLowerCase()}.`
}

/** Could it be this slot's part at all: by its hand, its scale, how many there are? Its joints are not asked. */
export const couldBe = (build: Build, slot: Slot, item: StockItem): boolean =>
  ruledOut({ build, limits: {}, open: [] }, slot, item, NOBODY) === undefined
const NOBODY: Slips = new Map()

/** Why nothing can go into these slots: what is said of most that is there. */
export const whyEmpty = (
  request: Pick<ChooseRequest, 'build' | 'buildId' | 'limits' | 'open'>,
  slots: readonly Slot[],
  slips: Slips,
): Partial<Record<Slot, string>> =>
  Object.fromEntries(
    request.open
      .filter((o) => slots.includes(o.slot))
      .map(({ slot, items }) => {
        const times = new Map<string, number>()
        for (const item of items) {
          const why = ruledOut(request, slot, item, slips)!
          times.set(why, (times.get(why) ?? 0) + 1)
        }
        const [most] = [...times].toSorted((a, b) => b[1] - a[1])
        const all = items.length === 1 ? 'Of the only one' : `Of ${most?.[1]} of ${items.length}`
        return [slot, most ? `${all}: ${most[0]}` : 'None is in the stash or on offer.']
      }),
  )
