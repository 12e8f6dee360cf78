-- Links are told apart by kind, not by pitch alone; a fitter marks links of a job; practitioners differ, and the house says how it does.

ALTER TABLE band_link ADD COLUMN mark TEXT NOT NULL DEFAULT '';
ALTER TABLE band_link ADD COLUMN one_sided INTEGER NOT NULL DEFAULT 0;
ALTER TABLE plan_link ADD COLUMN mark TEXT NOT NULL DEFAULT '';
ALTER TABLE plan_link ADD COLUMN one_sided INTEGER NOT NULL DEFAULT 0;

CREATE TABLE band_spare_of_kind (
  band_id   INTEGER NOT NULL REFERENCES band(id) ON DELETE CASCADE,
  pitch_um  INTEGER NOT NULL,
  mark      TEXT NOT NULL DEFAULT '',
  count     INTEGER NOT NULL CHECK (count >= 0),
  PRIMARY KEY (band_id, pitch_um, mark)
) STRICT, WITHOUT ROWID;

INSERT INTO band_spare_of_kind (band_id, pitch_um, count) SELECT band_id, pitch_um, count FROM band_spare;
DROP TABLE band_spare;
ALTER TABLE band_spare_of_kind RENAME TO band_spare;

-- Links the fitter said never to take, by where they lie on the band chosen.
CREATE TABLE link_pinned (
  job_id   INTEGER NOT NULL REFERENCES job(id),
  side     TEXT NOT NULL,
  ordinal  INTEGER NOT NULL,
  PRIMARY KEY (job_id, side, ordinal)
) STRICT, WITHOUT ROWID;

-- The link beside the clasp that comes free at the clasp's joint, and the narrow end piece that stays with the clasp.
CREATE TABLE link_freed (
  job_id        INTEGER NOT NULL REFERENCES job(id),
  side          TEXT NOT NULL,
  end_piece_um  INTEGER NOT NULL CHECK (end_piece_um >= 0),
  PRIMARY KEY (job_id, side)
) STRICT, WITHOUT ROWID;
