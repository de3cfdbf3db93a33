import { TriangleAlert } from 'lucide-react'

/** Where work can hurt someone: what to mind, on the card it belongs to. */
export function Caution({ lines }: { lines: readonly string[] }) {
  if (!lines.length) return null
  return (
    <div className="mt-3 flex gap-2 border-l-4 border-copper bg-canvas px-3 py-2 text-[14px]" role="note" aria-label="Caution">
      <TriangleAlert size={18} className="mt-0.5 shrink-0 text-copper" aria-hidden />
      <ul>
        {lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
    </div>
  )
}
