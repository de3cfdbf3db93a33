/** Runs what is asked for on the command line: says what came of it, or why not, and ends the process accordingly. */
export function command(main: (args: string[]) => Promise<string>): void {
  main(process.argv.slice(2)).then(
    (said) => {
      process.stdout.write(`${said}\n`)
      process.exit(0)
    },
    (error: unknown) => {
      process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
      process.exit(1)
    },
  )
}
