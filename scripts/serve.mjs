// Starts the built server in this process's place: signals reach it, its exit code is ours.
import { spawn } from 'node:child_process'
import { ensureBuilt, ensureInstalled } from './run.mjs'

export function serve(args = []) {
  ensureInstalled()
  ensureBuilt()
  const child = spawn(
    process.execPath,
    ['--enable-source-maps', 'dist/server/main.js', ...args, ...process.argv.slice(2)],
    { stdio: 'inherit' },
  )
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      child.kill(signal)
      // A stop always stops: what was acknowledged is on the disk already.
      setTimeout(() => child.kill('SIGKILL'), 6000).unref()
    })
  child.on('exit', (code) => process.exit(code ?? 0))
}
