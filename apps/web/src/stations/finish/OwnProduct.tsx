import { PRODUCTS, setFinish } from '@snug/core'
import { useState } from 'react'
import { keyFor } from '../../state/keyFor'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'

/** A product of one's own: it begins like one that ships, and its label's figures go over that. */
export function OwnProduct({ like: first = 'lacquer-clear' }: { like?: string }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [name, setName] = useState('')
  const [like, setLike] = useState(Object.hasOwn(PRODUCTS, first) ? first : 'lacquer-clear')
  const id = keyFor(name)
  const taken = Object.hasOwn(PRODUCTS, id) || build.finish.labels?.[id] !== undefined
  const add = () => {
    change((b) => setFinish(b, 'labels', { ...b.finish.labels, [id]: { name: name.trim(), like } }, `Product: ${name.trim()}`))
    setName('')
  }
  return (
    <details className="mt-2">
      <summary className="label min-h-9 font-semibold">A product of your own</summary>
      <div className="grid grid-cols-2 gap-2">
        <Field label="Its name" error={taken ? `There is a product of that name already.` : undefined}>
          {(p) => <input {...p} className={INPUT} maxLength={60} value={name} onChange={(e) => setName(e.target.value)} />}
        </Field>
        <Field label="It is like">
          {(p) => (
            <select {...p} className={INPUT} value={like} onChange={(e) => setLike(e.target.value)}>
              {Object.entries(PRODUCTS).map(([key, product]) => (
                <option key={key} value={key}>
                  {product.label}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      <Button className="mt-1" disabled={!name.trim() || taken} onClick={add}>
        Add it to what can be laid
      </Button>
    </details>
  )
}
