export type Taper = 'audio' | 'linear' | 'reverse-audio'

/**
 * Fraction of a pot's resistance between wiper and ground-side lug at a knob setting of 0 to 10. Audio taper is two
 * straight parts, a tenth of the resistance at half turn. [practice]
 */
export function taperFraction(taper: Taper, knob: number): number {
  const x = Math.min(1, Math.max(0, knob / 10))
  const audio = (t: number) => (t <= 0.5 ? 0.2 * t : 0.1 + 1.8 * (t - 0.5))
  if (taper === 'linear') return x
  return taper === 'audio' ? audio(x) : 1 - audio(1 - x)
}
