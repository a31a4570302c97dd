-- The builds of an arrow under comparison, and what the set weighs, arrow by arrow.
ALTER TABLE job ADD COLUMN arrows_json TEXT NOT NULL
  DEFAULT '{"builds":[],"massesG":[],"restAheadMm":0}' CHECK (json_valid(arrows_json));
-- The build a part stands for, where it is none of the catalogue.
ALTER TABLE job_part ADD COLUMN build_json TEXT NOT NULL DEFAULT 'null' CHECK (json_valid(build_json));
