import { stripVTControlCharacters } from 'node:util'
import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter'

/** A plain line a test, and what went wrong under it: readable in a file as on a screen. */
export default class PlainReporter implements Reporter {
  onTestEnd(test: TestCase, result: TestResult): void {
    const name = `${test.location.file.replace(/.*\//, '')} ${test.title}`
    console.log(`${result.status === 'passed' ? 'ok  ' : 'FAIL'} ${name} (${(result.duration / 1000).toFixed(1)} s)`)
    for (const { name, body } of result.attachments) if (name === 'shown') console.log(body?.toString())
    for (const error of result.errors) console.log(stripVTControlCharacters(error.stack ?? error.message ?? ''))
  }
}
