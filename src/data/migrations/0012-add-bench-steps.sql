-- Lock screws of the limb bolts, and a way for the rest's cord through the riser; NULL where not known.
ALTER TABLE bow ADD COLUMN limb_locks INTEGER CHECK (limb_locks IN (0, 1));
ALTER TABLE bow ADD COLUMN cord_way INTEGER CHECK (cord_way IN (0, 1));

-- Peeps from before tubes were known of: none was said to have one.
UPDATE catalogue_item SET attrs_json = json_set(attrs_json, '$.tube', json('false'))
WHERE slot = 'peep' AND json_type(attrs_json, '$.tube') IS NULL;
