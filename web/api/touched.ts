/** What is read of each kind of page: tables whose change it shows. A page that is not named shows everything. */
const SHOWS: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^\/people$/, ['person']],
  [/^\/settings$/, ['setting']],
  [/^\/suppliers$/, ['supplier']],
  [/^\/issuers$/, ['issuer']],
  [/^\/rates$/, ['rate']],
  [/^\/kits/, ['kit', 'kitItem', 'part']],
  [/^\/reports/, ['report']],
  [/^\/kept/, ['kept']],
  [/^\/watches/, ['watch', 'offer', 'part', 'supplier', 'build', 'rate']],
  [/^\/donors/, ['donor', 'donorItem', 'part']],
  [/^\/offers/, ['offer', 'pastPrice']],
  [
    /^\/parts/,
    [
      ...['part', 'port', 'claim', 'issuer', 'specimen'],
      ...['partNumber', 'supersession', 'interchange', 'application'],
      ...['build', 'pairing', 'couplingChoice', 'pairingPart', 'plan'],
    ],
  ],
  [/^\/(session|backups|joints|templates)/, []],
]
/** Nothing of a build is computed from these. */
const APART = new Set(['person', 'kept'])

/** Whether what a path reads may look other after a change of these tables. */
export function showsChange(path: string, tables: readonly string[]): boolean {
  const own = SHOWS.find(([pattern]) => pattern.test(path))?.[1]
  if (own) return tables.some((table) => own.includes(table))
  return !path.startsWith('/builds') || tables.some((table) => !APART.has(table))
}
