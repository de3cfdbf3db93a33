import type { StockItem } from '@snug/core'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsObject,
  IsOptional,
  IsString,
  Length,
  MaxLength,
  ValidateNested,
} from 'class-validator'
import { Between, Whole } from './bounds'
import { problemsOfPart } from './build'
import { IsCheckedBy, problemsOf, RecordOf, says, type Problem } from './decorators'

class LeadDoc {
  @Whole(0, 1000, 'Days promised') promised!: number
  @IsOptional() @Whole(0, 1000, 'Days seen') seen?: number
}

/** POST and PUT /api/stock: a part to hand or on offer. */
export class StockRequest {
  @IsCheckedBy(problemsOfPart) part!: object
  @IsIn(['stash', 'offer'], says('It is in the stash or on offer.')) holding!: StockItem['holding']
  @Whole(0, 1e6, 'The quantity') quantity!: number
  @IsOptional() @IsString() @MaxLength(80, says('A place has at most 80 letters.')) place?: string
  @IsOptional() @Whole(0, 1e6, 'The fewest to keep') minimum?: number
  @RecordOf(
    'recordOf',
    (v) => (typeof v === 'number' && Number.isInteger(v) && v >= 0 ? [] : [{ path: '', why: 'A reserved count is a whole number.' }]),
    1000,
  )
  reserved!: Record<string, number>
  @IsOptional() @Between(0, 1e5, 'Shipping') shipping?: number
  @IsOptional() @IsObject(says('Lead time has days promised and days seen.')) @ValidateNested() @Type(() => LeadDoc) lead?: LeadDoc
}

/** POST /api/stock/many: a donor broken up, or a shelf taken over; all of it or nothing. */
export class StockManyRequest {
  @IsArray(says('Send a list of items.'))
  @ArrayMinSize(1, says('The list is empty.'))
  @ArrayMaxSize(500, says('At most 500 parts at once; use a file for more.'))
  items!: unknown[]
}

/** POST /api/stock/import */
export class CsvRequest {
  @IsString(says('The file’s text is missing.')) @Length(1, 10_000_000, says('A file has 1 letter to 10 MB.')) csv!: string
}

/** POST /api/stock/import-json: what /api/stock.json gave out. */
export class JsonStockRequest {
  @IsArray(says('The file is not a list of parts as Snug Bolt writes it.'))
  @ArrayMinSize(1, says('The list is empty.'))
  @ArrayMaxSize(20_000, says('At most 20000 parts at once.'))
  items!: unknown[]
}

/** Findings of every item in a list, with its place. */
export const problemsOfMany = (items: readonly unknown[]): Problem[] =>
  items.flatMap((item, i) => problemsOf(StockRequest, item).map((p) => ({ path: `items.${i}${p.path ? `.${p.path}` : ''}`, why: p.why })))
