import { build } from 'esbuild'

const OPTIONS = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
}

/** Bundles one entry of our own code for Node; packages stay outside. Returns the file. */
export async function bundle(entry, outfile) {
  await build({ ...OPTIONS, entryPoints: [entry], outfile })
  return outfile
}

/** What runs on threads of its own. */
export const WORKERS = Object.fromEntries(
  ['solve', 'reading', 'read', 'import', 'backup', 'photo'].map((name) => [
    `${name}-worker`,
    `server/jobs/${name}-worker.ts`,
  ]),
)

/** Bundles entries that share what they have in common. */
export const buildServer = (outdir, entryPoints) =>
  build({ ...OPTIONS, entryPoints, outdir, splitting: true, sourcemap: true })
