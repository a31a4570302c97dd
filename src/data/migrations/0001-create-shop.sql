CREATE TABLE setting (
  key TEXT PRIMARY KEY,
  value_json TEXT NOT NULL CHECK (json_valid(value_json))
) STRICT;

CREATE TABLE bow (
  id TEXT PRIMARY KEY,
  maker TEXT NOT NULL,
  model TEXT NOT NULL,
  hand TEXT NOT NULL CHECK (hand IN ('right', 'left')),
  cam_system TEXT NOT NULL,
  character TEXT NOT NULL,
  modules_json TEXT NOT NULL CHECK (json_valid(modules_json)),
  fixed_draw_length_mm REAL,
  module_cams_json TEXT NOT NULL CHECK (json_valid(module_cams_json)),
  min_peak_n REAL NOT NULL CHECK (min_peak_n > 0),
  max_peak_n REAL NOT NULL CHECK (max_peak_n > min_peak_n),
  max_turns REAL CHECK (max_turns > 0),
  let_off REAL NOT NULL CHECK (let_off >= 0 AND let_off < 1),
  brace_height_mm REAL NOT NULL,
  axle_to_axle_mm REAL NOT NULL,
  mass_g REAL NOT NULL,
  centre_shot_mm REAL,
  rated_speed_mps REAL NOT NULL,
  rated_draw_length_mm REAL NOT NULL,
  rated_peak_n REAL NOT NULL,
  rated_arrow_g REAL NOT NULL,
  rest_mounts_json TEXT NOT NULL CHECK (json_valid(rest_mounts_json)),
  sight_mounts_json TEXT NOT NULL CHECK (json_valid(sight_mounts_json)),
  quiver_mounts_json TEXT NOT NULL CHECK (json_valid(quiver_mounts_json)),
  price_cents INTEGER NOT NULL CHECK (price_cents >= 0),
  stock INTEGER NOT NULL CHECK (stock >= 0),
  delivery_days INTEGER NOT NULL CHECK (delivery_days >= 0)
) STRICT;

CREATE TABLE catalogue_item (
  id TEXT PRIMARY KEY,
  slot TEXT NOT NULL,
  maker TEXT NOT NULL,
  model TEXT NOT NULL,
  hand TEXT NOT NULL CHECK (hand IN ('right', 'left', 'both')),
  mass_g REAL NOT NULL CHECK (mass_g >= 0),
  price_cents INTEGER NOT NULL CHECK (price_cents >= 0),
  stock INTEGER NOT NULL CHECK (stock >= 0),
  delivery_days INTEGER NOT NULL CHECK (delivery_days >= 0),
  attrs_json TEXT NOT NULL CHECK (json_valid(attrs_json))
) STRICT;
CREATE INDEX catalogue_item_slot ON catalogue_item (slot);
