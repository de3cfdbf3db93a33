import type { Build } from '../../document/build'
import { isSaid, traitAt } from '../../document/read'
import { printFarads, printOhms } from '../../quantity/electrical'
import { listed } from '../../quantity/words'
import type { Harness } from '../model/harness'

/** What nobody has said of the controls, and what the curves and readings are worked out with until somebody does. */
export function takenAsUsualSays(build: Build, { components }: Harness): string[] {
  const taken = components.flatMap((c): string[] => {
    if (c.is === 'capacitor')
      return c.slot && !isSaid(build, { slot: c.slot, size: 'capacitance' }) ? [`${c.label} ${printFarads(c.farad)}`] : []
    if (c.is !== 'pot' || !c.slot) return []
    const ohm = isSaid(build, { slot: c.slot, size: 'resistance' }) ? [] : [printOhms(c.ohm)]
    const taper = traitAt(build, c.slot, 'taper') ? [] : [TAPERS[c.taper]]
    const what = [...ohm, ...taper].join(' ')
    return what ? [`${c.label} ${what}`] : []
  })
  if (!taken.length) return []
  return [`Taken as usual, as nobody has said otherwise: ${listed(taken)}. The sound hangs on it: read them and say it under Parts.`]
}

const TAPERS = { linear: 'linear', audio: 'audio taper', 'reverse-audio': 'reverse audio taper' } as const
