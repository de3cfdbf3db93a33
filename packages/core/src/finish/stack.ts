import { colourName } from './colourName'
import type { Build, FinishZone, ProductLabel, ZoneLayer } from '../document/build'
import { isThrough, traitAt } from '../document/read'
import { INTO_WOOD, nextOver, type FollowSays, type Ground } from './follows'
import { PRODUCTS, type LayerName, type Medium, type Product, type ProductId } from './products'
import { solidsByVolume } from './solids'
import { isChosen, SYSTEMS, stackOfSystem, topOf, type System } from './systems'

/** One layer of a stack as it will be laid: its product, with the label's figures over the usual ones. */
export interface Layer {
  /** Within its stack; what coats of it are counted under. */
  key: string
  name: LayerName
  product: string
  medium: Medium
  label: string
  applied: Product['applied']
  coats: number
  /** Dry film per coat on a flat, um, and its doubt, share, 95 %. */
  film: number
  filmDoubt: number
  /** Solids by volume, %, at least and at most where the label does not say of what. */
  solids: { from: number; usual: number; to: number }
  recoat: number
  forbidden?: readonly [from: number, to: number]
  keyAfter?: number
  beforeSanding?: number
  handle: number
  cure: { from: number; to: number }
  limits: { air: readonly [number, number]; humidity: readonly [number, number] }
  family: Product['family']
  hands: number
  how: string
  sanding?: string
  transfer: number
  container: number
  containerName: string
  price?: number
  cautions: readonly string[]
  opaque: boolean
  colour?: string
  strength?: number
  burst?: number
  byLabel: boolean
  /** Where these figures come from: the trade's usual ones, or the label. */
  from: 'usual' | 'label'
}

/** The system chosen; nothing while nobody has chosen. */
export const systemOf = (build: Build): System | undefined => (isChosen(build.finish.system) ? SYSTEMS[build.finish.system] : undefined)

/** A product by its id, one that ships or one of the person's own; nothing where neither is known. */
export function productOf(labels: Record<string, ProductLabel> | undefined, id: string): Product | undefined {
  const label = labels?.[id]
  const known = PRODUCTS as Record<string, Product>
  if (Object.hasOwn(known, id)) return known[id]
  const like = label?.like
  if (label?.name === undefined || like === undefined || !Object.hasOwn(known, like)) return undefined
  return { ...known[like]!, label: label.name }
}

/** Every product there is for this build: those that ship, and the person's own. */
export const productIds = (build: Build): string[] => [
  ...Object.keys(PRODUCTS),
  ...Object.keys(build.finish.labels ?? {}).filter((id) => !Object.hasOwn(PRODUCTS, id) && productOf(build.finish.labels, id)),
]

/** What the person put together, or the system as it comes: from the wood up. */
export function chosenLayers(build: Build): ZoneLayer[] {
  const { layers, under, coats, solids } = build.finish
  const system = systemOf(build)
  if (layers) return layers
  if (!system) return []
  const intoWood = (name: LayerName) => name === 'dye' || name === 'filler'
  const wanted = (Object.keys(under ?? {}) as LayerName[]).filter((name) => !(intoWood(name) && isClosed(build)))
  const top = system.stack.at(-1)!.product
  return stackOfSystem(system, wanted, coats).map((l) =>
    l.product === top && solids !== topOf(system).solids.usual ? { ...l, solids } : l,
  )
}

/** The stack of one zone, resolved; of what most of the instrument gets where none is named. */
export function layersOf(build: Build, zone?: FinishZone): Layer[] {
  return resolved(build, (zone && build.finish.zones?.[zone]?.layers) ?? chosenLayers(build))
}

/** A list of layers with each one's figures. What names no product that is known is left out. */
export function resolved(build: Build, layers: readonly ZoneLayer[]): Layer[] {
  const counts = new Map<string, number>()
  const found = layers.flatMap((layer) => {
    const found = layerOf(build, layer)
    if (!found) return []
    const n = (counts.get(found.name) ?? 0) + 1
    counts.set(found.name, n)
    return [{ ...found, key: n > 1 ? `${found.name}.${n}` : found.name }]
  })
  return toldApart(found)
}

const ofThem = (n: number, all: number): string => (all > 3 ? `${n} of ${all}` : n === 1 ? 'lower' : n === all ? 'upper' : 'middle')

/** Two layers of one product stand in every list by their colours, and by their place from the wood up where those go by one name. */
function toldApart(layers: readonly Layer[]): Layer[] {
  const twice = (all: readonly Layer[], l: Layer) => all.filter((o) => o.label === l.label).length > 1
  const coloured = layers.map((l) => (l.colour && twice(layers, l) ? { ...l, label: `${l.label}, ${colourName(l.colour)}` } : l))
  const times = new Map<string, number>()
  return coloured.map((l) => {
    if (!twice(coloured, l)) return l
    const n = (times.get(l.label) ?? 0) + 1
    times.set(l.label, n)
    return { ...l, label: `${l.label}, ${ofThem(n, coloured.filter((o) => o.label === l.label).length)}` }
  })
}

/** A coat of a hand differs from another's by so much, share, 95 %. [ours] */
const COAT_DOUBT = 0.3

function layerOf(build: Build, layer: ZoneLayer): Omit<Layer, 'key'> | undefined {
  const p = productOf(build.finish.labels, layer.product)
  if (!p) return undefined
  const said = build.finish.labels?.[layer.product] ?? {}
  const solids = layer.solids ?? said.solids
  const { price } = said
  return {
    name: p.kind,
    product: layer.product,
    medium: p.medium,
    label: p.label,
    applied: p.applied,
    coats: layer.coats,
    film: layer.film ?? said.film ?? p.film.usual,
    filmDoubt: COAT_DOUBT,
    solids: solids === undefined ? p.solids : solidsByVolume(solids, said.basis),
    recoat: said.recoat ?? p.recoat,
    ...(p.forbidden ? { forbidden: p.forbidden } : {}),
    ...(p.keyAfter === undefined ? {} : { keyAfter: p.keyAfter }),
    // What is never sanded is not made fit for it by a label's wait.
    ...(p.beforeSanding === undefined ? {} : { beforeSanding: said.beforeSanding ?? p.beforeSanding }),
    handle: p.handle,
    cure: p.cure,
    limits: {
      air: [said.coldest ?? p.limits.air[0], said.warmest ?? p.limits.air[1]],
      humidity: [p.limits.humidity[0], said.dampest ?? p.limits.humidity[1]],
    },
    family: p.family,
    hands: p.hands,
    how: p.how,
    ...(p.sanding ? { sanding: p.sanding } : {}),
    transfer: p.transfer,
    container: said.container ?? p.container,
    containerName: p.containerName,
    ...(price === undefined ? {} : { price }),
    cautions: p.cautions,
    opaque: p.opaque ?? false,
    ...(layer.colour ? { colour: layer.colour } : {}),
    ...(layer.strength === undefined ? {} : { strength: layer.strength }),
    ...(layer.burst === undefined ? {} : { burst: layer.burst }),
    byLabel: layer.byLabel === true,
    from: Object.keys(said).some((k) => k !== 'name' && k !== 'like' && k !== 'price') || layer.solids !== undefined ? 'label' : 'usual',
  }
}

/** What the first layer of a body goes on, as it was said; not told stays not told. Of one piece the neck came as its body did. */
export const surfaceOf = (build: Build, part: 'body' | 'neck' = 'body'): 'raw' | 'sealed' | 'coated' | undefined => {
  const said = traitAt(build, isThrough(build) ? 'body' : part, 'surface')
  return said === 'raw' || said === 'sealed' || said === 'coated' ? said : undefined
}
/** Did it come with a film on it, of whatever kind? */
export function isClosed(build: Build, part: 'body' | 'neck' = 'body'): boolean {
  const came = surfaceOf(build, part)
  return came === 'sealed' || came === 'coated'
}

const ON_NECK: readonly FinishZone[] = ['neck-back', 'head-face', 'board']
/** The part a zone belongs to. */
export const partOfZone = (zone: FinishZone): 'body' | 'neck' => (ON_NECK.includes(zone) ? 'neck' : 'body')

/** The ground a zone's stack begins on; not told is taken as raw only to have layers at all, and is said under problems. */
export const groundOf = (build: Build, zone?: FinishZone): Ground =>
  zone === 'binding' ? 'binding' : (surfaceOf(build, zone ? partOfZone(zone) : 'body') ?? 'raw')

/** Everything a layer goes over. */
export const groundsUnder = (ground: Ground, layers: readonly Pick<Layer, 'medium'>[], at: number): Ground[] => [
  ground,
  ...layers.slice(0, at).map((l) => l.medium),
]

export interface StackFault extends Pick<FollowSays, 'follow' | 'says'> {
  /** Index of the layer it is said of. */
  at: number
}

/**
 * Every layer that does not simply go on what lies under it, from the wood up.
 * @param locked how many of them have coats that lie already
 */
export function stackFaults(ground: Ground, layers: readonly Layer[], locked = 0): StackFault[] {
  return layers.flatMap((layer, at): StackFault[] => {
    const below = layers[at - 1]
    if (below && below.product === layer.product) return []
    const found = nextOver(groundsUnder(ground, layers, at), layer.medium, at < locked ? 'all' : locked + 1)
    // The label wins over the table; only what has to go into the wood goes through nothing, whatever is printed on it.
    const said =
      found?.follow === 'never' && layer.byLabel && !INTO_WOOD.includes(layer.medium)
        ? { follow: 'test' as const, says: `By its label it holds there; usually it does not (${found.because}) A test piece first.` }
        : found
    return [
      ...(said ? [{ at, ...said }] : []),
      ...(layer.medium === 'metallic' && !layers.slice(at + 1).some((l) => l.name === 'top')
        ? [{ at, follow: 'test' as const, says: 'Metallic wants clear over it: bare it marks at every touch and cannot be sanded.' }]
        : []),
    ]
  })
}

/** A product that may be laid next, and what there is to say of it. */
export interface NextOffer {
  id: ProductId | string
  product: Product
  said?: FollowSays
  /** Where it would hold instead: how many of the layers lie under it there. */
  before?: number
}

/**
 * All products as they would go on top of a stack.
 * @param locked how many of its layers have coats that lie already
 */
export function offersOver(build: Build, ground: Ground, layers: readonly Layer[], locked = 0): NextOffer[] {
  return productIds(build).map((id): NextOffer => {
    const product = productOf(build.finish.labels, id)!
    const said =
      layers.at(-1)?.product === id ? undefined : nextOver(groundsUnder(ground, layers, layers.length), product.medium, locked + 1)
    // The ground it came with is none of the layers.
    const before = said?.instead && 'before' in said.instead ? { before: said.instead.before - 1 } : {}
    return { id, product, ...(said ? { said } : {}), ...before }
  })
}

/** What came with a film on it gets one scuff under another. [practice] */
export const SCUFF_GRIT = 'P400'
