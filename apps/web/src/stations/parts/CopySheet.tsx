import { KINDS, type KindName, measuringSheet } from '@snug/core'
import { useState } from 'react'
import { INPUT } from '../../ui/Field'
import { PrintSheet } from '../../ui/PrintSheet'

export function Copy() {
  const [kind, setKind] = useState<KindName>('neck')
  return (
    <div>
      <h2 className="text-[23px]">Copy from an instrument you like</h2>
      <p className="mt-1">
        Necks are chosen by feel. Print the sheet, take it and the calipers to the instrument, and enter the readings under Parts
        afterwards.
      </p>
      <select aria-label="What to copy" className={`${INPUT} mt-2`} value={kind} onChange={(e) => setKind(e.target.value as KindName)}>
        {(['neck', 'body', 'guard', 'control-plate', 'bridge', 'pickup', 'tuners', 'nut'] as const).map((k) => (
          <option key={k} value={k}>
            {KINDS[k].label}
          </option>
        ))}
      </select>
      <PrintSheet main sheet={() => measuringSheet(kind)} label="Print the measuring sheet" />
    </div>
  )
}
