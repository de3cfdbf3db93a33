import {
  BackRequest,
  BenchRequest,
  ChangeRequest,
  CsvRequest,
  HandOverRequest,
  JsonStockRequest,
  LogRequest,
  NewBuildRequest,
  RevisionRequest,
  StockManyRequest,
  StockRequest,
} from '@snug/contract'
import { classSchemas } from '@snug/contract/schema'

type Operation = [method: 'get' | 'post' | 'put' | 'delete', path: string, summary: string, body?: new () => object]

/** Every address of the API, in one list; request bodies come from the classes that check them. */
export const OPERATIONS: Operation[] = [
  ['get', '/api/health', 'Is it up'],
  ['get', '/api/builds', 'Builds on the shelf'],
  ['post', '/api/builds', 'Put a new build on the shelf', NewBuildRequest],
  ['get', '/api/builds/{id}', 'One build with its revision'],
  ['delete', '/api/builds/{id}', 'Put a build away'],
  ['post', '/api/builds/{id}/restore', 'Bring a build back'],
  ['post', '/api/builds/{id}/another-job', 'Its instrument once more, for another job on it'],
  ['post', '/api/builds/{id}/changes', 'Change a build', ChangeRequest],
  ['post', '/api/builds/{id}/undo', 'Take the last change back', RevisionRequest],
  ['post', '/api/builds/{id}/redo', 'Make it again', RevisionRequest],
  ['post', '/api/builds/{id}/back', 'Back to an earlier state, as a change', BackRequest],
  ['get', '/api/news', 'Changes as they happen, as server-sent events'],
  ['get', '/api/builds/{id}/events', 'What was changed, latest first, by page: before'],
  ['get', '/api/builds/{id}/at/{revision}', 'The build as it was, to be looked at'],
  ['get', '/api/builds/{id}/bundle', 'The build as a bundle file'],
  ['post', '/api/import', 'Put a bundle on the shelf'],
  ['get', '/api/builds/{id}/log', 'Log entries'],
  ['post', '/api/builds/{id}/log', 'Write a log entry', LogRequest],
  ['post', '/api/builds/{id}/log/{entry}/strike', 'Strike an entry'],
  ['post', '/api/builds/{id}/log/{entry}/unstrike', 'Take a strike back'],
  ['get', '/api/stock', 'Parts in the stash and on offer, by page: q, kind, holding, offset, limit'],
  ['post', '/api/stock', 'Put one part in', StockRequest],
  ['post', '/api/stock/many', 'Put many in, all or none', StockManyRequest],
  ['put', '/api/stock/{id}', 'Change one', StockRequest],
  ['delete', '/api/stock/{id}', 'Take one out'],
  ['get', '/api/stock.csv', 'All of it as a table'],
  ['get', '/api/stock.json', 'All of it as JSON'],
  ['post', '/api/stock/import', 'Take a table in, all or none', CsvRequest],
  ['post', '/api/stock/import-json', 'Take a list as JSON in, all or none', JsonStockRequest],
  ['get', '/api/builds/{id}/photos', 'Pictures of a build, without their bytes'],
  [
    'post',
    '/api/builds/{id}/photos',
    'Take a picture in: its bytes, JPEG or PNG; its name and an id of its own may come along (?name=, ?id=)',
  ],
  ['get', '/api/builds/{id}/photos/{photo}', 'One picture'],
  ['delete', '/api/builds/{id}/photos/{photo}', 'Take a picture out'],
  ['get', '/api/me', 'Who is signed in, and which other benches there are'],
  ['get', '/api/builds/{id}/links', 'Links by which a build is looked at'],
  ['post', '/api/builds/{id}/links', 'Make such a link'],
  ['delete', '/api/builds/{id}/links/{token}', 'Take one back'],
  ['post', '/api/builds/{id}/hand-over', 'Give a build to another bench', HandOverRequest],
  ['get', '/api/bench', 'What there is to drill and rout with'],
  ['put', '/api/bench', 'Say what there is', BenchRequest],
  ['get', '/api/schema/build-bundle', 'JSON Schema of the bundle'],
]

export function openApi(): object {
  const schemas = classSchemas('#/components/schemas/')
  const paths: Record<string, Record<string, unknown>> = {}
  for (const [method, path, summary, body] of OPERATIONS) {
    const names = [...path.matchAll(/{(\w+)}/g)].map((m) => m[1]!)
    ;(paths[path] ??= {})[method] = {
      summary,
      ...(names.length ? { parameters: names.map((name) => ({ name, in: 'path', required: true, schema: { type: 'string' } })) } : {}),
      ...(body
        ? { requestBody: { required: true, content: { 'application/json': { schema: { $ref: `#/components/schemas/${body.name}` } } } } }
        : {}),
      responses: {
        200: { description: 'Done' },
        default: { description: 'A problem, in one sentence', content: { 'application/problem+json': {} } },
      },
    }
  }
  return { openapi: '3.1.0', info: { title: 'Snug Bolt', version: '0.1.0' }, paths, components: { schemas } }
}
