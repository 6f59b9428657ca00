// Development: the server restarts on change through tsx, the interface is served by Vite with hot reload.
import { spawn } from 'node:child_process'
import { bin, ensureInstalled } from './run.mjs'

ensureInstalled()
const children = [
  spawn(bin('tsx'), ['watch', 'server/main.ts', ...process.argv.slice(2)], {
    stdio: 'inherit',
    env: { ...process.env, JUNKET_CHECK_ANSWERS: '1' },
  }),
  spawn(bin('vite'), [], { stdio: 'inherit' }),
]
const stop = () => {
  for (const child of children) child.kill('SIGTERM')
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
for (const child of children) child.on('exit', stop)
