import { type Kysely, sql } from 'kysely';

// The tables of the first whole path: people, sites, drafts, what is published, and conversations.
const STATEMENTS = [
  `CREATE TABLE instance (key TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT`,
  `CREATE TABLE person (
    id TEXT PRIMARY KEY, mail TEXT NOT NULL UNIQUE CHECK (mail = lower(mail)), name TEXT NOT NULL, password_hash TEXT NOT NULL,
    locale TEXT NOT NULL, created_ms INTEGER NOT NULL CHECK (created_ms > 0), disabled_ms INTEGER CHECK (disabled_ms > 0)) STRICT`,
  `CREATE TABLE session (
    token_hash TEXT PRIMARY KEY, person_id TEXT NOT NULL REFERENCES person (id) ON DELETE CASCADE,
    created_ms INTEGER NOT NULL CHECK (created_ms > 0), seen_ms INTEGER NOT NULL CHECK (seen_ms > 0),
    expires_ms INTEGER NOT NULL CHECK (expires_ms > 0), agent TEXT NOT NULL) STRICT`,
  `CREATE INDEX session_person ON session (person_id)`,
  `CREATE INDEX session_expires ON session (expires_ms)`,
  `CREATE TABLE site (
    id TEXT PRIMARY KEY, key TEXT NOT NULL UNIQUE CHECK (length(key) = 12), name TEXT NOT NULL, address TEXT, zone TEXT NOT NULL,
    zone_confirmed INTEGER NOT NULL CHECK (zone_confirmed IN (0, 1)), default_locale TEXT NOT NULL,
    paused_ms INTEGER CHECK (paused_ms > 0), retention_days INTEGER NOT NULL CHECK (retention_days > 0),
    created_ms INTEGER NOT NULL CHECK (created_ms > 0)) STRICT`,
  `CREATE TABLE site_domain (
    site_id TEXT NOT NULL REFERENCES site (id), origin TEXT NOT NULL, is_test INTEGER NOT NULL CHECK (is_test IN (0, 1)),
    PRIMARY KEY (site_id, origin)) STRICT`,
  `CREATE TABLE site_member (
    site_id TEXT NOT NULL REFERENCES site (id), person_id TEXT NOT NULL REFERENCES person (id),
    role TEXT NOT NULL CHECK (role IN ('owner', 'designer', 'responder')), chat_limit INTEGER NOT NULL CHECK (chat_limit > 0),
    PRIMARY KEY (site_id, person_id)) STRICT`,
  `CREATE INDEX site_member_person ON site_member (person_id)`,
  `CREATE TABLE team (
    site_id TEXT NOT NULL REFERENCES site (id), id TEXT NOT NULL, key TEXT NOT NULL, name_json TEXT NOT NULL CHECK (json_valid(name_json)),
    calendar_id TEXT, mail_to_json TEXT NOT NULL CHECK (json_valid(mail_to_json)), position INTEGER NOT NULL,
    PRIMARY KEY (site_id, id), UNIQUE (site_id, key)) STRICT`,
  `CREATE TABLE team_member (
    site_id TEXT NOT NULL, team_id TEXT NOT NULL, person_id TEXT NOT NULL, PRIMARY KEY (site_id, team_id, person_id),
    FOREIGN KEY (site_id, team_id) REFERENCES team (site_id, id) ON DELETE CASCADE,
    FOREIGN KEY (site_id, person_id) REFERENCES site_member (site_id, person_id) ON DELETE CASCADE) STRICT`,
  `CREATE TABLE presence (
    site_id TEXT NOT NULL, person_id TEXT NOT NULL, wish TEXT NOT NULL CHECK (wish IN ('in', 'stepped-out', 'out', 'schedule')),
    until_ms INTEGER CHECK (until_ms > 0), reason TEXT NOT NULL, PRIMARY KEY (site_id, person_id),
    FOREIGN KEY (site_id, person_id) REFERENCES site_member (site_id, person_id) ON DELETE CASCADE) STRICT`,
  `CREATE TABLE draft (
    site_id TEXT PRIMARY KEY REFERENCES site (id), revision INTEGER NOT NULL, design_json TEXT NOT NULL CHECK (json_valid(design_json)),
    changed_ms INTEGER NOT NULL CHECK (changed_ms > 0), changed_by TEXT NOT NULL REFERENCES person (id)) STRICT`,
  `CREATE TABLE draft_change (
    site_id TEXT NOT NULL REFERENCES site (id), revision INTEGER NOT NULL, client_id TEXT, kind TEXT NOT NULL CHECK (kind IN ('change', 'undo', 'redo')),
    patch_json TEXT NOT NULL CHECK (json_valid(patch_json)), inverse_json TEXT NOT NULL CHECK (json_valid(inverse_json)),
    label TEXT NOT NULL, person_id TEXT NOT NULL REFERENCES person (id), at_ms INTEGER NOT NULL CHECK (at_ms > 0),
    PRIMARY KEY (site_id, revision), UNIQUE (site_id, client_id)) STRICT`,
  `CREATE TABLE version (
    site_id TEXT NOT NULL REFERENCES site (id), number INTEGER NOT NULL CHECK (number > 0), design_json TEXT NOT NULL CHECK (json_valid(design_json)),
    remark TEXT NOT NULL, person_id TEXT NOT NULL REFERENCES person (id), at_ms INTEGER NOT NULL CHECK (at_ms > 0), brought_back_from INTEGER,
    PRIMARY KEY (site_id, number)) STRICT`,
  `CREATE TABLE publication (
    site_id TEXT NOT NULL, id TEXT NOT NULL, version_number INTEGER NOT NULL, kind TEXT NOT NULL CHECK (kind IN ('base', 'period')),
    from_ms INTEGER NOT NULL CHECK (from_ms > 0), until_ms INTEGER CHECK (until_ms > from_ms), from_wall TEXT, until_wall TEXT, zone TEXT,
    cancelled_ms INTEGER CHECK (cancelled_ms > 0), PRIMARY KEY (site_id, id), CHECK ((kind = 'period') = (until_ms IS NOT NULL)),
    FOREIGN KEY (site_id, version_number) REFERENCES version (site_id, number)) STRICT`,
  `CREATE INDEX publication_from ON publication (site_id, from_ms)`,
  `CREATE TABLE facts (
    site_id TEXT NOT NULL REFERENCES site (id), revision INTEGER NOT NULL CHECK (revision > 0), facts_json TEXT NOT NULL CHECK (json_valid(facts_json)),
    undo_json TEXT CHECK (json_valid(undo_json)), person_id TEXT NOT NULL REFERENCES person (id), at_ms INTEGER NOT NULL CHECK (at_ms > 0),
    what TEXT NOT NULL, PRIMARY KEY (site_id, revision)) STRICT`,
  `CREATE TABLE published_file (
    site_id TEXT NOT NULL REFERENCES site (id), name TEXT NOT NULL, kind TEXT NOT NULL CHECK (kind IN ('design', 'facts')),
    version_number INTEGER, facts_revision INTEGER, wire INTEGER NOT NULL, made_by_json TEXT NOT NULL CHECK (json_valid(made_by_json)),
    body BLOB NOT NULL, made_ms INTEGER NOT NULL CHECK (made_ms > 0), last_named_ms INTEGER NOT NULL CHECK (last_named_ms > 0),
    PRIMARY KEY (site_id, name)) STRICT, WITHOUT ROWID`,
  `CREATE TABLE visitor (
    site_id TEXT NOT NULL REFERENCES site (id), id TEXT NOT NULL, name TEXT, mail TEXT, locale TEXT NOT NULL, device TEXT,
    first_ms INTEGER NOT NULL CHECK (first_ms > 0), seen_ms INTEGER NOT NULL CHECK (seen_ms > 0), PRIMARY KEY (site_id, id)) STRICT`,
  `CREATE INDEX visitor_mail ON visitor (site_id, mail)`,
  `CREATE TABLE visitor_token (
    token_hash TEXT PRIMARY KEY, site_id TEXT NOT NULL, visitor_id TEXT NOT NULL, created_ms INTEGER NOT NULL CHECK (created_ms > 0),
    seen_ms INTEGER NOT NULL CHECK (seen_ms > 0), expires_ms INTEGER NOT NULL CHECK (expires_ms > 0),
    FOREIGN KEY (site_id, visitor_id) REFERENCES visitor (site_id, id) ON DELETE CASCADE) STRICT`,
  `CREATE INDEX visitor_token_visitor ON visitor_token (site_id, visitor_id)`,
  `CREATE TABLE conversation (
    site_id TEXT NOT NULL, id TEXT NOT NULL, visitor_id TEXT NOT NULL, team_id TEXT, widget_key TEXT NOT NULL, design_file TEXT NOT NULL,
    is_practice INTEGER NOT NULL CHECK (is_practice IN (0, 1)), standing TEXT NOT NULL CHECK (standing IN ('asked', 'joined', 'ended', 'note')),
    state_at_start TEXT NOT NULL, page TEXT NOT NULL, asked_ms INTEGER NOT NULL CHECK (asked_ms > 0), joined_ms INTEGER CHECK (joined_ms > 0),
    ended_ms INTEGER CHECK (ended_ms > 0), ended_by TEXT CHECK (ended_by IN ('visitor', 'person', 'silence')),
    last_entry_ms INTEGER NOT NULL CHECK (last_entry_ms > 0), last_seq INTEGER NOT NULL CHECK (last_seq >= 0), assigned_to TEXT,
    answers_json TEXT CHECK (json_valid(answers_json)), PRIMARY KEY (site_id, id),
    FOREIGN KEY (site_id, visitor_id) REFERENCES visitor (site_id, id) ON DELETE CASCADE,
    FOREIGN KEY (site_id, team_id) REFERENCES team (site_id, id),
    FOREIGN KEY (site_id, assigned_to) REFERENCES site_member (site_id, person_id)) STRICT`,
  `CREATE UNIQUE INDEX conversation_running ON conversation (site_id, visitor_id) WHERE standing IN ('asked', 'joined')`,
  `CREATE INDEX conversation_standing ON conversation (site_id, standing, last_entry_ms DESC)`,
  `CREATE INDEX conversation_visitor ON conversation (site_id, visitor_id)`,
  `CREATE TABLE entry (
    id INTEGER PRIMARY KEY AUTOINCREMENT, site_id TEXT NOT NULL, conversation_id TEXT NOT NULL, seq INTEGER NOT NULL CHECK (seq > 0),
    kind TEXT NOT NULL CHECK (kind IN ('message', 'joined', 'ended', 'note')), author TEXT NOT NULL CHECK (author IN ('visitor', 'person', 'house')),
    person_id TEXT REFERENCES person (id), client_id TEXT, body TEXT NOT NULL, page TEXT, written_ms INTEGER CHECK (written_ms > 0),
    stored_ms INTEGER NOT NULL CHECK (stored_ms > 0), UNIQUE (conversation_id, seq), UNIQUE (conversation_id, author, client_id),
    FOREIGN KEY (site_id, conversation_id) REFERENCES conversation (site_id, id) ON DELETE CASCADE) STRICT`,
  `CREATE INDEX entry_site ON entry (site_id, id)`,
  `CREATE TABLE note (
    site_id TEXT NOT NULL, id TEXT NOT NULL, conversation_id TEXT NOT NULL, team_id TEXT, state TEXT NOT NULL CHECK (state IN ('new', 'in-hand', 'done')),
    assigned_to TEXT, answered_ms INTEGER CHECK (answered_ms > 0), due_ms INTEGER CHECK (due_ms > 0), PRIMARY KEY (site_id, id),
    FOREIGN KEY (site_id, conversation_id) REFERENCES conversation (site_id, id) ON DELETE CASCADE) STRICT`,
  `CREATE INDEX note_state ON note (site_id, state, id)`,
];

export async function up(db: Kysely<unknown>): Promise<void> {
  for (const statement of STATEMENTS) await sql.raw(statement).execute(db);
}
