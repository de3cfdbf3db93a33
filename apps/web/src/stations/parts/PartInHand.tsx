import {
  askedOf,
  claimSheet,
  KINDS,
  METALS,
  notAsListed,
  promisedAndCame,
  setIn,
  atOdds,
  idleFor,
  wantedSizes,
  PART_STATES,
  putWhere,
  removePart,
  setPartField,
  setTrait,
  slotSpec,
  type Part,
  type PartState,
  type Slot,
  type SlotState,
} from '@snug/core'
import { toast } from 'sonner'
import { TextField } from './TextField'
import { useStockActs } from './useStock'
import { useWhere } from '../../app/where'
import { api } from '../../state/api'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { Choice, Field } from '../../ui/Field'
import { EmptySlot } from './EmptySlot'
import { PasteListing } from './PasteListing'
import { PriceField } from './PriceField'
import { PromisedFor } from './PromisedFor'
import { SizeRows } from './SizeRows'
import { useSizes } from './useSizes'

/** The slot in hand: its part with sizes, or what to enter when it is empty. */
export function PartInHand({ slot }: { slot: Slot }) {
  const build = useOpenBuild()
  const part = build.parts[slot]
  return part ? <Chosen slot={slot} part={part} /> : <EmptySlot slot={slot} />
}

function Chosen({ slot, part }: { slot: Slot; part: Part }) {
  const change = useBuild((s) => s.change)
  const build = useOpenBuild()
  const kind = KINDS[part.kind]
  const acts = useStockActs()
  const { id } = useWhere()
  // What came from the stash goes back to where it lay, with what was measured meanwhile; its reservation ends with the slot.
  const putBack = async () => {
    // Looked up now: a list fetched when the part was chosen may not know yet that it was put by.
    const stash = await api.stock({ kind: part.kind, holding: 'stash', limit: 500 }).catch((e: Error) => void toast.error(e.message))
    if (!stash) return
    const here = { ...part, state: 'in hand' as const }
    const done = { onSuccess: () => change((b) => removePart(b, slot)) }
    const own = stash.items.find((i) => i.part.name === part.name && i.reserved[id])
    if (!own) acts.add.mutate({ part: here, holding: 'stash', quantity: 1, reserved: {} }, done)
    else if (own.quantity === 1) acts.change.mutate({ ...own, part: here }, done)
    else done.onSuccess()
  }
  const off = notAsListed(part)
  const missing = new Set(wantedSizes(build.parts, slot))
  const idle = idleFor(build.parts, slot)
  const said = [
    ...askedOf(kind).map(
      ([key, t]) => part.traits[key] !== 'no' && part.traits[key] !== 'none' && t.options.find(([v]) => v === part.traits[key])?.[1],
    ),
    part.metal,
  ]
    .filter(Boolean)
    .join(', ')
  const unsaid = Object.entries(kind.traits).some(([key, t]) => t.required && !part.traits[key])
  const { open, known, rest } = useSizes(slot, part)
  return (
    <div>
      <h2 className="text-[23px]">{part.name}</h2>
      {idle && <p className="text-mind">Nothing here takes it: {idle}. Take it out, or say of the other part what it is.</p>}
      {atOdds(part).map(({ says }) => (
        <p key={says} className="text-mind">
          {says}
        </p>
      ))}
      {missing.size > 0 && (
        <p className="text-cant">
          {missing.size === 1 ? 'A size is' : `${missing.size} sizes are`} needed before its joints can be judged;{' '}
          {missing.size === 1 ? 'it stands' : 'they stand'} first.
        </p>
      )}
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
        <TextField label="Name" value={part.name} onCommit={(v) => v && change((b) => setPartField(b, slot, 'name', v))} max={120} />
        <TextField
          label="Seller"
          value={part.seller ?? ''}
          onCommit={(v) => change((b) => setPartField(b, slot, 'seller', v || undefined))}
          max={120}
        />
        <Choice<PartState>
          label="Where it is"
          value={part.state}
          options={PART_STATES.map((s) => [s, s] as const)}
          onChange={(s) => change((b) => putWhere(b, slot, s))}
        />
        {part.state === 'in place' && (
          <p className="self-end text-[15px] leading-snug text-soft">
            It stays on the instrument: no hole is made for it, and nothing of it is soldered or taken off.
          </p>
        )}
        <PriceField slot={slot} part={part} currency={build.currency} />
        <PriceField slot={slot} part={part} currency={build.currency} of="original" />
        {part.state === 'ordered' && <PromisedFor slot={slot} part={part} />}
        <Choice<SlotState>
          label="This slot"
          value={build.slots?.[slot] ?? 'fixed'}
          options={[
            ['fixed', 'fixed: this part stays'],
            ['preferred', 'preferred: unless a set is clearly better'],
            ['open', 'open: anything that fits'],
          ]}
          onChange={(v) => change((b) => setIn(b, 'slots', slot, v, `${slotSpec(slot).label}: ${v}`))}
        />
      </div>
      <details className="mt-2 border-y border-hairline" open={unsaid}>
        <summary className="label min-h-10 cursor-pointer content-center text-[15px]">
          What it is: <span className="text-soft">{said || 'nothing said yet'}</span>
        </summary>
        <div className="grid grid-cols-2 gap-x-3 gap-y-2 pb-2">
          {kind.trade !== 'wood' && (
            <Choice
              label="Metal"
              value={part.metal ?? ''}
              options={[['', 'none or not said'], ...METALS.map((m) => [m, m] as const)]}
              onChange={(v) => change((b) => setPartField(b, slot, 'metal', v || undefined))}
            />
          )}
          <Field label="Colour, seen on the long view">
            {(p) => (
              <span className="flex gap-2">
                <input
                  {...p}
                  type="color"
                  className="h-10 w-16 rounded border border-hairline bg-sheet"
                  value={part.colour ?? '#cfa46a'}
                  onChange={(e) => change((b) => setPartField(b, slot, 'colour', e.target.value))}
                />
                {part.colour && (
                  <Button look="quiet" onClick={() => change((b) => setPartField(b, slot, 'colour', undefined))}>
                    as usual
                  </Button>
                )}
              </span>
            )}
          </Field>
          {askedOf(kind).map(([key, spec]) => (
            <Choice
              key={key}
              label={spec.label}
              value={part.traits[key] ?? ''}
              options={[['', 'not said'], ...spec.options]}
              onChange={(v) => change((b) => setTrait(b, slot, key, v || undefined))}
            />
          ))}
        </div>
      </details>
      {off.length > 0 && (
        <div role="alert" className="mt-3 border-l-4 border-wont bg-canvas px-3 py-2">
          <p className="font-bold">Not as listed</p>
          <ul>
            {off.map((d) => (
              <li key={d.key}>{promisedAndCame(part, d)}.</li>
            ))}
          </ul>
          <Button className="mt-1" onClick={() => download(`claim-${slot}.txt`, 'text/plain', claimSheet(part))}>
            Claim sheet
          </Button>
        </div>
      )}
      {open.length > 0 && <h3 className="mt-3 text-[18px]">Its open joints wait for</h3>}
      <SizeRows slot={slot} part={part} keys={open} />
      {known.length > 0 && <h3 className="mt-3 text-[18px]">{open.length ? 'Known or guessed' : 'Sizes'}</h3>}
      <SizeRows slot={slot} part={part} keys={known} />
      {rest.length > 0 && (
        <details className="mt-3 border-y border-hairline">
          <summary className="label min-h-10 cursor-pointer content-center text-[15px]">
            {rest.length} more {rest.length === 1 ? 'size' : 'sizes'} it may have
          </summary>
          <SizeRows slot={slot} part={part} keys={rest} />
        </details>
      )}
      <PasteListing slot={slot} part={part} />
      <div className="mt-4 flex gap-2">
        <Button onClick={() => void putBack()}>Put it in the stash</Button>
        <Button look="quiet" onClick={() => change((b) => removePart(b, slot))}>
          Take it out of the build
        </Button>
      </div>
    </div>
  )
}
