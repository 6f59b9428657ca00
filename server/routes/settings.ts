import { z } from 'zod'
import { settingsInput } from '../../contract/rows.ts'
import { JOINTS } from '../../core/joints/index.ts'
import { TOLERANCES } from '../../core/joints/tolerances.ts'
import { STOPPERS } from '../../core/pairing/stoppers.ts'
import type { FieldWords } from '../../core/ports/field.ts'
import { PORT_KINDS } from '../../core/ports/index.ts'
import { PART_KINDS } from '../../core/ports/part-kinds.ts'
import { METHODS } from '../../core/quantity/methods.ts'
import { PATTERN_FAMILIES } from '../../core/templates/families.ts'
import { TEMPLATES } from '../../core/templates/index.ts'
import { type App, newRouter, type Services } from '../router.ts'
import { find } from '../services/find.ts'
import { familiesOf } from '../services/parts.ts'
import { readSettings, writeSettings } from '../services/settings.ts'
import { route } from './route.ts'

export function settingRoutes({ store }: Services): App {
  const app = newRouter()
  const tag = 'Settings'
  route(
    app,
    {
      method: 'get',
      path: '/settings',
      summary: 'Units, tolerances and the time zone of the shop',
      tag,
    },
    async () => readSettings(store),
  )
  route(
    app,
    {
      method: 'patch',
      path: '/settings',
      summary: 'Change units, tolerances or the time zone; null goes back to the default',
      tag,
      body: settingsInput,
    },
    async ({ body }) => writeSettings(store, body),
  )
  route(
    app,
    {
      method: 'get',
      path: '/words',
      summary: 'Kinds of part, ports and their fields, methods, tolerances, joints',
      tag,
    },
    async () => ({
      partKinds: PART_KINDS,
      methods: METHODS,
      tolerances: TOLERANCES,
      joints: JOINTS.map(({ id, number, short, title, decides }) => ({
        id,
        number,
        short,
        title,
        decides,
      })),
      ports: Object.fromEntries(
        Object.values(PORT_KINDS).map(({ kind, title, looks, fields }) => [
          kind,
          {
            title,
            looks,
            fields: Object.entries(fields as Record<string, FieldWords<unknown>>).map(
              ([name, { label, unit, type, choices, methods, minutes }]) => ({
                name,
                label,
                unit,
                type,
                choices: choices ?? null,
                methods,
                minutes,
              }),
            ),
          },
        ]),
      ),
    }),
  )
  route(
    app,
    {
      method: 'get',
      path: '/templates',
      summary: 'Type templates, pattern families and stopper questions for a new build',
      tag,
    },
    async () => ({
      templates: TEMPLATES.map(({ id, kind, words, says, massKg }) => ({
        id,
        kind,
        words,
        says,
        massKg,
      })),
      families: [
        ...PATTERN_FAMILIES.map(({ id, words }) => ({ id, words })),
        ...(await familiesOf(store)),
      ],
      stoppers: STOPPERS,
    }),
  )
  route(
    app,
    {
      method: 'get',
      path: '/find',
      summary: 'Find builds, parts, numbers in any spelling, donors, kits and suppliers',
      tag,
      query: z.object({ q: z.string().max(200) }),
    },
    async ({ query }) => ({ items: await find(store, query.q) }),
  )
  return app
}
