-- A ticket that came to nothing is closed: since when, by whom and why. What is asked for every day passes it by.
ALTER TABLE job ADD COLUMN closed_json TEXT NOT NULL DEFAULT 'null';
DROP INDEX job_open;
CREATE INDEX job_open ON job (promised_day, number)
  WHERE delivered_at IS NULL AND closed_json = 'null';
