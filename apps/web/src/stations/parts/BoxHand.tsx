import {
  askedOf,
  isAsItWas,
  KINDS,
  pileOf,
  pileWords,
  setPartField,
  setTrait,
  slotSpec,
  type Build,
  type Part,
  type Slot,
  type TraitSpec,
} from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Field, INPUT } from '../../ui/Field'
import { PartPicture } from '../../ui/PartPicture'
import { PromisedFor } from './PromisedFor'
import { TextField } from './TextField'

/** The part in hand at the box: what can be said of it by looking, each answer a picture where it looks different. */
export function BoxHand({ slot }: { slot: Slot | undefined }) {
  return (
    <div>
      {slot && <PartAtTheBox slot={slot} />}
      <SoMuch />
    </div>
  )
}

function PartAtTheBox({ slot }: { slot: Slot }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const part = build.parts[slot]
  const { label } = slotSpec(slot)
  return (
    <div className="mb-5">
      <h2 className="text-[23px]">{part?.name ?? label}</h2>
      <p className="text-soft">
        {part && part.name !== label ? `${label}, ` : ''}
        {pileWords(build)[pileOf(part)]}
      </p>
      {part && (
        <>
          {askedOf(KINDS[part.kind]).map(([key, spec]) => (
            <Looks key={key} build={build} slot={slot} part={part} trait={key} spec={spec} />
          ))}
          <div className="mt-3 grid grid-cols-2 gap-x-3 gap-y-2">
            <TextField label="Name" value={part.name} onCommit={(v) => v && change((b) => setPartField(b, slot, 'name', v))} max={120} />
            {part.state === 'ordered' && <PromisedFor slot={slot} part={part} />}
          </div>
        </>
      )}
    </div>
  )
}

/** Options that are told apart by looking; more than these are a list. */
const BUTTONS = 5

function Looks({ build, slot, part, trait, spec }: { build: Build; slot: Slot; part: Part; trait: string; spec: TraitSpec }) {
  const change = useBuild((s) => s.change)
  const told = part.traits[trait]
  const say = (value: string | undefined) => change((b) => setTrait(b, slot, trait, value))
  if (spec.options.length > BUTTONS + 1)
    return (
      <div className="mt-2">
        <Field label={spec.label}>
          {(p) => (
            <select {...p} className={INPUT} value={told ?? ''} onChange={(e) => say(e.target.value || undefined)}>
              <option value="">not said</option>
              {spec.options.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
    )
  const as = (value: string): Build => ({
    ...build,
    parts: { ...build.parts, [slot]: { ...part, traits: { ...part.traits, [trait]: value } } },
  })
  return (
    <fieldset className="mt-2">
      <legend className="label text-[15px]">{spec.label}</legend>
      <div className="flex flex-wrap gap-1.5">
        {spec.options.map(([value, words]) => (
          <label
            key={value}
            className={`flex min-h-10 cursor-pointer items-center gap-1.5 rounded border px-2 text-[14px] ${told === value ? 'border-violet bg-wash' : 'border-hairline bg-sheet'}`}
          >
            <input type="radio" className="sr-only" name={`${slot}-${trait}`} checked={told === value} onChange={() => say(value)} />
            {DRAWN_APART.has(`${part.kind}.${trait}`) && <PartPicture build={as(value)} slot={slot} width={46} height={34} />}
            {words}
          </label>
        ))}
        {told !== undefined && (
          <button type="button" className="min-h-10 px-2 text-[14px] text-soft underline underline-offset-4" onClick={() => say(undefined)}>
            can’t see
          </button>
        )}
      </div>
    </fieldset>
  )
}

/** What looks different on the part itself. */
const DRAWN_APART: ReadonlySet<string> = new Set(['pickup.coils', 'pickup.poles', 'switch.contacts', 'bridge.mount', 'neck.head'])

/** What the box already lets one see. */
function SoMuch() {
  const build = useOpenBuild()
  const evaluation = useBuild((s) => s.evaluation!)
  const { fit, drill, plan, wire } = evaluation
  const open = fit.filter((j) => j.verdict === 'cant-tell' && !isAsItWas(build, j)).length
  const rows: [string, string][] = [
    [count(fit.length, 'joint'), open ? `${open} wait for a reading` : 'all settled'],
    [count(drill.length, 'kind of hole', 'kinds of hole'), 'drilled by sizes that were read, not by guesses'],
    [
      wire.ok ? count(wire.positions.length, 'switch position') : 'no circuit yet',
      wire.ok ? 'what each sounds like, and its wires' : 'say which switch and pickups there are',
    ],
    [count(plan.steps.length, 'step'), plan.steps.find((s) => s.id === plan.ready[0])?.title ?? 'nothing can be begun yet'],
  ]
  return (
    <div>
      <h3 className="text-[18px]">With this box you can already see</h3>
      <dl>
        {rows.map(([what, about]) => (
          <div key={what} className="py-1">
            <dt className="font-bold">{what}</dt>
            <dd className="text-[14px] text-soft">{about}</dd>
          </div>
        ))}
      </dl>
    </div>
  )
}

const count = (n: number, one: string, more = `${one}s`) => `${n} ${n === 1 ? one : more}`
