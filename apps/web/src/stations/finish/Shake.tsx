import { useEffect, useState } from 'react'
import { Button } from '../../ui/Button'

/** Seconds of shaking by the clock: a can that was shaken for less spits. [practice] */
const SHAKE = 180

export function Shake() {
  const [left, setLeft] = useState<number>()
  useEffect(() => {
    if (!left) return
    const id = setTimeout(() => setLeft(left - 1), 1000)
    return () => clearTimeout(id)
  }, [left])
  return (
    <p className="mt-4 flex items-center gap-4" role="timer">
      <Button onClick={() => setLeft(SHAKE)}>{left === undefined ? `Shake: ${SHAKE / 60} minutes` : 'Again'}</Button>
      {left !== undefined && (
        <span className="figure text-[30px]">{left > 0 ? `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}` : 'shaken'}</span>
      )}
    </p>
  )
}
