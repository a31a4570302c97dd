-- Bows that left, as the register shows them: kept up by what is handed over, so that no list has to open a
-- sheet. Shots are as the archer tells them.
CREATE TABLE left_bow (
  job_id TEXT PRIMARY KEY REFERENCES job (id),
  serial TEXT,
  first_left_at TEXT NOT NULL,
  left_at TEXT NOT NULL,
  asked_day TEXT,
  shots_before INTEGER NOT NULL DEFAULT 0 CHECK (shots_before >= 0),
  shots_since INTEGER NOT NULL DEFAULT 0 CHECK (shots_since >= 0)
) STRICT;
CREATE INDEX left_bow_left ON left_bow (left_at);
CREATE INDEX left_bow_serial ON left_bow (serial) WHERE serial IS NOT NULL;

INSERT INTO left_bow (job_id, serial, first_left_at, left_at, asked_day)
  SELECT job_id, document_json ->> '$.bow.serial',
    (SELECT min(at) FROM sheet AS one WHERE one.job_id = sheet.job_id), at,
    document_json ->> '$.comeBackDay'
  FROM sheet
  WHERE revision = (SELECT max(revision) FROM sheet AS one WHERE one.job_id = sheet.job_id);

-- Sheets of the first version name no number: it stands with the job, or was read off the bow.
UPDATE left_bow SET serial = coalesce(
  (SELECT serial FROM job_bow WHERE job_bow.job_id = left_bow.job_id),
  (SELECT coalesce(choice, entered) FROM reading
   WHERE reading.job_id = left_bow.job_id AND key = 'serialNumber' AND retracts IS NULL
   ORDER BY seq DESC LIMIT 1))
  WHERE serial IS NULL;

CREATE TRIGGER sheet_keeps_register AFTER INSERT ON sheet BEGIN
  INSERT INTO left_bow (job_id, serial, first_left_at, left_at, asked_day)
    VALUES (new.job_id, new.document_json ->> '$.bow.serial', new.at, new.at,
      new.document_json ->> '$.comeBackDay')
    ON CONFLICT (job_id) DO UPDATE SET
      serial = excluded.serial, left_at = excluded.left_at, asked_day = excluded.asked_day,
      shots_before = shots_before + shots_since, shots_since = 0;
END;

-- Every part of the catalogue that is on a bow, also as a part of a built arrow: for a recall.
CREATE TABLE part_on_bow (
  item_id TEXT NOT NULL,
  job_id TEXT NOT NULL,
  slot TEXT NOT NULL,
  PRIMARY KEY (item_id, job_id, slot)
) STRICT, WITHOUT ROWID;
CREATE INDEX part_on_bow_job ON part_on_bow (job_id, slot);

INSERT OR IGNORE INTO part_on_bow SELECT item_id, job_id, slot FROM job_part WHERE item_id IS NOT NULL;
INSERT OR IGNORE INTO part_on_bow
  SELECT value, job_id, slot FROM job_part, json_each(build_json)
  WHERE build_json <> 'null' AND key IN ('shaftId', 'nockId', 'vaneId', 'insertId', 'pointId');

CREATE TRIGGER part_put_on_bow AFTER INSERT ON job_part BEGIN
  INSERT OR IGNORE INTO part_on_bow
    SELECT new.item_id, new.job_id, new.slot WHERE new.item_id IS NOT NULL;
  INSERT OR IGNORE INTO part_on_bow
    SELECT value, new.job_id, new.slot FROM json_each(new.build_json)
    WHERE new.build_json <> 'null' AND key IN ('shaftId', 'nockId', 'vaneId', 'insertId', 'pointId');
END;
CREATE TRIGGER part_off_bow AFTER DELETE ON job_part BEGIN
  DELETE FROM part_on_bow WHERE job_id = old.job_id AND slot = old.slot;
END;
