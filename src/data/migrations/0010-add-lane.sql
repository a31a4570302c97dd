-- What a reading was made from: hits of a group, shots of the chronograph, distances of marks.
ALTER TABLE reading ADD COLUMN data_json TEXT CHECK (data_json IS NULL OR json_valid(data_json));

-- Sights from before clicks were known.
UPDATE catalogue_item SET attrs_json = json_set(attrs_json, '$.clickMm', NULL)
WHERE slot = 'sight' AND json_type(attrs_json, '$.clickMm') IS NULL;
