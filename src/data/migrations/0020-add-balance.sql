-- Where a bow’s mass sits and where bars can stand in it, as far as it is known.
ALTER TABLE bow ADD COLUMN bar_threads_json TEXT NOT NULL DEFAULT '[]';
ALTER TABLE bow ADD COLUMN centre_json TEXT NOT NULL DEFAULT 'null';
ALTER TABLE bow ADD COLUMN yaw_inertia_kg_mm2 REAL;
ALTER TABLE bow ADD COLUMN pitch_inertia_kg_mm2 REAL;
ALTER TABLE bow ADD COLUMN balance_from TEXT CHECK (balance_from IN ('measured', 'given'));

UPDATE catalogue_item SET attrs_json = json_set(attrs_json, '$.mostDiscs', NULL)
  WHERE slot IN ('stabiliser', 'rearBar');
UPDATE catalogue_item SET attrs_json = json_set(attrs_json,
  '$.massAheadMm', NULL, '$.massUpMm', NULL, '$.massOutMm', NULL) WHERE slot IN ('sight', 'quiver');
UPDATE catalogue_item SET attrs_json = json_set(attrs_json, '$.arrowsUpMm', NULL) WHERE slot = 'quiver';
UPDATE catalogue_item SET attrs_json = json_set(attrs_json,
  '$.sideMostDeg', NULL, '$.sideNotchDeg', NULL, '$.downMostDeg', NULL, '$.downNotchDeg', NULL,
  '$.slideMm', NULL, '$.outMm', NULL) WHERE slot = 'barMount';
UPDATE job SET kit_wishes_json =
  json_set(kit_wishes_json, '$.barLimitMm', NULL, '$.ownBars', json('[]'));
