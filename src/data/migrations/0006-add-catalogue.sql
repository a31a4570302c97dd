ALTER TABLE bow ADD COLUMN riser_width_mm REAL CHECK (riser_width_mm > 0);
ALTER TABLE bow ADD COLUMN cable_gap_mm REAL CHECK (cable_gap_mm > 0);
ALTER TABLE bow ADD COLUMN shelf_mm REAL CHECK (shelf_mm > 0);
ALTER TABLE bow ADD COLUMN rear_bushing INTEGER CHECK (rear_bushing IN (0, 1));
ALTER TABLE bow ADD COLUMN string_stop TEXT CHECK (string_stop IN ('none', 'hole', 'fitted'));

ALTER TABLE catalogue_item ADD COLUMN close_out_cents INTEGER CHECK (close_out_cents >= 0);
ALTER TABLE catalogue_item ADD COLUMN supplier TEXT NOT NULL DEFAULT '';

-- What was not known of a part before is not known now: said so, not guessed.
UPDATE catalogue_item SET attrs_json = json_patch(
  '{"spacer":false,"tensions":[],"contains":false}', attrs_json) WHERE slot = 'rest';
UPDATE catalogue_item SET attrs_json =
  json_set(attrs_json, '$.riserWidthMm', NULL, '$.vaneRoomMm', NULL) WHERE slot = 'rest';
UPDATE catalogue_item SET attrs_json = json_set(json_patch(
  '{"microAdjust":false,"lightThread":false}', attrs_json), '$.extensionMm', NULL) WHERE slot = 'sight';
UPDATE catalogue_item SET attrs_json = json_patch('{"lens":false}', attrs_json) WHERE slot = 'peep';
UPDATE catalogue_item SET attrs_json = json_patch('{"material":"cord"}', attrs_json) WHERE slot = 'loop';
UPDATE catalogue_item SET attrs_json = json_set(attrs_json, '$.bladeMm', NULL) WHERE slot = 'arrows';
UPDATE catalogue_item SET attrs_json =
  json_set(json_patch('{"cordOnly":false}', attrs_json), '$.minLoopMm', NULL) WHERE slot = 'release';
UPDATE catalogue_item SET attrs_json =
  json_patch('{"pieces":1,"usesSightHoles":false}', attrs_json) WHERE slot = 'quiver';
UPDATE catalogue_item SET attrs_json =
  json_patch('{"thread":"5/16-24","weightThread":"1/4-20"}', attrs_json) WHERE slot = 'stabiliser';

ALTER TABLE job ADD COLUMN kit_wishes_json TEXT NOT NULL
  DEFAULT '{"without":[],"extra":[],"massLimitG":null}' CHECK (json_valid(kit_wishes_json));

-- The words a part is found by; its own table, so that the index has a number that stays.
CREATE TABLE catalogue_words (
  seq INTEGER PRIMARY KEY,
  item_id TEXT NOT NULL UNIQUE REFERENCES catalogue_item (id) ON DELETE CASCADE,
  kind TEXT NOT NULL,
  words TEXT NOT NULL
) STRICT;
INSERT INTO catalogue_words (item_id, kind, words)
  SELECT id, slot, slot || ' ' || maker || ' ' || model FROM catalogue_item;
CREATE VIRTUAL TABLE catalogue_search USING fts5 (
  kind, words, content = 'catalogue_words', content_rowid = 'seq',
  tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO catalogue_search (catalogue_search) VALUES ('rebuild');
CREATE TRIGGER catalogue_words_added AFTER INSERT ON catalogue_words BEGIN
  INSERT INTO catalogue_search (rowid, kind, words) VALUES (new.seq, new.kind, new.words);
END;
CREATE TRIGGER catalogue_words_gone AFTER DELETE ON catalogue_words BEGIN
  INSERT INTO catalogue_search (catalogue_search, rowid, kind, words)
    VALUES ('delete', old.seq, old.kind, old.words);
END;
CREATE TRIGGER catalogue_words_changed AFTER UPDATE ON catalogue_words BEGIN
  INSERT INTO catalogue_search (catalogue_search, rowid, kind, words)
    VALUES ('delete', old.seq, old.kind, old.words);
  INSERT INTO catalogue_search (rowid, kind, words) VALUES (new.seq, new.kind, new.words);
END;

DROP INDEX catalogue_item_slot;
CREATE INDEX catalogue_item_slot ON catalogue_item (slot, price_cents, model, id);

-- Rows of a big file on their way in: not seen by anybody until all of them are taken over at once.
CREATE TABLE import_row (
  import_id TEXT NOT NULL,
  item_id TEXT NOT NULL,
  item_json TEXT NOT NULL CHECK (json_valid(item_json)),
  words TEXT NOT NULL,
  at TEXT NOT NULL,
  PRIMARY KEY (import_id, item_id)
) STRICT;
