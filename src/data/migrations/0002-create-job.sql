CREATE TABLE archer (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (name <> ''),
  phone TEXT NOT NULL,
  email TEXT NOT NULL,
  minor INTEGER NOT NULL CHECK (minor IN (0, 1)),
  guardian_name TEXT NOT NULL,
  guardian_phone TEXT NOT NULL,
  hand TEXT NOT NULL CHECK (hand IN ('right', 'left')),
  dominant_eye TEXT NOT NULL CHECK (dominant_eye IN ('right', 'left', 'unsure')),
  age_band TEXT NOT NULL,
  build TEXT NOT NULL,
  experience TEXT NOT NULL,
  injury TEXT NOT NULL,
  eyesight TEXT NOT NULL
) STRICT;

CREATE TABLE job (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL UNIQUE,
  archer_id TEXT NOT NULL REFERENCES archer (id),
  version INTEGER NOT NULL CHECK (version >= 1),
  purpose TEXT NOT NULL,
  furthest_m REAL,
  low_light INTEGER NOT NULL CHECK (low_light IN (0, 1)),
  electronics_forbidden INTEGER NOT NULL CHECK (electronics_forbidden IN (0, 1)),
  budget_cents INTEGER CHECK (budget_cents >= 0),
  promised_day TEXT,
  appointment_at TEXT,
  already_own TEXT NOT NULL,
  notes TEXT NOT NULL,
  bow_id TEXT REFERENCES bow (id),
  module_step_mm REAL,
  module_reason TEXT NOT NULL,
  peak_target_n REAL,
  peak_reason TEXT NOT NULL,
  place TEXT NOT NULL,
  created_at TEXT NOT NULL,
  delivered_at TEXT
) STRICT;
CREATE INDEX job_archer ON job (archer_id);

CREATE TABLE job_part (
  job_id TEXT NOT NULL REFERENCES job (id),
  slot TEXT NOT NULL,
  item_id TEXT REFERENCES catalogue_item (id),
  owned INTEGER NOT NULL CHECK (owned IN (0, 1)),
  label TEXT NOT NULL,
  price_cents INTEGER NOT NULL CHECK (price_cents >= 0),
  arrives_day TEXT,
  PRIMARY KEY (job_id, slot)
) STRICT;

-- Appended only: the newest counts, undo adds a retraction.
CREATE TABLE reading (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES job (id),
  -- Null for readings of the archer; the bow it was taken on otherwise.
  bow_id TEXT REFERENCES bow (id),
  key TEXT NOT NULL,
  si REAL,
  si2 REAL,
  choice TEXT,
  entered TEXT NOT NULL,
  method TEXT NOT NULL,
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  retracts INTEGER REFERENCES reading (seq)
) STRICT;
CREATE INDEX reading_job ON reading (job_id, seq);
CREATE TRIGGER reading_never_changes BEFORE UPDATE ON reading
BEGIN SELECT RAISE(ABORT, 'readings are appended, never changed'); END;
CREATE TRIGGER reading_never_goes BEFORE DELETE ON reading
BEGIN SELECT RAISE(ABORT, 'readings are appended, never removed'); END;

-- Signatures share the readings' clock, so that a later reading can void one.
CREATE TABLE step_exception (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES job (id),
  step_id TEXT NOT NULL,
  reason TEXT NOT NULL CHECK (reason <> ''),
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  after_seq INTEGER NOT NULL,
  withdrawn INTEGER NOT NULL DEFAULT 0 CHECK (withdrawn IN (0, 1))
) STRICT;
CREATE INDEX step_exception_job ON step_exception (job_id);

CREATE TABLE acknowledgement (
  job_id TEXT NOT NULL REFERENCES job (id),
  caution_id TEXT NOT NULL,
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, caution_id)
) STRICT;

CREATE TABLE job_event (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES job (id),
  version INTEGER NOT NULL,
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  summary TEXT NOT NULL,
  -- The command that takes it back; null where it cannot be taken back.
  inverse_json TEXT CHECK (json_valid(inverse_json)),
  undone INTEGER NOT NULL DEFAULT 0 CHECK (undone IN (0, 1))
) STRICT;
CREATE INDEX job_event_job ON job_event (job_id, version);

CREATE TABLE sheet (
  job_id TEXT NOT NULL REFERENCES job (id),
  revision INTEGER NOT NULL,
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  document_json TEXT NOT NULL CHECK (json_valid(document_json)),
  PRIMARY KEY (job_id, revision)
) STRICT;
CREATE TRIGGER sheet_never_changes BEFORE UPDATE ON sheet
BEGIN SELECT RAISE(ABORT, 'a build sheet is never changed; a new revision is made'); END;
CREATE TRIGGER sheet_never_goes BEFORE DELETE ON sheet
BEGIN SELECT RAISE(ABORT, 'a build sheet is never removed'); END;
