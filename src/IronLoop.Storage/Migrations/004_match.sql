-- Bands of every kind. A one-piece band and mesh have no buckle piece: theirs is nought, and the kind says which
-- columns hold their lengths.

ALTER TABLE band ADD COLUMN end_shape TEXT NOT NULL DEFAULT 'Straight';
ALTER TABLE band ADD COLUMN end_thickness_um INTEGER;
ALTER TABLE band ADD COLUMN tube_bore_um INTEGER;
ALTER TABLE band ADD COLUMN nickel_safe INTEGER;
ALTER TABLE band ADD COLUMN clasp_end_um INTEGER;
ALTER TABLE band ADD COLUMN under_run_um INTEGER;
ALTER TABLE band ADD COLUMN mesh_shortest_um INTEGER;
ALTER TABLE band ADD COLUMN mesh_longest_um INTEGER;
ALTER TABLE band ADD COLUMN mesh_notches INTEGER;

CREATE INDEX band_owner ON band (owner_client_id) WHERE owner_client_id IS NOT NULL;

CREATE TABLE spring_bar (
  article    TEXT PRIMARY KEY,
  length_um  INTEGER NOT NULL,
  body_um    INTEGER NOT NULL,
  tip_um     INTEGER NOT NULL,
  curved     INTEGER NOT NULL,
  style      TEXT NOT NULL,
  in_stock   INTEGER NOT NULL CHECK (in_stock >= 0)
) STRICT, WITHOUT ROWID;

ALTER TABLE watch ADD COLUMN case_finish TEXT;
ALTER TABLE watch ADD COLUMN case_colour TEXT;

-- What the band has to suit, and how a pull-through band is worn.
ALTER TABLE job ADD COLUMN water INTEGER;
ALTER TABLE job ADD COLUMN nickel_sensitive INTEGER;
ALTER TABLE job ADD COLUMN hair_pull INTEGER;
ALTER TABLE job ADD COLUMN wished_colour TEXT;
ALTER TABLE job ADD COLUMN worn_way TEXT NOT NULL DEFAULT 'Double';

-- The owner's written consent to work that cannot be undone.
CREATE TABLE consent (
  job_id     INTEGER PRIMARY KEY REFERENCES job(id),
  band_id    INTEGER NOT NULL REFERENCES band(id),
  work       TEXT NOT NULL,
  signed_by  TEXT NOT NULL CHECK (length(signed_by) > 0),
  signed_at  TEXT NOT NULL
) STRICT;
