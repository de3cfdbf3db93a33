import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'

/** The build with one more reading of its setup. */
export const withReading = (build: Build, reading: SetupReading): Build => ({
  ...build,
  setup: { ...build.setup, readings: { ...build.setup.readings, [setupReadingId(reading)]: reading } },
})

/** Readings as most tests have them: outer strings for the action, cents by string. */
export function measuredBuild(
  build: Build,
  { relief, bass, treble, cents = {} }: { relief?: number; bass?: number; treble?: number; cents?: Record<number, number> },
): Build {
  const readings: (SetupReading | undefined)[] = [
    relief === undefined ? undefined : { what: 'relief', value: relief },
    bass === undefined ? undefined : { what: 'action', string: build.strings, value: bass },
    treble === undefined ? undefined : { what: 'action', string: 1, value: treble },
    ...Object.entries(cents).map(([string, value]): SetupReading => ({ what: 'cents', string: Number(string), value })),
  ]
  return readings.reduce<Build>((b, r) => (r ? withReading(b, r) : b), build)
}
