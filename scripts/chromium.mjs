// Finds Chromium for the end-to-end tests: its headless shell, which takes half the work of the whole browser, on the path
// or from the Debian package as root; else the browser on the path; else says what to install.
import { spawnSync } from 'node:child_process'
import { run } from './run.mjs'

const SHELL = 'chromium-headless-shell'
const BROWSERS = ['chromium', 'chromium-browser', 'google-chrome-stable', 'google-chrome']

const onPath = (names) => {
  for (const name of names) {
    const { status, stdout } = spawnSync('which', [name], { encoding: 'utf8' })
    if (status === 0) return stdout.trim()
  }
  return null
}

/** Where nothing can be fetched it does nothing, and that is no fault yet. */
function install() {
  if (process.getuid?.() !== 0 || spawnSync('which', ['apt-get']).status !== 0) return
  console.log('Installing Chromium for the end-to-end tests.')
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  run('apt-get', ['update', '-qq'], { env })
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', SHELL], { env })
}

export function ensureChromium() {
  if (process.env.CHROMIUM_PATH) return process.env.CHROMIUM_PATH
  if (!onPath([SHELL])) install()
  const found = onPath([SHELL, ...BROWSERS])
  if (found) return found
  console.error(
    `The end-to-end tests need Chromium. Install it (on Debian: apt-get install ${SHELL}), or set CHROMIUM_PATH to where it is.`,
  )
  return null
}
