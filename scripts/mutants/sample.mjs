import { createHash } from 'node:crypto'
import { declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin'

const share = Number(process.env.MUTANT_SHARE ?? 1)
const seed = process.env.MUTANT_SEED ?? '1'

/** Between 0 and 1, the same every time for the same words. */
const drawn = (words) => createHash('sha256').update(words).digest().readUInt32BE(0) / 2 ** 32

/** Leaves out all but a share of the declarations, drawn by their words, so that a large folder is judged by a sample. */
const sample = {
  shouldIgnore(path) {
    const top = path.parent?.type === 'Program'
    if (!top || share >= 1) return undefined
    const { start, end } = path.node
    return drawn(`${seed} ${path.hub.file.code.slice(start, end)}`) < share ? undefined : 'not in the sample'
  },
}

export const strykerPlugins = [declareValuePlugin(PluginKind.Ignore, 'sample', sample)]
