-- Where a reading stands among the others that was sent later than it was taken; its number where it is null.
-- Always between two whole numbers, below the half.
ALTER TABLE reading ADD COLUMN place REAL CHECK (place > 0);
CREATE INDEX reading_place ON reading (job_id, place) WHERE place IS NOT NULL;

-- Who was at which tablet from when to when: an entry sent later keeps who made it. Kept by its hash alone.
CREATE TABLE maker (
  mark_hash TEXT PRIMARY KEY,
  tablet_id TEXT NOT NULL REFERENCES tablet (id),
  person_id TEXT NOT NULL REFERENCES person (id),
  began_at TEXT NOT NULL,
  -- Null while they are signed in.
  ended_at TEXT
) STRICT;
CREATE INDEX maker_tablet ON maker (tablet_id);
