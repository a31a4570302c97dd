-- The bow a job's bow is made like: what is known of it, as it was taken in.
ALTER TABLE job ADD COLUMN like_json TEXT NOT NULL DEFAULT 'null' CHECK (json_valid(like_json));
