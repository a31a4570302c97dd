-- A bow that was not bought here: how it came, what was seen of it, what of the work is wanted. Its record,
-- where it stands in no list, is kept beside the shop's own bows and never offered; what nobody could tell of
-- it is named.
ALTER TABLE job ADD COLUMN elsewhere_json TEXT NOT NULL DEFAULT 'null' CHECK (json_valid(elsewhere_json));
ALTER TABLE bow ADD COLUMN brought INTEGER NOT NULL DEFAULT 0 CHECK (brought IN (0, 1));
ALTER TABLE bow ADD COLUMN untold_json TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(untold_json));
