ALTER TABLE archer ADD COLUMN release TEXT NOT NULL DEFAULT 'unknown'
  CHECK (release IN ('thumb', 'index', 'backTension', 'unknown'));
ALTER TABLE archer ADD COLUMN wall TEXT NOT NULL DEFAULT 'unknown'
  CHECK (wall IN ('firm', 'soft', 'either', 'unknown'));
ALTER TABLE archer ADD COLUMN eye_handling TEXT NOT NULL DEFAULT 'open';

-- The least weight an authority asks for, as the archer states it; never a rule of the shop.
ALTER TABLE job ADD COLUMN legal_minimum_n REAL CHECK (legal_minimum_n > 0);
ALTER TABLE job ADD COLUMN legal_place TEXT NOT NULL DEFAULT '';
ALTER TABLE job ADD COLUMN asked_json TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(asked_json));
ALTER TABLE job ADD COLUMN skipped_json TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(skipped_json));
ALTER TABLE job ADD COLUMN draw_off_json TEXT NOT NULL DEFAULT 'null' CHECK (json_valid(draw_off_json));

ALTER TABLE bow ADD COLUMN stock_turns REAL CHECK (stock_turns >= 0);
ALTER TABLE bow ADD COLUMN let_off_choices_json TEXT NOT NULL DEFAULT '[]'
  CHECK (json_valid(let_off_choices_json));
ALTER TABLE bow ADD COLUMN stops TEXT CHECK (stops IN ('limb', 'cable', 'both'));
ALTER TABLE bow ADD COLUMN timed_by TEXT CHECK (timed_by IN ('stops', 'marks'));
ALTER TABLE bow ADD COLUMN string_length_mm REAL CHECK (string_length_mm > 0);
ALTER TABLE bow ADD COLUMN cable_lengths_mm_json TEXT NOT NULL DEFAULT '[]'
  CHECK (json_valid(cable_lengths_mm_json));

-- Draw-force curves as they were logged; never changed, taken back by a mark.
CREATE TABLE draw_curve (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  bow_id TEXT NOT NULL REFERENCES bow (id),
  job_id TEXT NOT NULL REFERENCES job (id),
  points_json TEXT NOT NULL CHECK (json_valid(points_json)),
  source TEXT NOT NULL CHECK (source IN ('device', 'file')),
  who TEXT NOT NULL,
  at TEXT NOT NULL,
  dropped INTEGER NOT NULL DEFAULT 0 CHECK (dropped IN (0, 1))
) STRICT;
CREATE INDEX draw_curve_bow ON draw_curve (bow_id, id);
