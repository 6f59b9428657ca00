import type { Knex } from 'knex'

/** What is found by words and by numbers: an index beside the data, brought up to date from the history. */
export async function up(knex: Knex): Promise<void> {
  for (const statement of [
    // Ids run by kind of thing, so that each kind is one range of the word index.
    `CREATE TABLE search_entry (id INTEGER PRIMARY KEY, kind TEXT NOT NULL, row_id TEXT NOT NULL, UNIQUE (row_id, kind))`,
    `CREATE VIRTUAL TABLE search_word USING fts5(words, content='', contentless_delete=1, prefix='2 3', tokenize='unicode61 remove_diacritics 2')`,
    `CREATE TABLE search_term (term TEXT PRIMARY KEY) WITHOUT ROWID`,
    `CREATE TABLE search_number (id INTEGER PRIMARY KEY, issuer_id TEXT NOT NULL, key TEXT NOT NULL, folded TEXT GENERATED ALWAYS AS (replace(replace(key, 'O', '0'), 'I', '1')) VIRTUAL, bare TEXT GENERATED ALWAYS AS (ltrim(key, '0')) VIRTUAL, core TEXT GENERATED ALWAYS AS (substr(key, 1, instr(key || '+', '+') - 1)) VIRTUAL, UNIQUE (key, issuer_id))`,
    `CREATE INDEX search_number_folded ON search_number(folded)`,
    `CREATE INDEX search_number_bare ON search_number(bare)`,
    `CREATE INDEX search_number_core ON search_number(core)`,
    `CREATE VIRTUAL TABLE search_gram USING fts5(key, content='', contentless_delete=1, tokenize='trigram')`,
    `CREATE TABLE search_state (id INTEGER PRIMARY KEY CHECK (id = 1), history_id INTEGER NOT NULL)`,
    `INSERT INTO search_state (id, history_id) VALUES (1, -1)`,
    `CREATE INDEX offer_number ON offer(issuer_id, normalised) WHERE normalised IS NOT NULL`,
    `CREATE INDEX port_value_number ON port_value(field, number) WHERE number IS NOT NULL`,
  ])
    await knex.raw(statement)
}

/** Forward only. */
export async function down(): Promise<void> {
  throw new Error('This migration cannot be undone: restore a backup instead.')
}
