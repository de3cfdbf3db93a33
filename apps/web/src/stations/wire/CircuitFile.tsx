import { AMPLIFIER, CABLE_PER_METRE, compile, frequencies, sweep, toNetlist, type Harness, type Setting } from '@snug/core'
import { useRef, useState } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'

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
  const input = useRef<HTMLInputElement>(null)
  const [problem, setProblem] = useState<string>()
  const keep = async () => {
    const { toSpice } = await import('@snug/formats')
    const load = { cable: build.circuit.cable * CABLE_PER_METRE, amplifier: AMPLIFIER }
    const title = `${build.name}, position ${name}`
    download(`${title.toLowerCase().replace(/\W+/g, '-')}.cir`, 'text/plain', toSpice(title, toNetlist(harness, setting, load)).text)
  }
  const lay = async (file: File | undefined) => {
    if (!file) return
    const { readSpice } = await import('@snug/formats')
    const found = readSpice(await file.text())
    setProblem(found.ok ? undefined : found.why)
    onLaid(found.ok ? { name: file.name, gains: sweep(compile(found.value), HERTZ) } : undefined)
  }
  return (
    <div className="flex flex-wrap items-center gap-2">
      <input
        ref={input}
        type="file"
        accept=".cir,.net,.sp,text/plain"
        aria-label="Choose a circuit file"
        className="sr-only"
        onChange={(e) => {
          void lay(e.target.files?.[0])
          e.target.value = ''
        }}
      />
      <Button look="quiet" onClick={() => void keep()}>
        Save as .cir
      </Button>
      <Button look="quiet" onClick={() => input.current?.click()}>
        Lay a .cir over it
      </Button>
      {problem && (
        <p role="alert" className="w-full text-wont">
          {problem}
        </p>
      )}
    </div>
  )
}
