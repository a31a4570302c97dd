-- Who works here, what they are trusted with, and what their PIN is kept as. The names the settings held
-- become people; nobody has a PIN before the owner was named at the machine itself.
CREATE TABLE person (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL COLLATE NOCASE UNIQUE CHECK (length(name) BETWEEN 1 AND 60),
  role TEXT NOT NULL CHECK (role IN ('owner', 'technician', 'counter', 'learner')),
  -- The calendar plans work for them.
  at_bench INTEGER NOT NULL DEFAULT 1 CHECK (at_bench IN (0, 1)),
  -- An argon2id hash; null where none was given yet: such a person does not sign in.
  secret_hash TEXT,
  place INTEGER NOT NULL,
  since_at TEXT NOT NULL,
  left_at TEXT
) STRICT;
INSERT INTO person (id, name, role, place, since_at)
  SELECT lower(hex(randomblob(8))), trim(who.value), 'technician', min(who.key) + 1,
    strftime('%Y-%m-%dT%H:%M:%fZ')
  FROM setting, json_each(setting.value_json, '$.people') AS who
  WHERE setting.key = 'shop' AND length(trim(who.value)) BETWEEN 1 AND 60
  GROUP BY trim(who.value) COLLATE NOCASE ORDER BY min(who.key);
UPDATE setting SET value_json = json_remove(value_json, '$.people') WHERE key = 'shop';

-- A browser the shop knows. What it is known by is kept as its hash alone.
CREATE TABLE tablet (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  token_hash TEXT NOT NULL UNIQUE,
  paired_by TEXT NOT NULL,
  paired_at TEXT NOT NULL,
  seen_at TEXT NOT NULL,
  sent_away_at TEXT
) STRICT;

-- A code to pair by, shown once: for one tablet, for a few minutes.
CREATE TABLE pairing (
  code_hash TEXT PRIMARY KEY,
  made_by TEXT NOT NULL,
  ends_at TEXT NOT NULL
) STRICT;

-- Somebody at a tablet, until they lock it or it locks itself.
CREATE TABLE session (
  token_hash TEXT PRIMARY KEY,
  tablet_id TEXT NOT NULL REFERENCES tablet (id),
  person_id TEXT NOT NULL REFERENCES person (id),
  began_at TEXT NOT NULL,
  seen_at TEXT NOT NULL
) STRICT;
CREATE INDEX session_tablet ON session (tablet_id);

-- Wrong tries in a row, by person, tablet and address.
CREATE TABLE wrong_try (
  key TEXT PRIMARY KEY,
  count INTEGER NOT NULL,
  until_at TEXT NOT NULL
) STRICT;

-- Other programs: each asks by a token of its own, kept as its hash alone.
CREATE TABLE program (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  token_hash TEXT NOT NULL UNIQUE,
  rights_json TEXT NOT NULL CHECK (json_valid(rights_json)),
  made_by TEXT NOT NULL,
  made_at TEXT NOT NULL,
  used_at TEXT,
  ended_at TEXT
) STRICT;

ALTER TABLE job_event ADD COLUMN tablet TEXT NOT NULL DEFAULT '';

-- Who did what from where. An entry on a job stands here by its number, its words stay with it.
CREATE TABLE audit (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  tablet TEXT NOT NULL,
  kind TEXT NOT NULL,
  what TEXT NOT NULL,
  detail_json TEXT NOT NULL DEFAULT 'null' CHECK (json_valid(detail_json)),
  event_id INTEGER
) STRICT;
CREATE INDEX audit_who ON audit (who, id);
CREATE INDEX audit_kind ON audit (kind, id);
CREATE INDEX audit_tablet ON audit (tablet, id);
INSERT INTO audit (at, who, tablet, kind, what, event_id)
  SELECT at, who, '', 'entry', '', id FROM job_event ORDER BY id;
CREATE TRIGGER audit_entry AFTER INSERT ON job_event BEGIN
  INSERT INTO audit (at, who, tablet, kind, what, event_id)
  VALUES (new.at, new.who, new.tablet, 'entry', '', new.id);
END;
CREATE TRIGGER audit_stays BEFORE UPDATE ON audit BEGIN
  SELECT raise(ABORT, 'what was done stays written');
END;
CREATE TRIGGER audit_kept BEFORE DELETE ON audit BEGIN
  SELECT raise(ABORT, 'what was done stays written');
END;

-- Who works here is part of the shop: the calendar is planned anew.
CREATE TRIGGER person_added_touches AFTER INSERT ON person BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER person_changed_touches AFTER UPDATE OF name, role, at_bench, place, left_at ON person BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
