-- What a job took stays with it until it is handed over: from the shelf, on its way, or come.
ALTER TABLE job_part ADD COLUMN handed_over INTEGER NOT NULL DEFAULT 0 CHECK (handed_over IN (0, 1));
-- What of it did not lie in the shop; of a built set, part by part.
ALTER TABLE job_part ADD COLUMN short_json TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(short_json));
UPDATE job_part SET short_json = json_array(json_object('itemId', item_id, 'count', 1))
  WHERE arrives_day IS NOT NULL AND item_id IS NOT NULL;
UPDATE job_part SET handed_over = 1
  WHERE job_id IN (SELECT id FROM job WHERE delivered_at IS NOT NULL);
CREATE INDEX job_part_held ON job_part (job_id) WHERE handed_over = 0 AND owned = 0;

ALTER TABLE bow ADD COLUMN supplier TEXT NOT NULL DEFAULT '';

-- Single bows by their serial number. New ones are among the bow's count; used and loan ones are not.
CREATE TABLE bow_piece (
  serial TEXT PRIMARY KEY CHECK (serial <> ''),
  bow_id TEXT NOT NULL REFERENCES bow (id),
  condition TEXT NOT NULL CHECK (condition IN ('new', 'used', 'loan')),
  -- Null: at the bow's own price.
  price_cents INTEGER CHECK (price_cents >= 0),
  note TEXT NOT NULL,
  -- The job it left the shop with; null while it is there.
  left_with TEXT REFERENCES job (id)
) STRICT;
CREATE INDEX bow_piece_bow ON bow_piece (bow_id);

CREATE TABLE job_bow (
  job_id TEXT PRIMARY KEY REFERENCES job (id),
  bow_id TEXT NOT NULL REFERENCES bow (id),
  serial TEXT REFERENCES bow_piece (serial),
  condition TEXT NOT NULL CHECK (condition IN ('new', 'used', 'loan')),
  price_cents INTEGER NOT NULL CHECK (price_cents >= 0),
  arrives_day TEXT,
  ordered_at TEXT,
  arrived_at TEXT,
  handed_over INTEGER NOT NULL CHECK (handed_over IN (0, 1))
) STRICT;
CREATE INDEX job_bow_held ON job_bow (bow_id) WHERE handed_over = 0;
CREATE INDEX job_bow_serial ON job_bow (serial) WHERE serial IS NOT NULL;
INSERT INTO job_bow
  SELECT job.id, bow.id, NULL, 'new', bow.price_cents, NULL, NULL, NULL, job.delivered_at IS NOT NULL
  FROM job JOIN bow ON bow.id = job.bow_id;

-- Ordered for a job that took another one since: it comes all the same, for the shelf.
CREATE TABLE stock_order (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  kind TEXT NOT NULL CHECK (kind IN ('part', 'bow')),
  item_id TEXT NOT NULL,
  count INTEGER NOT NULL CHECK (count > 0),
  arrives_day TEXT NOT NULL,
  ordered_at TEXT NOT NULL,
  -- Ticket it was ordered for.
  ticket INTEGER NOT NULL
) STRICT;
CREATE INDEX stock_order_item ON stock_order (kind, item_id);
