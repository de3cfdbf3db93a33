// A plain line a test file, and what went wrong under it: readable in a file as on a screen.
const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`

export default class PlainReporter {
  onTestModuleEnd(module) {
    const tests = [...module.children.allTests()]
    const failed = tests.filter((t) => t.result().state === 'failed')
    const errors = module.errors()
    const word = failed.length || errors.length ? 'FAIL' : 'ok  '
    console.log(
      `${word} ${module.project.name} ${module.relativeModuleId} ${tests.length} tests (${seconds(module.diagnostic().duration)})`,
    )
    for (const e of errors) console.log(e.stack ?? e.message)
    for (const test of failed) {
      console.log(`     ${test.fullName}`)
      for (const e of test.result().errors ?? [])
        console.log(`${e.message}\n${e.diff ?? ''}\n${(e.stack ?? '').split('\n').slice(0, 8).join('\n')}`)
    }
  }
  onTestRunEnd(_modules, unhandled) {
    for (const e of unhandled) console.log(`FAIL outside any test: ${e.stack ?? e.message}`)
  }
}
