-- What is asked for every day must not take longer with every bow that was ever delivered.
CREATE INDEX job_open ON job (promised_day, number) WHERE delivered_at IS NULL;
CREATE INDEX job_delivered ON job (delivered_at) WHERE delivered_at IS NOT NULL;
CREATE INDEX job_part_awaited ON job_part (job_id) WHERE handed_over = 0 AND arrives_day IS NOT NULL;
CREATE INDEX reading_measured ON reading (at)
  WHERE key IN ('armSpan', 'wallToMouth', 'markedArrow', 'fittingBow');

-- Sums of the clock's sightings, kept up as they come; of the sightings themselves only the newest stay.
CREATE TABLE step_time_sum (
  step_id TEXT PRIMARY KEY,
  count INTEGER NOT NULL CHECK (count > 0),
  sum_log_min REAL NOT NULL
) STRICT;
INSERT INTO step_time_sum
  SELECT step_id, count(*), sum(ln(seconds / 60)) FROM step_time GROUP BY step_id;
CREATE TRIGGER step_time_added AFTER INSERT ON step_time BEGIN
  INSERT INTO step_time_sum VALUES (new.step_id, 1, ln(new.seconds / 60))
    ON CONFLICT (step_id) DO UPDATE
    SET count = count + 1, sum_log_min = sum_log_min + excluded.sum_log_min;
  DELETE FROM step_time WHERE step_id = new.step_id AND id <=
    (SELECT id FROM step_time WHERE step_id = new.step_id ORDER BY id DESC LIMIT 1 OFFSET 100);
END;

-- Counts changes: of a job under its id, of what many jobs share under 'shop'.
CREATE TABLE touched (
  what TEXT PRIMARY KEY,
  times INTEGER NOT NULL
) STRICT;
INSERT INTO touched VALUES ('shop', 1);
INSERT INTO touched SELECT id, 1 FROM job WHERE delivered_at IS NULL;

CREATE TRIGGER job_added_touches AFTER INSERT ON job BEGIN
  INSERT INTO touched VALUES (new.id, 1) ON CONFLICT (what) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER job_changed_touches AFTER UPDATE ON job BEGIN
  INSERT INTO touched VALUES (new.id, 1) ON CONFLICT (what) DO UPDATE SET times = times + 1;
END;
CREATE TRIGGER archer_changed_touches AFTER UPDATE ON archer BEGIN
  UPDATE touched SET times = times + 1 WHERE what IN (SELECT id FROM job WHERE archer_id = new.id);
END;
CREATE TRIGGER part_put_touches AFTER INSERT ON job_part BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER part_changed_touches AFTER UPDATE ON job_part BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER part_gone_touches AFTER DELETE ON job_part BEGIN
  UPDATE touched SET times = times + 1 WHERE what = old.job_id;
END;
CREATE TRIGGER bow_put_touches AFTER INSERT ON job_bow BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER held_bow_changed_touches AFTER UPDATE ON job_bow BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER bow_gone_touches AFTER DELETE ON job_bow BEGIN
  UPDATE touched SET times = times + 1 WHERE what = old.job_id;
END;
CREATE TRIGGER reading_touches AFTER INSERT ON reading BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER exception_added_touches AFTER INSERT ON step_exception BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER exception_changed_touches AFTER UPDATE ON step_exception BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER told_touches AFTER INSERT ON acknowledgement BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER told_gone_touches AFTER DELETE ON acknowledgement BEGIN
  UPDATE touched SET times = times + 1 WHERE what = old.job_id;
END;
CREATE TRIGGER sheet_touches AFTER INSERT ON sheet BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;
CREATE TRIGGER curve_added_touches AFTER INSERT ON draw_curve BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER curve_changed_touches AFTER UPDATE ON draw_curve BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER setting_added_touches AFTER INSERT ON setting BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER setting_changed_touches AFTER UPDATE ON setting BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER bow_changed_touches AFTER UPDATE ON bow BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER item_changed_touches AFTER UPDATE ON catalogue_item BEGIN
  UPDATE touched SET times = times + 1 WHERE what = 'shop';
END;
CREATE TRIGGER quote_touches AFTER INSERT ON quote BEGIN
  UPDATE touched SET times = times + 1 WHERE what = new.job_id;
END;

-- Jobs by everything they are asked for by: who, who brought them, telephones, ticket, bow, its number.
-- Words stand between blanks, so that their beginnings and ends are trigrams too.
CREATE VIEW job_words AS
  SELECT job.id, job.number, archer.id AS archer_id, bow.id AS bow_id, ' ' || folded(
    archer.name || ' ' || archer.guardian_name || ' ' || job.number || ' ' ||
    archer.phone || ' ' || replace(archer.phone, ' ', '') || ' ' ||
    archer.guardian_phone || ' ' || replace(archer.guardian_phone, ' ', '') || ' ' ||
    coalesce(bow.maker || ' ' || bow.model, '') || ' ' || coalesce(job_bow.serial, '')
  ) || ' ' AS words
  FROM job
  JOIN archer ON archer.id = job.archer_id
  LEFT JOIN bow ON bow.id = job.bow_id
  LEFT JOIN job_bow ON job_bow.job_id = job.id;
CREATE VIRTUAL TABLE job_find USING fts5 (words, tokenize = 'trigram');
INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words;

CREATE TRIGGER job_added_finds AFTER INSERT ON job BEGIN
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE id = new.id;
END;
CREATE TRIGGER job_changed_finds AFTER UPDATE OF archer_id, bow_id ON job BEGIN
  DELETE FROM job_find WHERE rowid = new.number;
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE id = new.id;
END;
CREATE TRIGGER archer_changed_finds
AFTER UPDATE OF name, phone, guardian_name, guardian_phone ON archer
WHEN (new.name, new.phone, new.guardian_name, new.guardian_phone)
  <> (old.name, old.phone, old.guardian_name, old.guardian_phone) BEGIN
  DELETE FROM job_find WHERE rowid IN (SELECT number FROM job WHERE archer_id = new.id);
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE archer_id = new.id;
END;
CREATE TRIGGER bow_changed_finds AFTER UPDATE OF maker, model ON bow
WHEN (new.maker, new.model) <> (old.maker, old.model) BEGIN
  DELETE FROM job_find WHERE rowid IN (SELECT number FROM job WHERE bow_id = new.id);
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE bow_id = new.id;
END;
CREATE INDEX job_bow_id ON job (bow_id);
CREATE TRIGGER bow_put_finds AFTER INSERT ON job_bow WHEN new.serial IS NOT NULL BEGIN
  DELETE FROM job_find WHERE rowid = (SELECT number FROM job WHERE id = new.job_id);
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE id = new.job_id;
END;
CREATE TRIGGER bow_serial_finds AFTER UPDATE OF serial ON job_bow BEGIN
  DELETE FROM job_find WHERE rowid = (SELECT number FROM job WHERE id = new.job_id);
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE id = new.job_id;
END;
CREATE TRIGGER bow_gone_finds AFTER DELETE ON job_bow WHEN old.serial IS NOT NULL BEGIN
  DELETE FROM job_find WHERE rowid = (SELECT number FROM job WHERE id = old.job_id);
  INSERT INTO job_find (rowid, words) SELECT number, words FROM job_words WHERE id = old.job_id;
END;
