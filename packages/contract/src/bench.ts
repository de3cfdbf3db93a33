import { HAVE, type Have } from '@snug/core'
import { IsBoolean, IsIn } from 'class-validator'
import { Between } from './bounds'
import { ListOf, Optional, RecordOf, says } from './fields'
import { each, numberFrom } from './rules'

const MANY = 120
const bits = numberFrom(0.3, 60, 'A bit measures from 0.3 to 60 mm.')

class OwnedDoc {
  @IsIn(HAVE, says(`A thing is one of ${HAVE.join(', ')}.`)) have!: Have
  @Optional() @Between(0, 1e5, 'Its price') price?: number
}

/** PUT /api/bench: what the person who builds has to drill and rout with; mm. */
export class BenchRequest {
  @ListOf(bits, 'Your bits', { most: MANY, each: 'bits' }) bits!: number[]
  @ListOf(numberFrom(20, 1000, 'A throat measures from 20 to 1000 mm.'), 'Your presses', { most: 12, each: 'presses' }) throats!: number[]
  @IsBoolean(says('There is a stand or there is none.')) stand!: boolean
  @IsBoolean(says('There is a guide block or there is none.')) block!: boolean
  @ListOf(bits, 'Your router bits', { most: MANY, each: 'bits' }) routerBits!: number[]
  @ListOf(numberFrom(3, 80, 'A guide bushing measures from 3 to 80 mm.'), 'Your bushings', { most: MANY, each: 'bushings' })
  bushings!: number[]
  @Optional() @RecordOf(each(OwnedDoc)) things?: Record<string, OwnedDoc>
}
