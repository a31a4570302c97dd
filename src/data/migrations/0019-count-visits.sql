-- What is entered after a handover belongs to the next visit, not to the bow as it was signed.
ALTER TABLE job_event ADD COLUMN visit INTEGER NOT NULL DEFAULT 1;
-- 1 for the entry that handed the bow over, for as long as that stands.
ALTER TABLE job_event ADD COLUMN ends_visit INTEGER NOT NULL DEFAULT 0;

UPDATE job_event SET
  visit = 1 + (SELECT count(*) FROM sheet
               WHERE sheet.job_id = job_event.job_id AND sheet.at < job_event.at),
  ends_visit = EXISTS (SELECT 1 FROM sheet
                       WHERE sheet.job_id = job_event.job_id AND sheet.at = job_event.at);
