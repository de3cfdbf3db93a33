import type { Kind } from '../kind'
import { body } from './body'
import { controlPlate } from './controlPlate'
import { capacitor, jack, jackPlate, pickup, pickupSwitch, pot } from './electrics'
import { guard } from './guard'
import { bridge, ferrules, neckScrews, nut, springs, strapButtons, stringTree, tailpiece, tuners } from './hardware'
import { neck } from './neck'
import { battery, binding, harness, knobs, resistor, ring, screws, shielding, shim, wire } from './small'
import { strings } from './strings'

const ALL = {
  body,
  neck,
  bridge,
  tuners,
  nut,
  strings,
  guard,
  'control-plate': controlPlate,
  pickup,
  pot,
  switch: pickupSwitch,
  jack,
  'jack-plate': jackPlate,
  capacitor,
  'neck-screws': neckScrews,
  tailpiece,
  ferrules,
  'string-tree': stringTree,
  'strap-buttons': strapButtons,
  springs,
  ring,
  knobs,
  shielding,
  battery,
  wire,
  resistor,
  harness,
  screws,
  shim,
  binding,
}

export type KindTable = typeof ALL
export type KindName = keyof KindTable
/** Names of the sizes a kind of part has. */
export type SizeKey<K extends KindName> = keyof KindTable[K]['sizes'] & string

/** Every kind of part, by name. */
export const KINDS: Readonly<Record<KindName, Kind>> = ALL
export const KIND_NAMES = Object.keys(ALL) as KindName[]
