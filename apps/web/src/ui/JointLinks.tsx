import type { Joint } from '@snug/core'
import { PegMark } from './PegMark'

/** Joints with their pegs; picking one leads to it. */
export const JointLinks = ({
  joints,
  says = false,
  onPick,
}: {
  joints: readonly Joint[]
  says?: boolean
  onPick: (id: string) => void
}) => (
  <ul>
    {joints.map((j) => (
      <li key={j.id} className="border-b border-hairline">
        <button
          type="button"
          onClick={() => onPick(j.id)}
          className="grid min-h-11 w-full grid-cols-[auto_1fr] items-center gap-3 py-1 text-left hover:text-violet"
        >
          <PegMark verdict={j.verdict} condition={j.condition} />
          <span>
            {j.title}
            {says && <span className="block text-[13.5px] text-soft">{j.says}</span>}
          </span>
        </button>
      </li>
    ))}
  </ul>
)
