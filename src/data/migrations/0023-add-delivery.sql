-- What is billed besides bow, parts and work; the quote that was accepted; money that came in.
ALTER TABLE job ADD COLUMN extras_json TEXT NOT NULL DEFAULT '[]';
ALTER TABLE job ADD COLUMN accepted_json TEXT NOT NULL DEFAULT 'null';
CREATE TABLE payment (
  id INTEGER PRIMARY KEY,
  job_id TEXT NOT NULL REFERENCES job (id),
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('deposit', 'rest', 'back')),
  cents INTEGER NOT NULL,
  way TEXT NOT NULL,
  dropped INTEGER NOT NULL DEFAULT 0 CHECK (dropped IN (0, 1))
) STRICT;
CREATE INDEX payment_of_job ON payment (job_id, id);
-- What steps used up of the shelf, in parts of a piece: whole ones are taken off as they come together.
CREATE TABLE used_up (
  job_id TEXT NOT NULL REFERENCES job (id),
  step_id TEXT NOT NULL,
  part_id TEXT NOT NULL,
  thousandths INTEGER NOT NULL CHECK (thousandths > 0),
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, step_id, part_id)
) STRICT;
CREATE INDEX used_up_part ON used_up (part_id);
