-- The school for one job; null follows the shop's setting.
ALTER TABLE job ADD COLUMN loop_counts INTEGER CHECK (loop_counts IN (0, 1));
