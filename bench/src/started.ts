import { spawn } from 'node:child_process'

/** The built server as a process of its own, on a free port. */
export async function started(env: Record<string, string>, ...args: string[]): Promise<{ url: string; stop: () => Promise<void> }> {
  const child = spawn(process.execPath, ['apps/server/dist/main.js', ...args], {
    cwd: '..',
    env: { ...process.env, ...env, SNUG_PORT: '0' },
  })
  const url = await new Promise<string>((done, fail) => {
    let said = ''
    const hear = (chunk: Buffer) => {
      said += chunk.toString()
      const found = /http:\/\/localhost:\d+/.exec(said)?.[0]
      if (found) done(found.replace('localhost', '127.0.0.1'))
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    child.once('exit', () => fail(new Error(said)))
  })
  const stop = async () => {
    const ended = new Promise((done) => child.once('exit', done))
    child.kill('SIGTERM')
    await ended
  }
  return { url, stop }
}
