import { build } from 'esbuild'

/** Bundles one entry of our own code for Node; packages stay outside. Returns the file. */
export async function bundle(entry, outfile) {
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'warning',
  })
  return outfile
}
