import { settingOperations } from '../../contract/operations/settings.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { find } from '../services/catalogue/find.ts'
import { startingPoints, vocabulary } from '../services/catalogue/words.ts'
import { readSettings, writeSettings } from '../services/shop/settings.ts'
import { serve } from './serve.ts'

export const settingRoutes = ({ store }: Services): App =>
  serve(newRouter(), 'Settings', settingOperations, {
    'GET /settings': async () => readSettings(store),
    'PATCH /settings': async ({ body }) => writeSettings(store, body),
    'GET /words': async () => vocabulary(),
    'GET /templates': async () => startingPoints(store),
    'GET /find': async ({ query }) => find(store, query.q),
  })
