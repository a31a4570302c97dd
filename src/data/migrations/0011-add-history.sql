-- Where an entry was made, what would bring it again once it was taken back, and by which entry it was.
ALTER TABLE job_event ADD COLUMN stage TEXT NOT NULL DEFAULT '';
ALTER TABLE job_event ADD COLUMN redo_json TEXT CHECK (redo_json IS NULL OR json_valid(redo_json));
ALTER TABLE job_event ADD COLUMN undone_by INTEGER REFERENCES job_event (id);

-- Entries about the archer kept the whole archer: taken back they would take other jobs' answers along.
UPDATE job_event SET inverse_json = NULL
WHERE json_extract(inverse_json, '$.archer') IS NOT NULL;

-- Parts chosen before they were causes: what lies in the kit now is what stood there all along.
INSERT INTO reading (job_id, bow_id, key, si, si2, choice, entered, method, who, at, retracts)
SELECT job_part.job_id, NULL, 'part:' || job_part.slot, NULL, NULL,
  CASE WHEN job_part.build_json <> 'null' THEN 'built:' || job_part.label
    ELSE coalesce(job_part.item_id, 'own:' || job_part.label) END,
  job_part.label, 'kit', 'Waffenrad', job.created_at, NULL
FROM job_part JOIN job ON job.id = job_part.job_id;
