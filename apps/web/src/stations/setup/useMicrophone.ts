import { useState } from 'react'

const SECONDS = 1.2
/** What runs beside the page: it hands every block over as it comes. */
const WORKLET = `registerProcessor('hand-over', class extends AudioWorkletProcessor {
  process([input]) { if (input && input[0]) this.port.postMessage(input[0].slice()); return true }
})`

export type Recorded = { ok: true; samples: Float64Array; rate: number } | { ok: false; why: string }

/** A second of the microphone, asked for first, its level shown meanwhile; nothing is kept or sent. */
export function useMicrophone() {
  const [state, setState] = useState<'idle' | 'listening'>('idle')
  const [level, setLevel] = useState(0)
  const listen = async (): Promise<Recorded> => {
    if (window.isSecureContext === false)
      return { ok: false, why: 'A browser gives its microphone only to the machine Snug Bolt runs on. Record a WAV here and read that.' }
    let stream: MediaStream
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      })
    } catch {
      return { ok: false, why: 'The microphone was not allowed, or there is none. Allow it in the browser, or read a WAV file.' }
    }
    setState('listening')
    const context = new AudioContext()
    try {
      const url = URL.createObjectURL(new Blob([WORKLET], { type: 'text/javascript' }))
      await context.audioWorklet.addModule(url)
      URL.revokeObjectURL(url)
      const node = new AudioWorkletNode(context, 'hand-over')
      const blocks: Float32Array[] = []
      const wanted = SECONDS * context.sampleRate
      await new Promise<void>((done) => {
        let got = 0
        node.port.onmessage = ({ data }: MessageEvent<Float32Array>) => {
          const most = data.reduce((m, y) => Math.max(m, Math.abs(y)), 0)
          setLevel(most)
          // It begins with the pluck, not with the button.
          if (!got && most < 0.02) return
          blocks.push(data)
          got += data.length
          if (got >= wanted) done()
        }
        context.createMediaStreamSource(stream).connect(node)
        setTimeout(done, 8000)
      })
      const samples = new Float64Array(blocks.reduce((s, b) => s + b.length, 0))
      let at = 0
      for (const b of blocks) {
        samples.set(b, at)
        at += b.length
      }
      return { ok: true, samples, rate: context.sampleRate }
    } catch {
      return { ok: false, why: 'The microphone could not be listened to here. Read a WAV file instead.' }
    } finally {
      stream.getTracks().forEach((t) => t.stop())
      void context.close()
      setState('idle')
      setLevel(0)
    }
  }
  return { state, level, listen }
}
