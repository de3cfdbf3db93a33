import { IsInt, IsNumber, Max, Min } from 'class-validator'

/** A number between two bounds, with the sentence that says so. */
export const Between =
  (low: number, high: number, what: string, unit = ''): PropertyDecorator =>
  (target, key) => {
    const message = `${what} must be a number from ${low} to ${high}${unit}.`
    IsNumber({ allowNaN: false, allowInfinity: false }, { message })(target, key as string)
    Min(low, { message })(target, key as string)
    Max(high, { message })(target, key as string)
  }

/** The same for whole numbers. */
export const Whole =
  (low: number, high: number, what: string): PropertyDecorator =>
  (target, key) => {
    const message = `${what} must be a whole number from ${low} to ${high}.`
    IsInt({ message })(target, key as string)
    Min(low, { message })(target, key as string)
    Max(high, { message })(target, key as string)
  }
