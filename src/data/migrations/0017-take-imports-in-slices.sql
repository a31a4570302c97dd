-- A file on its way in: how much of it is here, and, once it is being taken over slice by slice, what is
-- wanted of it. What was begun is finished, also after the program ended in the middle.
CREATE TABLE import_file (
  import_id TEXT PRIMARY KEY,
  begun_at TEXT NOT NULL,
  count INTEGER NOT NULL,
  -- Which of its rows are wanted; null while nobody has said so.
  wish_json TEXT CHECK (json_valid(wish_json)),
  taken INTEGER NOT NULL DEFAULT 0
) STRICT;

-- Rows put aside before this are sent again: their screens are closed.
DELETE FROM import_row;
