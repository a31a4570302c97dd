-- Why a bow that does not cover the fit was taken all the same; empty where it covers it.
ALTER TABLE job ADD COLUMN bow_reason TEXT NOT NULL DEFAULT '';
