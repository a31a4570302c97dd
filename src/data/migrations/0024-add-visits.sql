-- A bow that left comes back: why, since when, and what is looked at; and the day it is asked for next.
ALTER TABLE job ADD COLUMN visit_json TEXT NOT NULL DEFAULT 'null';
ALTER TABLE job ADD COLUMN come_back_day TEXT;
UPDATE job SET come_back_day = (
  SELECT document_json ->> 'comeBackDay' FROM sheet
  WHERE sheet.job_id = job.id ORDER BY revision DESC LIMIT 1
) WHERE delivered_at IS NOT NULL;
CREATE INDEX job_come_back ON job (come_back_day) WHERE come_back_day IS NOT NULL;
