import { serve } from '@hono/node-server'
import { demoDocument } from '../../demo/index.ts'
import { priceFeed } from './price-feed.ts'
import { soldBy } from './sold-by.ts'

/** The simulated suppliers' service, a process of its own beside the demo: tells where it listens, ends with whoever began it. */
const server = serve(
  {
    fetch: priceFeed(soldBy(demoDocument()), Date.now).fetch,
    hostname: '127.0.0.1',
    port: Number(process.argv[2] ?? 0),
  },
  ({ port }) => process.send?.({ port }),
)
server.on('error', (error: NodeJS.ErrnoException) => {
  // Another demo's service is there already: it gives the same.
  if (error.code === 'EADDRINUSE') process.exit(0)
  throw error
})
process.on('disconnect', () => process.exit(0))
