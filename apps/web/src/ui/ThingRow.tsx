import { useEffect, useRef, type ReactNode, type Ref } from 'react'

interface Props {
  number?: ReactNode
  mark?: ReactNode
  title: ReactNode
  about?: ReactNode
  figure?: ReactNode
  under?: ReactNode
  selected: boolean
  onSelect: () => void
}

/** One thing in a station's list: mark, name, what is to do, its number. The one in hand is marked at the edge. */
export function ThingRow(props: Props) {
  const ref = useRef<HTMLButtonElement>(null)
  const { selected } = props
  useEffect(() => {
    if (!selected) return
    // Where it lies is reckoned by the whole page: asked after the frame that reckons it anyway, and not once more before.
    let timer: ReturnType<typeof setTimeout> | undefined
    const frame = requestAnimationFrame(() => (timer = setTimeout(() => ref.current?.scrollIntoView({ block: 'nearest' }))))
    return () => {
      cancelAnimationFrame(frame)
      clearTimeout(timer)
    }
  }, [selected])
  return (
    <li>
      <ThingButton {...props} ref={ref} />
    </li>
  )
}

/** The same where the list brings its own places for its rows. */
export function ThingButton({
  number,
  mark,
  title,
  about,
  figure,
  under,
  selected,
  onSelect,
  ref,
}: Props & { ref?: Ref<HTMLButtonElement> }) {
  return (
    <button
      ref={ref}
      type="button"
      aria-current={selected ? 'true' : undefined}
      // One stop for the whole list; J, K and the arrows walk in it.
      tabIndex={selected ? 0 : -1}
      onClick={onSelect}
      className={`grid min-h-11 w-full grid-cols-[auto_auto_1fr_auto] items-center gap-x-3 border-b border-l-4 border-b-hairline px-3 py-1.5 text-left ${selected ? 'border-l-violet bg-wash' : 'border-l-transparent hover:bg-canvas/60'}`}
    >
      <span className="figure min-w-5 whitespace-nowrap text-right text-[13px] text-soft">{number}</span>
      <span className="grid w-6 place-items-center">{mark}</span>
      <span className="min-w-0">
        <span className="block truncate font-bold">{title}</span>
        {about && <span className={`block truncate text-[13.5px] ${selected ? 'text-ink' : 'text-soft'}`}>{about}</span>}
      </span>
      <span className="figure text-right text-[15px] whitespace-nowrap">
        {figure}
        {under && <span className={`block text-[12px] ${selected ? 'text-ink' : 'text-soft'}`}>{under}</span>}
      </span>
    </button>
  )
}
