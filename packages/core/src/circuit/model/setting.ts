/** How every switch and knob stands, by the id of its component. */
export interface Setting {
  /** Position of a switch, 1 upwards; one that is not named stands at 1. */
  switches: Readonly<Record<string, number>>
  /** Turn of a pot, 0 to 10; one that is not named stands at 10. */
  knobs: Readonly<Record<string, number>>
}

/** Every knob at 10, every switch in its first position: where a harness is compared from. */
export const ALL_AT_TEN: Setting = { switches: {}, knobs: {} }

export const knobAt = (setting: Setting, pot: string): number => setting.knobs[pot] ?? 10
export const positionAt = (setting: Setting, selector: string): number => setting.switches[selector] ?? 1
