import { bodyUsual, sketchBody } from './body'
import { neckUsual, sketchNeck } from './neck'
import type { Build } from '../document/build'
import type { KindName } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import * as controlPlate from './controlPlate'
import * as electrics from './electrics'
import * as guard from './guard'
import * as hardware from './hardware'
import { Sketch } from './sketch'
import * as small from './small'

type Usual = Readonly<Record<string, number>>
interface Drawn {
  draw: (s: Sketch) => void
  /** Where its kind has no usual value, or one that would draw it strangely. For drawing only. [ours] */
  usual?: Usual | ((build: Build) => Usual)
}

/** How each kind of part is drawn. */
const DRAWN: Readonly<Record<KindName, Drawn>> = {
  body: { draw: sketchBody, usual: bodyUsual },
  neck: { draw: sketchNeck, usual: neckUsual },
  guard: { draw: guard.sketchGuard, usual: guard.GUARD_USUAL },
  'control-plate': { draw: controlPlate.sketchControlPlate, usual: controlPlate.CONTROL_PLATE_USUAL },
  bridge: { draw: hardware.sketchBridge, usual: hardware.BRIDGE_USUAL },
  tuners: { draw: hardware.sketchTuners, usual: hardware.tunersUsual },
  nut: { draw: hardware.sketchNut, usual: hardware.NUT_USUAL },
  tailpiece: { draw: hardware.sketchTailpiece, usual: hardware.TAILPIECE_USUAL },
  ferrules: { draw: hardware.sketchFerrules },
  'string-tree': { draw: hardware.sketchStringTree },
  'strap-buttons': { draw: hardware.sketchStrapButtons },
  springs: { draw: hardware.sketchSprings, usual: hardware.SPRINGS_USUAL },
  'neck-screws': { draw: hardware.sketchNeckScrews },
  pickup: { draw: electrics.sketchPickup, usual: electrics.PICKUP_USUAL },
  pot: { draw: electrics.sketchPot },
  switch: { draw: electrics.sketchSwitch, usual: electrics.SWITCH_USUAL },
  jack: { draw: electrics.sketchJack, usual: electrics.JACK_USUAL },
  'jack-plate': { draw: electrics.sketchJackPlate, usual: electrics.JACK_PLATE_USUAL },
  capacitor: { draw: electrics.sketchLeaded },
  resistor: { draw: electrics.sketchLeaded },
  harness: { draw: electrics.sketchHarness, usual: electrics.HARNESS_USUAL },
  ring: { draw: small.sketchRing, usual: small.RING_USUAL },
  knobs: { draw: small.sketchKnobs, usual: small.KNOBS_USUAL },
  shielding: { draw: small.sketchShielding },
  battery: { draw: small.sketchBattery },
  wire: { draw: small.sketchWire, usual: small.WIRE_USUAL },
  screws: { draw: small.sketchScrews, usual: small.SCREWS_USUAL },
  shim: { draw: small.sketchShim, usual: small.SHIM_USUAL },
  binding: { draw: small.sketchBinding, usual: small.BINDING_USUAL },
  strings: { draw: small.sketchStrings, usual: small.STRINGS_USUAL },
}

/** @param asked the size about to be taken, so that what it belongs to is drawn */
export function sketchOf(build: Build, slot: Slot, asked?: string): Sketch {
  const { draw, usual } = DRAWN[slotSpec(slot).kind]
  const sketch = new Sketch(build, slot, asked, typeof usual === 'function' ? usual(build) : usual)
  draw(sketch)
  return sketch.made()
}
