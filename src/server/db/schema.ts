import type { RightsChangeKind, Role } from '../../core/model/role';
import type { Generated } from 'kysely';

/** Rows as they stand in the file (docs/data-model.md). Only repositories see these. */
export interface Schema {
  instance: { key: string; value: string };
  person: {
    id: string;
    mail: string;
    name: string;
    password_hash: string;
    locale: string;
    created_ms: number;
    disabled_ms: number | null;
    /** Null: as it comes. */
    alerts_json: string | null;
  };
  session: {
    token_hash: string;
    person_id: string;
    created_ms: number;
    seen_ms: number;
    expires_ms: number;
    agent: string;
  };
  site: {
    id: string;
    key: string;
    name: string;
    address: string | null;
    zone: string;
    zone_confirmed: number;
    places_json: string;
    default_locale: string;
    paused_ms: number | null;
    retention_days: number;
    created_ms: number;
  };
  site_domain: { site_id: string; origin: string; is_test: number };
  site_member: {
    site_id: string;
    person_id: string;
    role: Role;
    chat_limit: number;
    face_json: string | null;
    /** Since when they are no colleague any more. */
    removed_ms: number | null;
  };
  join_link: {
    site_id: string;
    id: string;
    secret_hash: string;
    role: Role;
    team_ids_json: string;
    made_by: string;
    made_ms: number;
    expires_ms: number;
  };
  rights_change: {
    id: Generated<number>;
    site_id: string;
    at_ms: number;
    changed_by: string;
    kind: RightsChangeKind;
    person_id: string | null;
    detail_json: string;
  };
  team: {
    site_id: string;
    id: string;
    key: string;
    name_json: string;
    calendar_id: string | null;
    mail_to_json: string;
    position: number;
  };
  team_member: { site_id: string; team_id: string; person_id: string };
  presence: {
    site_id: string;
    person_id: string;
    choice: 'in' | 'out';
    until_ms: number | null;
    reason: string;
  };
  calendar: {
    site_id: string;
    id: string;
    name: string;
    zone: string;
    calendar_json: string;
    revision: number;
    changed_ms: number;
    changed_by: string;
  };
  calendar_override: {
    site_id: string;
    calendar_id: string;
    is_open: number;
    set_ms: number;
    until_ms: number;
    reason: string;
    set_by: string;
  };
  draft: { site_id: string; revision: number; design_json: string; changed_ms: number; changed_by: string };
  draft_change: {
    site_id: string;
    revision: number;
    client_id: string | null;
    kind: 'change' | 'undo' | 'redo';
    patch_json: string;
    inverse_json: string;
    label: string;
    person_id: string;
    edit_id: string | null;
    at_ms: number;
    step: 'done' | 'undone' | null;
  };
  version: {
    site_id: string;
    number: number;
    design_json: string;
    remark: string;
    person_id: string;
    at_ms: number;
    brought_back_from: number | null;
  };
  publication: {
    site_id: string;
    id: string;
    version_number: number;
    kind: 'base' | 'period';
    from_ms: number;
    until_ms: number | null;
    from_wall: string | null;
    until_wall: string | null;
    zone: string | null;
    cancelled_ms: number | null;
  };
  facts: {
    site_id: string;
    revision: number;
    facts_json: string;
    undo_json: string | null;
    person_id: string;
    at_ms: number;
    what: string;
  };
  published_file: {
    site_id: string;
    name: string;
    kind: 'design' | 'facts';
    version_number: number | null;
    facts_revision: number | null;
    wire: number;
    made_by_json: string;
    body: Buffer;
    made_ms: number;
    last_named_ms: number;
  };
  visitor: {
    site_id: string;
    id: string;
    name: string | null;
    mail: string | null;
    locale: string;
    device: string | null;
    first_ms: number;
    seen_ms: number;
  };
  visitor_token: {
    token_hash: string;
    site_id: string;
    visitor_id: string;
    created_ms: number;
    seen_ms: number;
    expires_ms: number;
  };
  conversation: {
    site_id: string;
    id: string;
    visitor_id: string;
    team_id: string | null;
    widget_key: string;
    design_file: string;
    is_practice: number;
    status: 'asked' | 'joined' | 'ended' | 'note';
    state_at_start: string;
    page: string;
    asked_ms: number;
    joined_ms: number | null;
    ended_ms: number | null;
    ended_by: 'visitor' | 'person' | 'silence' | null;
    last_entry_ms: number;
    last_seq: number;
    assigned_to: string | null;
    answers_json: string | null;
    trail_json: string | null;
    left_ms: number | null;
    missed_ms: number | null;
    is_done: Generated<number>;
    /** Of no meaning where it is before `asked_ms`. */
    waiting_ms: number | null;
    /** When it ends, unless that is undone or something is said. */
    ends_ms: number | null;
    ends_by: string | null;
  };
  entry: {
    id: Generated<number>;
    site_id: string;
    conversation_id: string;
    seq: number;
    kind: 'message' | 'joined' | 'ended' | 'note';
    author: 'visitor' | 'person' | 'system';
    person_id: string | null;
    client_id: string | null;
    body: string;
    page: string | null;
    written_ms: number | null;
    stored_ms: number;
  };
  dismissed_finding: {
    site_id: string;
    finding_key: string;
    reason: string;
    person_id: string;
    at_ms: number;
  };
  upload: {
    site_id: string;
    hash: string;
    kind: 'page' | 'logo' | 'header' | 'icon' | 'face';
    mime: string;
    width: number;
    height: number;
    bytes: number;
    person_id: string;
    at_ms: number;
  };
  page_picture: { site_id: string; device: 'desktop' | 'phone'; hash: string };
  page_bars: { site_id: string; device: 'desktop' | 'phone'; upper_px: number; lower_px: number };
  preview: {
    site_id: string;
    id: string;
    person_id: string;
    token_hash: string;
    expires_ms: number;
    revoked_ms: number | null;
  };
  kept_situation: { site_id: string; id: string; name: string; assumptions_json: string; position: number };
  kept_visit: {
    site_id: string;
    id: string;
    name: string;
    visit_json: string;
    expects_json: string;
    position: number;
  };
  form_reply: {
    site_id: string;
    id: string;
    conversation_id: string;
    place: 'before' | 'note' | 'after';
    client_id: string;
    design_file: string;
    locale: string;
    widget_key: string;
    replies_json: string;
    stored_ms: number;
  };
  note: {
    site_id: string;
    id: string;
    conversation_id: string;
    team_id: string | null;
    state: 'new' | 'in-hand' | 'done';
    assigned_to: string | null;
    answered_ms: number | null;
    due_ms: number | null;
  };
}
