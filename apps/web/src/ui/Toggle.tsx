/** Something that is so or not, with its words beside the box. */
export function Toggle({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input type="checkbox" className="size-5 shrink-0 accent-[var(--violet)]" checked={on} onChange={(e) => onChange(e.target.checked)} />
      {label}
    </label>
  )
}
