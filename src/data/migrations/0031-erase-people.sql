-- While a person is erased, and no longer, what is never changed is made without them: the sheets and quotes
-- of these jobs keep every number.
CREATE TABLE erasing (job_id TEXT PRIMARY KEY) STRICT;

DROP TRIGGER sheet_never_changes;
CREATE TRIGGER sheet_never_changes BEFORE UPDATE ON sheet
WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE job_id = old.job_id)
  OR (new.job_id, new.revision, new.at, new.who) <> (old.job_id, old.revision, old.at, old.who)
BEGIN SELECT RAISE(ABORT, 'a build sheet is never changed; a new revision is made'); END;

DROP TRIGGER quote_never_changes;
CREATE TRIGGER quote_never_changes BEFORE UPDATE ON quote
WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE job_id = old.job_id)
  OR (new.job_id, new.revision, new.at, new.who) <> (old.job_id, old.revision, old.at, old.who)
BEGIN SELECT RAISE(ABORT, 'a quote is never changed; a new one is given'); END;

-- When somebody asked for it; null while the shop knows who they are.
ALTER TABLE archer ADD COLUMN erased_at TEXT;
CREATE INDEX archer_erased ON archer (erased_at) WHERE erased_at IS NOT NULL;
DROP INDEX job_archer;
CREATE INDEX job_archer ON job (archer_id, created_at, delivered_at);

-- The index for words forgets a name at once, not some day.
INSERT INTO job_find (job_find, rank) VALUES ('secure-delete', 1);
INSERT INTO job_find (job_find) VALUES ('optimize');
