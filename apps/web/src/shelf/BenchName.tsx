import { useMe } from './useMe'

/** Whose shelf this is, where benches sign in, and the way out: a plain form, which works whatever else does not. */
export function BenchName() {
  const bench = useMe()?.bench
  if (bench === undefined) return <span className="ml-auto" />
  return (
    <form method="post" action="/sign-out" className="ml-auto flex items-baseline gap-2">
      <span className="label text-[16px]">{bench}</span>
      <button type="submit" className="label min-h-10 px-2 text-[14px] text-soft hover:text-violet">
        Sign out
      </button>
    </form>
  )
}
