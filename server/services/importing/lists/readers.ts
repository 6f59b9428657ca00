import type { ListKind } from '../../../../core/tables/lists.ts'
import type { Store } from '../../../database/store.ts'
import { ApplicationsReader } from './applications-reader.ts'
import { InterchangeReader } from './interchange-reader.ts'
import { KitsReader } from './kits-reader.ts'
import { type ListReader, ListReading, type ListTerms } from './list-reading.ts'
import { NumbersReader } from './numbers-reader.ts'
import { PartsReader } from './parts-reader.ts'
import { SupersessionsReader } from './supersessions-reader.ts'
import { SuppliersReader } from './suppliers-reader.ts'

const READERS: Readonly<Record<ListKind, () => ListReader>> = {
  parts: () => new PartsReader(),
  numbers: () => new NumbersReader(),
  supersessions: () => new SupersessionsReader(),
  interchange: () => new InterchangeReader(),
  applications: () => new ApplicationsReader(),
  suppliers: () => new SuppliersReader(),
  kits: () => new KitsReader(),
}

export const readingOf = (store: Store, kind: ListKind, terms: ListTerms): ListReading =>
  new ListReading(store, terms, READERS[kind]())
