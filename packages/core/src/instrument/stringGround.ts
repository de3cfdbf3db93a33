/** Where a bridge's strings are joined to ground. */
export type GroundPlace = 'claw' | 'stud' | 'plate'

const PLACE: Record<string, GroundPlace> = {
  'two-stud': 'claw',
  'six-screw': 'claw',
  'double-locking': 'claw',
  post: 'stud',
  bar: 'stud',
  screws: 'plate',
  'string-through': 'plate',
}

/** By how the bridge is held; nothing while nobody has said. */
export const groundOf = (mount: string | undefined): GroundPlace | undefined => (mount === undefined ? undefined : PLACE[mount])
