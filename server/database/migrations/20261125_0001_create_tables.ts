import type { Knex } from 'knex'

/** First tables. Every row that people edit has a version; every write appends to the history. */
export async function up(knex: Knex): Promise<void> {
  for (const statement of STATEMENTS) await knex.raw(statement)
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}

const MONEY = (name: string, rest = 'NOT NULL DEFAULT 0'): string =>
  `${name} INTEGER ${rest} CHECK (${name} IS NULL OR typeof(${name}) = 'integer')`
const CURRENCY = (name = 'currency'): string => `${name} TEXT NOT NULL CHECK (length(${name}) = 3)`
const HEAD = `id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1`

const STATEMENTS = [
  `CREATE TABLE issuer (${HEAD}, name TEXT NOT NULL UNIQUE, upper INTEGER NOT NULL DEFAULT 1, noise TEXT NOT NULL DEFAULT ' .-')`,
  `CREATE TABLE supplier (${HEAD}, name TEXT NOT NULL UNIQUE, place TEXT, ${CURRENCY()}, ${MONEY('minimum_minor')}, ${MONEY('shipping_minor')}, ${MONEY('free_over_minor', '')})`,
  `CREATE TABLE rate (${HEAD}, from_currency TEXT NOT NULL, to_currency TEXT NOT NULL, rate REAL NOT NULL CHECK (rate > 0), day TEXT NOT NULL, source TEXT)`,
  `CREATE TABLE part (${HEAD}, kind TEXT NOT NULL, name TEXT NOT NULL CHECK (length(name) > 0), owner_id TEXT REFERENCES part(id), is_default INTEGER NOT NULL DEFAULT 1, from_year INTEGER, to_year INTEGER, mass_g INTEGER, note TEXT)`,
  `CREATE UNIQUE INDEX part_default ON part(owner_id, kind) WHERE owner_id IS NOT NULL AND is_default = 1 AND kind NOT IN ('engine', 'transmission')`,
  `CREATE INDEX part_kind ON part(kind)`,
  `CREATE TABLE part_number (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), issuer_id TEXT NOT NULL REFERENCES issuer(id), number TEXT NOT NULL, normalised TEXT NOT NULL)`,
  `CREATE UNIQUE INDEX part_number_once ON part_number(issuer_id, normalised)`,
  `CREATE INDEX part_number_part ON part_number(part_id)`,
  `CREATE TABLE supersession (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), issuer_id TEXT NOT NULL REFERENCES issuer(id), old_number TEXT NOT NULL, new_number TEXT NOT NULL, one_way INTEGER NOT NULL DEFAULT 0)`,
  `CREATE TABLE port (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, part_id TEXT NOT NULL REFERENCES part(id), kind TEXT NOT NULL, slot TEXT NOT NULL, looks TEXT CHECK (looks IN ('forward', 'rearward')))`,
  `CREATE INDEX port_part ON port(part_id)`,
  `CREATE TABLE build (${HEAD}, name TEXT NOT NULL CHECK (length(name) > 0), recipient_id TEXT REFERENCES part(id), why TEXT, use TEXT, ${CURRENCY()}, tax_rate REAL NOT NULL DEFAULT 0, ${MONEY('labour_rate_minor')}, contingency REAL NOT NULL DEFAULT 0.2, ${MONEY('like_for_like_minor', '')}, must_work TEXT NOT NULL DEFAULT '{"v":1,"data":[]}', inspection INTEGER, school TEXT NOT NULL DEFAULT 'keep', max_suppliers INTEGER, max_donors INTEGER)`,
  `CREATE TABLE specimen (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), build_id TEXT NOT NULL REFERENCES build(id), name TEXT NOT NULL, UNIQUE (build_id, part_id))`,
  `CREATE TABLE claim (${HEAD}, port_id TEXT NOT NULL REFERENCES port(id), field TEXT NOT NULL, value TEXT NOT NULL, plus_minus REAL CHECK (plus_minus IS NULL OR plus_minus >= 0), grade TEXT NOT NULL CHECK (grade IN ('assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted')), method TEXT, source TEXT, said_by TEXT, day TEXT, specimen_id TEXT REFERENCES specimen(id), typed TEXT)`,
  `CREATE INDEX claim_port ON claim(port_id)`,
  `CREATE TABLE port_value (port_id TEXT NOT NULL REFERENCES port(id) ON DELETE CASCADE, field TEXT NOT NULL, number REAL, text TEXT, claim_id TEXT NOT NULL, PRIMARY KEY (port_id, field)) WITHOUT ROWID`,
  `CREATE TABLE kit (${HEAD}, name TEXT NOT NULL, supplier_id TEXT REFERENCES supplier(id), ${MONEY('price_minor')}, ${CURRENCY()}, tax_included INTEGER NOT NULL DEFAULT 1, weight_g INTEGER, omits TEXT, note TEXT)`,
  `CREATE TABLE kit_item (${HEAD}, kit_id TEXT NOT NULL REFERENCES kit(id), part_id TEXT NOT NULL REFERENCES part(id), quantity INTEGER NOT NULL DEFAULT 1 CHECK (quantity > 0))`,
  `CREATE TABLE donor (${HEAD}, name TEXT NOT NULL, place TEXT, ${CURRENCY()}, ${MONEY('price_minor')}, ${MONEY('fetch_minor')}, ${MONEY('disposal_minor')}, ${MONEY('scrap_minor')}, sale_fee REAL NOT NULL DEFAULT 0.1666666667, note TEXT)`,
  `CREATE TABLE donor_item (${HEAD}, donor_id TEXT NOT NULL REFERENCES donor(id), part_id TEXT NOT NULL REFERENCES part(id), quantity INTEGER NOT NULL DEFAULT 1 CHECK (quantity > 0), strip_hours REAL NOT NULL DEFAULT 0, ${MONEY('sale_minor')}, chance REAL NOT NULL DEFAULT 0 CHECK (chance BETWEEN 0 AND 1), selling_hours REAL NOT NULL DEFAULT 0, held INTEGER NOT NULL DEFAULT 0)`,
  `CREATE TABLE offer (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), supplier_id TEXT NOT NULL REFERENCES supplier(id), issuer_id TEXT REFERENCES issuer(id), number TEXT, normalised TEXT, description TEXT, ${MONEY('price_minor')}, ${CURRENCY()}, tax_included INTEGER NOT NULL DEFAULT 1, pack INTEGER NOT NULL DEFAULT 1 CHECK (pack > 0), stock INTEGER CHECK (stock IS NULL OR stock >= 0), lead_days INTEGER CHECK (lead_days IS NULL OR lead_days >= 0), condition TEXT NOT NULL DEFAULT 'new')`,
  `CREATE UNIQUE INDEX offer_once ON offer(supplier_id, issuer_id, normalised, condition, pack) WHERE normalised IS NOT NULL`,
  `CREATE INDEX offer_part ON offer(part_id)`,
  `CREATE TABLE pairing (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), engine_id TEXT NOT NULL REFERENCES part(id), transmission_id TEXT NOT NULL REFERENCES part(id), chosen INTEGER NOT NULL DEFAULT 0, inserted TEXT, UNIQUE (build_id, engine_id, transmission_id))`,
  `CREATE TABLE coupling_choice (${HEAD}, pairing_id TEXT NOT NULL REFERENCES pairing(id), kind TEXT NOT NULL, part_id TEXT NOT NULL REFERENCES part(id), UNIQUE (pairing_id, kind))`,
  `CREATE TABLE decision (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, act TEXT NOT NULL CHECK (act IN ('drop', 'price', 'estimate', 'keep')), ${MONEY('price_minor', '')}, source TEXT, note TEXT, UNIQUE (build_id, need_id, act))`,
  `CREATE TABLE sourcing_lock (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), way TEXT NOT NULL CHECK (way IN ('in', 'out')), candidate TEXT, bundle TEXT, supplier_id TEXT REFERENCES supplier(id), UNIQUE (build_id, candidate, bundle, supplier_id))`,
  `CREATE TABLE plan (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), status TEXT NOT NULL, ${MONEY('total_minor', '')}, ${MONEY('bound_minor', '')}, day TEXT NOT NULL, made_from TEXT NOT NULL, detail TEXT NOT NULL)`,
  `CREATE TABLE plan_line (${HEAD}, plan_id TEXT NOT NULL REFERENCES plan(id), need_id TEXT NOT NULL, source TEXT NOT NULL, candidate TEXT, bundle TEXT, item TEXT, supplier_id TEXT REFERENCES supplier(id), part_id TEXT REFERENCES part(id), packs INTEGER NOT NULL, ${MONEY('cost_minor')})`,
  `CREATE INDEX plan_line_plan ON plan_line(plan_id)`,
  `CREATE TABLE setting (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, value TEXT NOT NULL)`,
  `CREATE TABLE history (id INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, who TEXT NOT NULL, entity TEXT NOT NULL, entity_id TEXT NOT NULL, act TEXT NOT NULL, before TEXT, after TEXT)`,
  `CREATE INDEX history_entity ON history(entity, entity_id)`,
  `CREATE TRIGGER history_is_append_only BEFORE UPDATE ON history BEGIN SELECT RAISE(ABORT, 'history is append-only'); END`,
  `CREATE TRIGGER history_is_kept BEFORE DELETE ON history BEGIN SELECT RAISE(ABORT, 'history is append-only'); END`,
  `CREATE TABLE trash (id TEXT PRIMARY KEY NOT NULL, entity TEXT NOT NULL, entity_id TEXT NOT NULL, at TEXT NOT NULL, rows TEXT NOT NULL)`,
  `CREATE TABLE job (id TEXT PRIMARY KEY NOT NULL, kind TEXT NOT NULL, subject_id TEXT NOT NULL, status TEXT NOT NULL, started TEXT NOT NULL, ended TEXT, error TEXT)`,
]
