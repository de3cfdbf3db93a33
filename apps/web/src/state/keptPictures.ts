import { createStore, del, get, set } from 'idb-keyval'

/** A picture as it is kept: its bytes, which every browser can keep; some keep no files. */
interface Kept {
  name: string
  type: string
  bytes: ArrayBuffer
}

/**
 * Pictures that wait for the server, in the browser, by the id of the entry they go with: too large for where the entries wait, and
 * there on a page that came over the network too.
 */
let store: ReturnType<typeof createStore> | undefined
const here = () => (store ??= createStore('snug-pictures', 'waiting'))

/** What a browser that keeps nothing has for as long as this window is open. */
const inWindow = new Map<string, Kept>()
let keepsNothing = false

export async function keepPicture(id: string, picture: File): Promise<void> {
  const { name, type } = picture
  const kept = { name, type, bytes: await picture.arrayBuffer() }
  try {
    await set(id, kept, here())
  } catch {
    keepsNothing = true
    inWindow.set(id, kept)
  }
}

/** @throws where this browser cannot say whether it has it: that is not the same as having none */
export async function keptPicture(id: string): Promise<File | undefined> {
  const kept = inWindow.get(id) ?? (await read(id))
  return kept && new File([kept.bytes], kept.name, { type: kept.type })
}

async function read(id: string): Promise<Kept | undefined> {
  try {
    return await get<Kept>(id, here())
  } catch (e) {
    // What could not be put away is in this window, or nowhere.
    if (keepsNothing) return undefined
    throw e
  }
}

export async function dropPicture(id: string): Promise<void> {
  inWindow.delete(id)
  try {
    await del(id, here())
  } catch {
    // Nothing was kept.
  }
}
