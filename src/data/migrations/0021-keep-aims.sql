-- Shots aimed with a sensor: the trace as it came, and what was read from it.
CREATE TABLE aim_shot (
  id INTEGER PRIMARY KEY,
  job_id TEXT NOT NULL REFERENCES job (id),
  bow_id TEXT NOT NULL REFERENCES bow (id),
  at TEXT NOT NULL,
  who TEXT NOT NULL,
  topic TEXT NOT NULL,
  way TEXT NOT NULL,
  device TEXT,
  release_s REAL,
  samples_json TEXT NOT NULL,
  result_json TEXT NOT NULL,
  refused TEXT,
  path_json TEXT NOT NULL,
  left_out TEXT NOT NULL DEFAULT '',
  dropped INTEGER NOT NULL DEFAULT 0 CHECK (dropped IN (0, 1))
) STRICT;
CREATE INDEX aim_shot_of_job ON aim_shot (job_id, bow_id, id);
