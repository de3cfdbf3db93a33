import {
  isMeasured,
  knownWord,
  KINDS,
  parseSize,
  printFarads,
  printInch,
  printLength,
  printMm,
  printOhms,
  printValue,
  refuse,
  slotSpec,
  specAt,
  startingDoubt,
  toolStep,
  waysToKnow,
  whyNotValue,
  type Known,
  type LengthSystem,
  type Parsed,
  type Size,
  type SizeRef,
  type SizeSpec,
} from '@snug/core'
import { useId, useState } from 'react'
import { usePrefs } from '../state/prefs'
import { EntryField } from './EntryField'

export function printSize(value: number, unit: SizeSpec['unit'], system: LengthSystem): string {
  if (unit === 'mm') return system === 'in' ? printInch(value).text.replace(/ in$/, '') : printMm(value)
  if (unit === 'ohm') return printOhms(value).replace(' ', '')
  if (unit === 'farad') return printFarads(value).replace(' ', '')
  return String(Number(value.toPrecision(6)))
}

/** A value that stands in a sentence, so with its unit. */
export const printWithUnit = (value: number, unit: SizeSpec['unit'], system: LengthSystem): string =>
  unit === 'mm' ? printLength(value, system) : printValue(value, unit)

function parseAllowed(spec: SizeSpec, text: string, system: LengthSystem): Parsed<number> {
  const parsed = parseSize(spec, text, system)
  if (!parsed.ok) return parsed
  const why = whyNotValue(spec, parsed.value)
  return why ? refuse(`${why} The old value is kept.`) : parsed
}

/** What it can be known by; a way a table named besides stays to be seen. */
const waysFor = (spec: SizeSpec, now: Known | undefined): readonly Known[] => {
  const ways = waysToKnow(spec.unit)
  if (now === undefined || ways.includes(now)) return ways
  // Counted is counted, whatever was in the other hand.
  return spec.unit === 'count' && isMeasured(now) ? [now, ...ways.filter((k) => !isMeasured(k))] : [now, ...ways]
}

interface Props {
  sizeRef: SizeRef
  size: Size | undefined
  onCommit: (size: Size) => void
  onClear?: () => void
  autoFocus?: boolean
  label?: string
  /** Enter files the number even when it has not changed. */
  always?: boolean
  /** In big type, for a hand that holds the part meanwhile. */
  big?: boolean
  /** What it is read with unless another tool is named. */
  tool?: Known
  /** Stands in the empty field in place of the usual value. */
  hint?: string
}

/** One size of one part: its number in the bench's own writing, the other system small, its doubt and how it is known. */
export function SizeField({ sizeRef, size, onCommit, onClear, autoFocus, label, always, big = false, tool, hint }: Props) {
  const system = usePrefs((p) => p.system)
  const spec = specAt(sizeRef)
  const id = useId()
  const [error, setError] = useState<string>()
  const options = waysFor(spec, size?.known)
  const [chosen, setChosen] = useState<Known>()
  const usually = tool ?? waysToKnow(spec.unit)[0]!
  const known: Known = size?.known ?? chosen ?? usually
  const commit = (value: number, how: Known = size && isMeasured(size.known) ? size.known : (chosen ?? usually)) =>
    onCommit({
      value,
      doubt: startingDoubt(spec, KINDS[slotSpec(sizeRef.slot).kind].trade, how, value),
      known: how,
      ...(size?.film && size.value === value ? { film: size.film } : {}),
    })
  const other = size && spec.unit === 'mm' ? (system === 'mm' ? printInch(size.value).text : `${printMm(size.value)} mm`) : ''
  return (
    <div className={big ? '' : 'group border-b border-hairline py-1'}>
      <div
        className={
          big
            ? 'grid grid-cols-[minmax(9rem,16rem)_1fr] items-center gap-x-4 gap-y-1'
            : 'grid grid-cols-[1fr_7.2rem_6.4rem] items-center gap-2'
        }
      >
        <div className={big ? 'col-span-2 sr-only' : 'min-w-0 leading-tight'}>
          <label htmlFor={id} className="text-[15px]">
            {label ?? spec.label}
          </label>
          <span className="figure block text-[11.5px] text-soft">{other || (spec.required && !size ? 'needed' : ' ')}</span>
        </div>
        <EntryField
          id={id}
          label={spec.label}
          shown={size ? printSize(size.value, spec.unit, system) : ''}
          placeholder={hint ?? (spec.usual === undefined ? '' : `usual ${printSize(spec.usual, spec.unit, system)}`)}
          parse={(text) =>
            text.trim() === '' && onClear ? refuse('Use the clear button to forget this size.') : parseAllowed(spec, text, system)
          }
          onCommit={(v) => commit(v)}
          onError={setError}
          describedBy={`${id}-about`}
          {...(autoFocus ? { autoFocus } : {})}
          {...(always ? { always } : {})}
          {...(big ? { className: 'h-16 border-2 border-violet text-[34px]' } : {})}
          step={(d) => (size && spec.unit === 'mm' ? stepped(spec, size.value + d * toolStep(size.known)) : undefined)}
        />
        <select
          aria-label={`${label ?? spec.label}: how it is known`}
          className={`label min-h-10 rounded border border-transparent bg-transparent text-soft hover:border-hairline ${big ? 'text-[17px]' : 'text-[14px]'}`}
          value={known}
          onChange={(e) => {
            const how = e.target.value as Known
            setChosen(how)
            if (size) commit(size.value, how)
          }}
        >
          {options.map((k) => (
            <option key={k} value={k}>
              {knownWord(spec.unit, k)}
              {size && k === known && size.doubt > 0 ? ` ±${printDoubt(size.doubt, spec.unit)}` : ''}
            </option>
          ))}
        </select>
      </div>
      {size && <OnFilm size={size} onCommit={onCommit} />}
      <p
        id={`${id}-about`}
        className={error ? 'text-[13px] text-wont' : 'sr-only text-[13.5px] text-soft group-focus-within:not-sr-only'}
        role={error ? 'alert' : undefined}
      >
        {error ?? spec.how ?? ''}
      </p>
    </div>
  )
}

/** Read with film on its walls, which is supposed while coats lie there; it may have been read before them. */
function OnFilm({ size, onCommit }: { size: Size; onCommit: (size: Size) => void }) {
  const [taken, setTaken] = useState<number>()
  const film = size.film ?? taken
  if (!film) return null
  const { film: _, ...bare } = size
  return (
    <label className="flex items-center gap-2 text-[13.5px] text-soft">
      <input
        type="checkbox"
        className="size-4 shrink-0 accent-[var(--violet)]"
        checked={size.film !== undefined}
        onChange={(e) => {
          setTaken(film)
          onCommit(e.target.checked ? { ...size, film } : bare)
        }}
      />
      read with {printMm(film / 1000, 2)} mm of film on each wall
    </label>
  )
}

const stepped = (spec: SizeSpec, value: number) => Math.min(spec.max, Math.max(spec.min, Math.round(value * 1000) / 1000))
const printDoubt = (doubt: number, unit: SizeSpec['unit']) =>
  unit === 'mm'
    ? printMm(doubt)
    : unit === 'ohm'
      ? printOhms(doubt, 2)
      : unit === 'farad'
        ? printFarads(doubt)
        : String(Number(doubt.toPrecision(2)))
