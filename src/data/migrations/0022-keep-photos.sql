-- Photographs of a job: what they show stands in one row, the picture itself in another, so that a list reads none.
CREATE TABLE photo (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES job (id),
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  about TEXT NOT NULL,
  words TEXT NOT NULL DEFAULT '',
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  on_record INTEGER NOT NULL DEFAULT 0 CHECK (on_record IN (0, 1)),
  kept INTEGER NOT NULL DEFAULT 0 CHECK (kept IN (0, 1)),
  printed INTEGER NOT NULL DEFAULT 0 CHECK (printed IN (0, 1))
) STRICT;
CREATE INDEX photo_of_job ON photo (job_id, id);
CREATE TABLE photo_picture (
  photo_id INTEGER PRIMARY KEY REFERENCES photo (id),
  large BLOB NOT NULL,
  small BLOB NOT NULL
) STRICT;
