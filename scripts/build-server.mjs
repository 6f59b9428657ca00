// Bundles the server and its workers into dist/server; packages stay in node_modules.
import { buildServer, WORKERS } from './bundle.mjs'

await buildServer('dist/server', {
  main: 'server/main.ts',
  'price-feed': 'server/stand-ins/main.ts',
  ...WORKERS,
})
