// Shared by the commands: run a tool, install what is missing, build when something changed.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
process.chdir(root)

/** Runs a command with its output shown; returns its exit code. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { stdio: 'inherit', ...options })
  if (error) console.error(error.message)
  return status ?? 1
}

export const bin = (name) => join(root, 'node_modules', '.bin', name)

/** Installs packages when they are missing or the lock file changed. */
export function ensureInstalled() {
  const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex')
  const stamp = join('node_modules', '.junket-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log(
    'Installing packages: the first time takes a few minutes where the database driver must be compiled.',
  )
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) {
    console.error(
      'Packages could not be installed. See above; a compiler (g++, make, python3) is needed where no ready-made driver fits.',
    )
    process.exit(1)
  }
  writeFileSync(stamp, wanted)
}

/** Newest change under the given folders, ms. */
function newest(paths) {
  let latest = 0
  const visit = (path) => {
    const info = statSync(path)
    if (info.isDirectory()) for (const entry of readdirSync(path)) visit(join(path, entry))
    else latest = Math.max(latest, info.mtimeMs)
  }
  for (const path of paths) if (existsSync(path)) visit(path)
  return latest
}

/** Builds interface and server into dist/ unless the last build is newer than every source. */
export function ensureBuilt() {
  const stamp = join('dist', '.built')
  if (
    existsSync(stamp) &&
    statSync(stamp).mtimeMs >
      newest([
        'core',
        'contract',
        'server',
        'web',
        'demo',
        'index.html',
        'vite.config.ts',
        'package.json',
        'scripts/build-server.mjs',
      ])
  )
    return
  if (
    run(bin('vite'), ['build', '--logLevel', 'warn']) !== 0 ||
    run(process.execPath, ['scripts/build-server.mjs']) !== 0
  ) {
    console.error('The build failed: see above.')
    process.exit(1)
  }
  mkdirSync('dist', { recursive: true })
  writeFileSync(stamp, new Date().toISOString())
}
