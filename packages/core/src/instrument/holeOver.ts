/**
 * What a hole is opened or drilled to over what goes through it, mm: the same for what Dry fit advises and Drill makes. A tuner's bushing
 * is pressed in, so that its bore is the bushing's own size; what is reamed by hand gets twice the play it needs. [practice]
 */
export const HOLE_OVER = { pot: 0.2, toggle: 0.3, jack: 0.3, cup: 0.2, entry: 1, tuner: 0 }
