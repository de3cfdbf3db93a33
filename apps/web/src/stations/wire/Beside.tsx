import {
  AMPLIFIER,
  CABLE_PER_METRE,
  compile,
  frequencies,
  harnessOf,
  sweep,
  toNetlist,
  whatIfs,
  type Build,
  type Setting,
} from '@snug/core'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useState } from 'react'
import { api } from '../../state/api'
import { useBuild } from '../../state/buildStore'
import { Field, INPUT } from '../../ui/Field'
import type { Laid } from './CircuitFile'
import { useCircuitBuild } from './useCircuitBuild'

const HERTZ = frequencies(200)
const SHELF = 'shelf '

/** One thing otherwise, or another build of the shelf, laid beside the curve in hand at the same knobs. */
export function Beside({ setting, onLaid }: { setting: Setting; onLaid: (l: Laid | undefined) => void }) {
  const build = useCircuitBuild()
  const id = useBuild((s) => s.id)!
  const [chosen, setChosen] = useState('')
  const variants = useMemo(() => whatIfs(build), [build])
  const shelf = useQuery({ queryKey: ['builds'], queryFn: () => api.builds() })
  const others = (shelf.data ?? []).filter((b) => b.id !== id)
  const wanted = chosen.startsWith(SHELF) ? chosen.slice(SHELF.length) : undefined
  const other = useQuery({ queryKey: ['build', wanted], queryFn: () => api.build(wanted!), enabled: wanted !== undefined })
  const variant = variants.find((v) => v.id === chosen)
  const [name, beside] = variant ? [variant.label, variant.build] : [other.data?.build.name ?? '', wanted && other.data?.build]
  const gains = useMemo(() => (beside ? curveOf(beside, setting) : undefined), [beside, setting])
  useEffect(() => onLaid(gains && { name, gains }), [name, gains, onLaid])
  return (
    <Field label="Lay beside it" hint={beside && !gains ? `${name} has no circuit yet.` : undefined}>
      {(props) => (
        <select {...props} className={INPUT} value={chosen} onChange={(e) => setChosen(e.target.value)}>
          <option value="">nothing</option>
          <optgroup label="This one, with another">
            {variants.map((v) => (
              <option key={v.id} value={v.id}>
                {v.label}
              </option>
            ))}
          </optgroup>
          {others.length > 0 && (
            <optgroup label="Another build, in the same position">
              {others.map((b) => (
                <option key={b.id} value={`${SHELF}${b.id}`}>
                  {b.name}
                </option>
              ))}
            </optgroup>
          )}
        </select>
      )}
    </Field>
  )
}

function curveOf(build: Build, setting: Setting): Float64Array | undefined {
  const made = harnessOf(build)
  if (!made.ok) return undefined
  const load = { cable: build.circuit.cable * CABLE_PER_METRE, amplifier: AMPLIFIER }
  return sweep(compile(toNetlist(made.harness, setting, load)), HERTZ)
}
