import { Router } from 'express'
import { benchOf, setShown, shownBy } from '../benches/who'
import { noSuch } from '../builds/store'
import type { Db } from '../db/open'
import { HttpProblem } from '../http/problem'
import { isShown } from '../share/public'
import type { Owners } from './owners'
import { buildShown } from './store'

/** What is looked at by a link: the build, its log, its pictures; not what else its owner can do with it. */
const LOOKED_AT = /^\/(log|photos(\/[^/]+)?|bundle|events|at\/\d+)?$/i

/**
 * Stands before every route of a build: only its own bench gets past, and whoever has a link to it, to look. Another bench's build
 * is as good as none, so that nobody learns by guessing which there are. What counts as a build's address is asked of the same
 * matching that finds its routes, so that no other way of writing one leads round it.
 * @param owners whose builds are, where every bench signs in
 */
export function ownBuild(db: Db, owners: Owners | undefined): Router {
  const routes = Router()
  routes.use('/builds/:id', async (req, res, next) => {
    const { id } = req.params
    if (id === 'example') return next()
    if (isShown(id)) {
      const build = await buildShown(db, id)
      if (build === undefined)
        throw new HttpProblem(404, 'This link leads nowhere any more: it was taken back, or was cut short on its way.')
      if (req.method !== 'GET' || !LOOKED_AT.test(req.path))
        throw new HttpProblem(403, 'This build is shown to be looked at; only its own bench can change it.')
      setShown(res, id, build)
      return next()
    }
    // Where nobody signs in, all of them are of the one bench there is.
    if (owners && (await owners.of(id)) !== benchOf(res)) throw noSuch(id)
    next()
  })
  routes.use((req, res, next) => {
    const shown = shownBy(res)
    if (shown) req.url = req.url.replace(shown.token, shown.build)
    next()
  })
  return routes
}
