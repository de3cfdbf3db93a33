import { positionWords } from './positionWords'
import { AMPLIFIER, CABLE_PER_METRE, compile, frequencies, sweep, toNetlist, type Harness, type Setting } from '@snug/core'
import { useState } from 'react'
import { keyFor } from '../../state/keyFor'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { FileButton } from '../../ui/FileButton'

export interface Laid {
  name: string
  gains: Float64Array
}
const HERTZ = frequencies(200)

/** The circuit of this position as a file other programs read; another one read and laid over the curve. */
export function CircuitFile({
  harness,
  setting,
  name,
  onLaid,
}: {
  harness: Harness
  setting: Setting
  name: string
  onLaid: (l: Laid | undefined) => void
}) {
  const build = useOpenBuild()
  const [problem, setProblem] = useState<string>()
  const keep = async () => {
    const { toSpice } = await import('@snug/formats/spice')
    const load = { cable: build.circuit.cable * CABLE_PER_METRE, amplifier: AMPLIFIER }
    const title = `${build.name}, ${positionWords(name)}`
    download(`${keyFor(title)}.cir`, 'text/plain', toSpice(title, toNetlist(harness, setting, load)).text)
  }
  const lay = async (file: File) => {
    const { readSpice } = await import('@snug/formats/spiceIn')
    const found = readSpice(await file.text())
    setProblem(found.ok ? undefined : found.why)
    onLaid(found.ok ? { name: file.name, gains: sweep(compile(found.value), HERTZ) } : undefined)
  }
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button look="quiet" onClick={() => void keep()}>
        Save as .cir
      </Button>
      <FileButton look="quiet" name="Choose a circuit file" accept=".cir,.net,.sp,text/plain" onFile={(f) => void lay(f)}>
        Lay a .cir over it
      </FileButton>
      {problem && (
        <p role="alert" className="w-full text-wont">
          {problem}
        </p>
      )}
    </div>
  )
}
