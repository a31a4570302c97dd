-- The age follows from it; null where it was not told.
ALTER TABLE archer ADD COLUMN birth_day TEXT;
-- Whether something hurts now, is healed, or nothing does; the words stand in `injury`.
ALTER TABLE archer ADD COLUMN injured TEXT NOT NULL DEFAULT 'unknown'
  CHECK (injured IN ('unknown', 'no', 'yes', 'healed'));
UPDATE archer SET injured = 'yes' WHERE trim(injury) <> '';
