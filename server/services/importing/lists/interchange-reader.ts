import { groupBy } from '../../../../core/group.ts'
import type { ListRow } from '../../../documents/list-rows.ts'
import type { Desk, ListReader, Numbered } from './list-reading.ts'

interface Member extends Numbered {
  readonly way: 'both' | 'serves' | 'served'
  readonly scope: unknown
}
interface Group {
  readonly first: ListRow
  /** The row that says where the group holds. */
  where: ListRow | null
  readonly members: Map<string, Member>
  isBad: boolean
}
const keyOf = ({ issuerId, normalised }: Pick<Numbered, 'issuerId' | 'normalised'>): string =>
  `${issuerId} ${normalised}`
const membersKey = (members: Iterable<Pick<Member, 'issuerId' | 'normalised' | 'way'>>): string =>
  [...members]
    .map((one) => `${keyOf(one)} ${one.way}`)
    .sort()
    .join('|')

/** Interchange: rows of one group serve for one another; one without a number says where the group holds. */
export class InterchangeReader implements ListReader {
  readonly #groups = new Map<string, Group>()

  async match(rows: readonly ListRow[], desk: Desk): Promise<void> {
    for (const row of rows) {
      const { line, cells } = row
      const group = this.#groups.get(cells.group!) ?? {
        first: row,
        where: null,
        members: new Map(),
        isBad: false,
      }
      this.#groups.set(cells.group!, group)
      if (cells.number === undefined) {
        group.where = row
        continue
      }
      if (cells.issuer === undefined) {
        desk.fault(line, 'issuer', 'Say whose number it is.')
        group.isBad = true
        continue
      }
      const number = desk.numbered(line, cells.issuer, cells.number)
      const way = desk.oneOf(row, 'way', ['both', 'serves', 'served'])
      const scope = desk.where(row)
      if (number && way && scope !== false)
        group.members.set(keyOf(number), { ...number, way, scope })
      else group.isBad = true
    }
  }

  async end(desk: Desk): Promise<void> {
    const groups = [...this.#groups.entries()].flatMap(([name, group]) => {
      if (group.isBad) return []
      if (group.members.size < 2) {
        desk.fault(group.first.line, 'group', `The group ${name} has fewer than two numbers.`)
        return []
      }
      const head = group.where ?? group.first
      const serves = desk.oneOf(head, 'serves', ['yes', 'no'])
      const said = desk.said(head)
      const scope = group.where ? desk.where(group.where) : null
      return serves && said && scope !== false
        ? [{ group, values: { serves, scope, ...said } }]
        : []
    })
    const known = await this.#known(
      desk,
      groups.flatMap(({ group }) => [...group.members.values()]),
    )
    for (const { group, values } of groups) {
      const key = `${values.serves} ${membersKey(group.members.values())}`
      if (known.has(key)) {
        desk.counts.unchanged++
        continue
      }
      known.add(key)
      const interchangeId = desk.insert('interchange', values)
      for (const member of group.members.values())
        desk.insert('interchangeNumber', { interchangeId, ...member })
      desk.counts.added++
    }
  }

  async #known(desk: Desk, members: readonly Member[]): Promise<Set<string>> {
    const ids = new Set<string>()
    for (const issuerId of new Set(members.map((one) => one.issuerId)))
      for (const row of await desk.store.readIn(
        'interchangeNumber',
        'normalised',
        [
          ...new Set(
            members.filter((one) => one.issuerId === issuerId).map(({ normalised }) => normalised),
          ),
        ],
        { issuerId },
      ))
        ids.add(row.interchangeId)
    const [rows, numbers] = await Promise.all([
      desk.store.readIn('interchange', 'id', [...ids]),
      desk.store.readIn('interchangeNumber', 'interchangeId', [...ids]),
    ])
    const ofGroup = groupBy(numbers, ({ interchangeId }) => interchangeId)
    return new Set(
      rows
        .filter(({ struckDay }) => struckDay === null)
        .map(({ id, serves }) => `${serves} ${membersKey(ofGroup.get(id) ?? [])}`),
    )
  }
}
