-- Cables that split into two legs at an axle; NULL where not known.
ALTER TABLE bow ADD COLUMN yokes TEXT CHECK (yokes IN ('none', 'top', 'both'));

-- Schools that differ from the shop's for this job.
ALTER TABLE job ADD COLUMN schools_json TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(schools_json));

-- How long a step took, as the bench's own clock saw it; the shop's estimates are learned from it.
CREATE TABLE step_time (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES job (id),
  step_id TEXT NOT NULL,
  seconds REAL NOT NULL CHECK (seconds > 0),
  who TEXT NOT NULL,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX step_time_step ON step_time (step_id);

-- A visit somebody put at a time of the calendar; the plan is made around it.
CREATE TABLE visit_pin (
  job_id TEXT NOT NULL REFERENCES job (id),
  -- Its first step, since visits themselves are computed.
  step_id TEXT NOT NULL,
  starts_at TEXT NOT NULL,
  who TEXT NOT NULL,
  PRIMARY KEY (job_id, step_id)
) STRICT;
