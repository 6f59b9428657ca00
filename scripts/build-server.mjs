// Bundles the server and its workers into dist/server; packages stay in node_modules.
import { build } from 'esbuild'

await build({
  entryPoints: {
    main: 'server/main.ts',
    'solve-worker': 'server/jobs/solve-worker.ts',
    'reading-worker': 'server/jobs/reading-worker.ts',
    'read-worker': 'server/jobs/read-worker.ts',
    'import-worker': 'server/jobs/import-worker.ts',
    'backup-worker': 'server/jobs/backup-worker.ts',
    'price-feed': 'server/stand-ins/main.ts',
    'photo-worker': 'server/jobs/photo-worker.ts',
  },
  outdir: 'dist/server',
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  sourcemap: true,
  logLevel: 'warning',
})
