import { AMPLIFIER, CABLE_PER_METRE, RATE, type Harness, type Setting } from '@snug/core'
import { useState } from 'react'
import { keyFor } from '../../state/keyFor'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { circuitWorker } from '../../workers/compute'

/** This instrument's strings, strummed open through the circuit as it stands: to hear, to keep, or in words. */
export function HearIt({ harness, setting, name }: { harness: Harness; setting: Setting; name: string }) {
  const build = useOpenBuild()
  const [words, setWords] = useState<string>()
  const [busy, setBusy] = useState(false)
  const made = async () => {
    setBusy(true)
    const load = { cable: build.circuit.cable * CABLE_PER_METRE, amplifier: AMPLIFIER }
    const sound = await circuitWorker().sound(build, harness, setting, load)
    setWords(sound.words)
    setBusy(false)
    return sound
  }
  const play = async () => {
    const { wave } = await made()
    const audio = new AudioContext()
    const buffer = audio.createBuffer(1, wave.length, RATE)
    buffer.copyToChannel(wave as Float32Array<ArrayBuffer>, 0)
    const source = audio.createBufferSource()
    source.buffer = buffer
    source.connect(audio.destination)
    source.onended = () => void audio.close()
    source.start()
  }
  const keep = async () => {
    const { wave } = await made()
    // Only who keeps one fetches the writer.
    const { toWav } = await import('@snug/formats/wav')
    download(`${keyFor(build.name)}-position-${name}.wav`, 'audio/wav', toWav(wave, RATE))
  }
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      <Button disabled={busy} onClick={() => void play()}>
        Hear it
      </Button>
      <Button look="quiet" disabled={busy} onClick={() => void keep()}>
        WAV
      </Button>
      <Button look="quiet" disabled={busy} onClick={() => void made()}>
        In words
      </Button>
      {words && <span role="status">It sounds {words}.</span>}
    </div>
  )
}
