-- A command's own key, so that the same one sent twice counts once and can be asked for after a break.
ALTER TABLE job_event ADD COLUMN key TEXT;
CREATE UNIQUE INDEX job_event_key ON job_event (job_id, key) WHERE key IS NOT NULL;
