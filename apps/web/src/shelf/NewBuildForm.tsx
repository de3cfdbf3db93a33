import { classValidatorResolver } from '@hookform/resolvers/class-validator'
import { NewBuildRequest } from '@snug/contract'
import { parseLength, START_IDS, STARTING_SETS } from '@snug/core'
import { useMutation } from '@tanstack/react-query'
import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { toast } from 'sonner'
import { api } from '../state/api'
import { Button } from '../ui/Button'
import { Field, INPUT } from '../ui/Field'

/** Name, what it begins with, hand, strings and scale: the same class checks them here and on the server. */
export function NewBuildForm() {
  const navigate = useNavigate()
  const form = useForm<NewBuildRequest>({
    resolver: classValidatorResolver(NewBuildRequest),
    defaultValues: { name: '', handedness: 'right', strings: 6, scale: 647.7 },
  })
  const start = form.watch('start')
  const create = useMutation({
    mutationFn: (wanted: NewBuildRequest) => api.create({ ...wanted }),
    onSuccess: (state) => void navigate(`/builds/${state.id}/parts${start ? '?tab=box' : ''}`),
    onError: (e) => toast.error(e.message),
  })
  const { errors } = form.formState
  /** Its strings and its scale are those of what it begins with, until the person says otherwise. */
  const begin = ({ target: { value } }: { target: { value: string } }) => {
    const set = START_IDS.find((id) => id === value)
    if (!set) return
    form.setValue('strings', STARTING_SETS[set].strings)
    form.setValue('scale', STARTING_SETS[set].scale)
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
      <Field label="Begin with" hint={start ? 'Usual parts; each size is a guess until you read it.' : 'Every part is entered by you.'}>
        {(p) => (
          <select {...p} className={INPUT} {...form.register('start', { onChange: begin, setValueAs: (v: string) => v || undefined })}>
            <option value="">nothing yet</option>
            {START_IDS.map((id) => (
              <option key={id} value={id}>
                {STARTING_SETS[id].label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Hand" error={errors.handedness?.message}>
        {(p) => (
          <select {...p} className={INPUT} {...form.register('handedness')}>
            <option value="right">right-handed</option>
            <option value="left">left-handed</option>
          </select>
        )}
      </Field>
      <Field label="Strings" error={errors.strings?.message}>
        {(p) => <input {...p} className={`${INPUT} figure`} inputMode="numeric" {...form.register('strings', { valueAsNumber: true })} />}
      </Field>
      <Field label="Scale length" hint="mm, or inches like 25.5in" error={errors.scale?.message}>
        {(p) => <input {...p} className={`${INPUT} figure`} {...scale} />}
      </Field>
      <Button look="main" type="submit" disabled={create.isPending} className="justify-center">
        Put it on the shelf
      </Button>
    </form>
  )
}
