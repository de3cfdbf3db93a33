import { LIMITS, type StockItem } from '@snug/core'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsString, Length, MaxLength } from 'class-validator'
import { Between, Whole } from './bounds'
import { shaped, under, type Problem } from './checked'
import { IsCheckedBy, Nested, Optional, RecordOf, says } from './fields'
import { PartDoc, problemsOfPart } from './part'
import { refTo, wholeFrom } from './rules'

class LeadDoc {
  @Whole(0, 1000, 'Days promised') promised!: number
  @Optional() @Whole(0, 1000, 'Days seen') seen?: number
}

/** POST and PUT /api/stock: a part to hand or on offer. */
export class StockRequest {
  @IsCheckedBy(problemsOfPart, refTo(PartDoc.name)) part!: object
  @IsIn(['stash', 'offer'], says('It is in the stash or on offer.')) holding!: StockItem['holding']
  @Whole(0, 1e6, 'The quantity') quantity!: number
  @Optional() @IsString() @MaxLength(LIMITS.place, says(`A place has at most ${LIMITS.place} letters.`)) place?: string
  @Optional() @Whole(0, 1e6, 'The fewest to keep') minimum?: number
  @RecordOf(wholeFrom(0, 1e6, 'A reserved count is a whole number.'), LIMITS.reserved)
  reserved!: Record<string, number>
  @Optional() @Between(0, 1e5, 'Shipping') shipping?: number
  @Optional() @Nested(LeadDoc, 'Lead time has days promised and days seen.') lead?: LeadDoc
}

/** POST /api/stock/many: a donor broken up, or a shelf taken over; all of it or nothing. */
export class StockManyRequest {
  @IsArray(says('Send a list of items.'))
  @ArrayMinSize(1, says('The list is empty.'))
  @ArrayMaxSize(LIMITS.many, says(`At most ${LIMITS.many} parts at once; use a file for more.`))
  items!: unknown[]
}

/** POST /api/stock/import */
export class CsvRequest {
  @IsString(says('The file’s text is missing.')) @Length(1, LIMITS.file, says('A file has 1 letter to 10 MB.')) csv!: string
}

/** POST /api/stock/import-json: what /api/stock.json gave out. */
export class JsonStockRequest {
  @IsArray(says('The file is not a list of parts as Snug Bolt writes it.'))
  @ArrayMinSize(1, says('The list is empty.'))
  @ArrayMaxSize(LIMITS.rows, says(`At most ${LIMITS.rows} parts at once.`))
  items!: unknown[]
}

/** One item after the other, as each was checked; findings carry the item's place. */
export function checkedItem(plain: unknown, place: number): { item?: StockRequest; problems: Problem[] } {
  const result = shaped(StockRequest, plain)
  return result.ok ? { item: result.value, problems: [] } : { problems: under(`items.${place}`, result.problems) }
}
