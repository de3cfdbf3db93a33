import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { NewBuildRequest } from '@snug/contract'
import { JOB_IDS, JOBS, newBuild, parseLength, START_IDS, STARTING_SETS, type StartId } from '@snug/core'
import { useMutation } from '@tanstack/react-query'
import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { api } from '../state/api'
import { Button } from '../ui/Button'
import { Field, INPUT } from '../ui/Field'
import { today } from '../state/today'
import { useMemo } from 'react'
import { SmallInstrument } from './SmallInstrument'

/** Name, what it begins with, hand, strings and scale: the same class checks them here and on the server. */
export function NewBuildForm() {
  const navigate = useNavigate()
  const form = useForm<NewBuildRequest>({
    resolver: classValidatorResolver(NewBuildRequest),
    defaultValues: { name: '', handedness: 'right', strings: 6, scale: 647.7, job: 'kit' },
  })
  const start = form.watch('start')
  const job = form.watch('job')
  const create = useMutation({
    mutationFn: (wanted: NewBuildRequest) => api.create({ ...wanted }),
    onSuccess: (state) => void navigate(`/builds/${state.id}/parts${start ? '?tab=box' : ''}`),
    onError: (e) => toast.error(e.message),
  })
  const { errors } = form.formState
  /** Its strings and its scale are those of what it begins with, until the person says otherwise. */
  const begin = (id: StartId) => {
    form.setValue('start', id)
    form.setValue('strings', STARTING_SETS[id].strings)
    form.setValue('scale', STARTING_SETS[id].scale)
  }
  const scale = form.register('scale', {
    setValueAs: (typed: string | number) => {
      const parsed = parseLength(String(typed))
      return parsed.ok ? Math.round(parsed.value * 1000) / 1000 : Number.NaN
    },
  })
  return (
    <form className="mt-3 flex flex-col gap-3" noValidate onSubmit={(e) => void form.handleSubmit((wanted) => create.mutate(wanted))(e)}>
      <Field label="Name" error={errors.name?.message}>
        {(p) => <input {...p} className={INPUT} {...form.register('name')} />}
      </Field>
      <Field label="What kind of job" {...(job ? { hint: JOBS[job].about } : {})}>
        {(p) => (
          <select {...p} className={INPUT} {...form.register('job')}>
            {JOB_IDS.map((id) => (
              <option key={id} value={id}>
                {JOBS[id].label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <fieldset>
        <legend className="label text-[15px]">Begin with an instrument like this</legend>
        <p className="text-[13px] text-soft">
          {start ? 'Usual parts; each size is a guess until you read it.' : 'Every part is entered by you.'}
        </p>
        <div className="mt-1 grid grid-cols-2 gap-1.5">
          {START_IDS.map((id) => (
            <StartChoice key={id} id={id} checked={start === id} onChoose={() => begin(id)} />
          ))}
          <label className={choiceLook(!start)}>
            <input type="radio" name="start" className="sr-only" checked={!start} onChange={() => form.setValue('start', undefined)} />
            <span className="content-center">nothing yet</span>
          </label>
        </div>
      </fieldset>
      <div className="grid grid-cols-[1.3fr_0.7fr_1fr] gap-2">
        <Field label="Hand" error={errors.handedness?.message}>
          {(p) => (
            <select {...p} className={INPUT} {...form.register('handedness')}>
              <option value="right">right</option>
              <option value="left">left</option>
            </select>
          )}
        </Field>
        <Field label="Strings" error={errors.strings?.message}>
          {(p) => <input {...p} className={`${INPUT} figure`} inputMode="numeric" {...form.register('strings', { valueAsNumber: true })} />}
        </Field>
        <Field label="Scale length" hint="mm or in" error={errors.scale?.message}>
          {(p) => <input {...p} className={`${INPUT} figure`} {...scale} />}
        </Field>
      </div>
      <Button look="main" type="submit" disabled={create.isPending} className="justify-center">
        Put it on the shelf
      </Button>
    </form>
  )
}

const choiceLook = (checked: boolean) =>
  `flex min-h-10 cursor-pointer flex-col rounded border px-2 py-1 text-[13px] leading-tight has-focus-visible:outline-2 has-focus-visible:outline-violet ${checked ? 'border-violet bg-wash' : 'border-hairline bg-paper hover:border-violet'}`

/** One of the instruments to begin with, as it would lie there. */
function StartChoice({ id, checked, onChoose }: { id: StartId; checked: boolean; onChoose: () => void }) {
  const { label, strings, scale } = STARTING_SETS[id]
  const build = useMemo(
    () => newBuild({ name: label, handedness: 'right', strings, scale, start: id }, today()),
    [id, label, scale, strings],
  )
  return (
    <label className={choiceLook(checked)}>
      <input type="radio" name="start" className="sr-only" checked={checked} onChange={onChoose} />
      <SmallInstrument build={build} height={34} />
      <span>{label}</span>
    </label>
  )
}
