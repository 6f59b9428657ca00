// Finds Chromium for the end-to-end tests: on the path, else from the Debian package as root, else says what to install.
import { spawnSync } from 'node:child_process'
import { run } from './run.mjs'

const NAMES = ['chromium', 'chromium-browser', 'google-chrome-stable', 'google-chrome']

function onPath() {
  if (process.env.CHROMIUM_PATH) return process.env.CHROMIUM_PATH
  for (const name of NAMES) {
    const { status, stdout } = spawnSync('which', [name], { encoding: 'utf8' })
    if (status === 0) return stdout.trim()
  }
  return null
}

export function ensureChromium() {
  const found = onPath()
  if (found) return found
  if (process.getuid?.() === 0 && spawnSync('which', ['apt-get']).status === 0) {
    console.log('Installing Chromium for the end-to-end tests.')
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    run('apt-get', ['update', '-qq'], { env })
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env })
  }
  const installed = onPath()
  if (installed) return installed
  console.error(
    'The end-to-end tests need Chromium. Install it (on Debian: apt-get install chromium), or set CHROMIUM_PATH to where it is.',
  )
  return null
}
