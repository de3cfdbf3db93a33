import { BUNDLE_FORMAT, BUNDLE_VERSION, type Build, type Bundle, type LogEntry, type PhotoFile } from '@snug/core'

export const toBundle = (build: Build, log: LogEntry[], exported: string, photos: PhotoFile[] = []): Bundle => ({
  format: BUNDLE_FORMAT,
  version: BUNDLE_VERSION,
  exported,
  build,
  log,
  ...(photos.length ? { photos } : {}),
})

/** Text of a bundle file: indented, keys in the order they stand, so that two exports compare line by line. */
export const printBundle = (bundle: Bundle): string => `${JSON.stringify(bundle, null, 2)}\n`

export type BundleRead = { ok: true; data: Record<string, unknown> } | { ok: false; why: string }

/**
 * Reads the outside of a bundle: is it JSON, is it ours, is it a version we know. What is inside is checked afterwards.
 */
export function readBundle(text: string): BundleRead {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (e) {
    return { ok: false, why: `This file is not JSON: ${(e as Error).message}. Choose a build bundle exported by Snug Bolt.` }
  }
  return bundleOutside(data)
}

export function bundleOutside(data: unknown): BundleRead {
  if (typeof data !== 'object' || data === null || Array.isArray(data) || (data as Record<string, unknown>).format !== BUNDLE_FORMAT)
    return { ok: false, why: `This JSON is not a build bundle: its "format" should read "${BUNDLE_FORMAT}". Nothing was imported.` }
  const bundle = data as Record<string, unknown>
  const { version } = bundle
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return { ok: false, why: 'The bundle’s "version" is not a whole number. Nothing was imported.' }
  if (version > BUNDLE_VERSION)
    return {
      ok: false,
      why: `This bundle is of version ${version}; this Snug Bolt reads up to version ${BUNDLE_VERSION}. Update Snug Bolt, then import it again. Nothing was imported.`,
    }
  return { ok: true, data: bundle }
}
