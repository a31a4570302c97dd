ALTER TABLE job_part ADD COLUMN ordered_at TEXT;
ALTER TABLE job_part ADD COLUMN arrived_at TEXT;
CREATE INDEX job_part_item ON job_part (item_id);

CREATE TABLE quote (
  job_id TEXT NOT NULL REFERENCES job (id),
  revision INTEGER NOT NULL,
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  document_json TEXT NOT NULL CHECK (json_valid(document_json)),
  PRIMARY KEY (job_id, revision)
) STRICT;
CREATE TRIGGER quote_never_changes BEFORE UPDATE ON quote
BEGIN SELECT RAISE(ABORT, 'a quote is never changed; a new one is given'); END;
CREATE TRIGGER quote_never_goes BEFORE DELETE ON quote
BEGIN SELECT RAISE(ABORT, 'a quote is never removed'); END;
