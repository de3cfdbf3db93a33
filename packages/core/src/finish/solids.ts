/** Density of what is in a can, and of the film it leaves, g/ml. [practice] */
const CONTENT = 0.8
const FILM = 1.2
/** Said without a basis it may be either: from six tenths of it. [ours] */
const UNSURE = 0.6

/**
 * Solids by volume from what a label says, %: by weight they are fewer, as the solvent is lighter than the film.
 * @returns what is most likely, and the band where the label does not say of what
 */
export function solidsByVolume(percent: number, basis?: 'volume' | 'weight'): { from: number; usual: number; to: number } {
  if (basis === 'weight') {
    const volume = (percent * CONTENT) / FILM
    return { from: volume, usual: volume, to: volume }
  }
  return { from: basis === 'volume' ? percent : percent * UNSURE, usual: percent, to: percent }
}
