-- Bows and parts of the sample catalogue a new shop may learn with; they go in one go.
ALTER TABLE bow ADD COLUMN sample INTEGER NOT NULL DEFAULT 0 CHECK (sample IN (0, 1));
ALTER TABLE catalogue_item ADD COLUMN sample INTEGER NOT NULL DEFAULT 0 CHECK (sample IN (0, 1));
CREATE INDEX bow_sample ON bow (id) WHERE sample = 1;
CREATE INDEX catalogue_item_sample ON catalogue_item (id) WHERE sample = 1;
