-- Lengths are whole micrometres, money whole cents, days and times ISO 8601 text.

CREATE TABLE client (
  id       INTEGER PRIMARY KEY,
  name     TEXT NOT NULL CHECK (length(name) > 0),
  contact  TEXT NOT NULL DEFAULT ''
) STRICT;

CREATE TABLE watch (
  id             INTEGER PRIMARY KEY,
  client_id      INTEGER NOT NULL REFERENCES client(id),
  name           TEXT NOT NULL CHECK (length(name) > 0),
  lug_width_um   INTEGER,
  attachment     TEXT,
  lug_to_lug_um  INTEGER,
  bar_to_bar_um  INTEGER,
  bar_rise_um    INTEGER,
  family         TEXT
) STRICT;

-- A band in stock, or, with an owner, the owner's own. Either the clasp columns or the strap columns are filled.
CREATE TABLE band (
  id                INTEGER PRIMARY KEY,
  article           TEXT NOT NULL UNIQUE,
  name              TEXT NOT NULL CHECK (length(name) > 0),
  owner_client_id   INTEGER REFERENCES client(id),
  kind              TEXT NOT NULL,
  material          TEXT NOT NULL,
  finish            TEXT NOT NULL DEFAULT '',
  colour            TEXT NOT NULL DEFAULT '',
  attaches          TEXT NOT NULL,
  width_um          INTEGER NOT NULL,
  thickness_um      INTEGER NOT NULL,
  solid_end         INTEGER,
  family            TEXT,
  price_cents       INTEGER NOT NULL DEFAULT 0,
  in_stock          INTEGER NOT NULL DEFAULT 0 CHECK (in_stock >= 0),
  clasp_name        TEXT NOT NULL,
  clasp_twelve_um   INTEGER,
  clasp_six_um      INTEGER,
  clasp_micro_side  TEXT,
  clasp_positions   INTEGER,
  clasp_step_um     INTEGER,
  clasp_position    INTEGER,
  buckle_piece_um   INTEGER,
  tail_um           INTEGER,
  first_hole_um     INTEGER,
  hole_pitch_um     INTEGER,
  holes             INTEGER,
  CHECK ((clasp_twelve_um IS NULL) <> (buckle_piece_um IS NULL))
) STRICT;

CREATE TABLE band_link (
  band_id    INTEGER NOT NULL REFERENCES band(id) ON DELETE CASCADE,
  side       TEXT NOT NULL,
  ordinal    INTEGER NOT NULL,
  pitch_um   INTEGER NOT NULL,
  removable  INTEGER NOT NULL,
  PRIMARY KEY (band_id, side, ordinal)
) STRICT, WITHOUT ROWID;

CREATE TABLE band_spare (
  band_id   INTEGER NOT NULL REFERENCES band(id) ON DELETE CASCADE,
  pitch_um  INTEGER NOT NULL,
  count     INTEGER NOT NULL CHECK (count >= 0),
  PRIMARY KEY (band_id, pitch_um)
) STRICT, WITHOUT ROWID;

CREATE TABLE job (
  id             INTEGER PRIMARY KEY,
  client_id      INTEGER NOT NULL REFERENCES client(id),
  watch_id       INTEGER NOT NULL REFERENCES watch(id),
  request        TEXT NOT NULL,
  words          TEXT NOT NULL DEFAULT '',
  promised       TEXT NOT NULL,
  taken_in_at    TEXT NOT NULL,
  taken_in_by    TEXT NOT NULL,
  band_id        INTEGER REFERENCES band(id),
  clasp_kept_at  TEXT,
  closed_at      TEXT
) STRICT;

CREATE INDEX job_open ON job (promised, id) WHERE closed_at IS NULL;
CREATE INDEX job_band ON job (band_id) WHERE closed_at IS NULL;

CREATE TABLE wrist (
  job_id    INTEGER PRIMARY KEY REFERENCES job(id),
  round_um  INTEGER,
  wear      TEXT
) STRICT;

-- The arrangement on the bench: the micro position (of a strap, the hole) and what happens to each link.
CREATE TABLE plan (
  job_id     INTEGER PRIMARY KEY REFERENCES job(id),
  position   INTEGER NOT NULL,
  target_um  INTEGER NOT NULL,
  agreed_at  TEXT
) STRICT;

CREATE TABLE plan_link (
  job_id    INTEGER NOT NULL REFERENCES plan(job_id) ON DELETE CASCADE,
  side      TEXT NOT NULL,
  ordinal   INTEGER NOT NULL,
  pitch_um  INTEGER NOT NULL,
  fate      TEXT NOT NULL,
  PRIMARY KEY (job_id, side, ordinal)
) STRICT, WITHOUT ROWID;

CREATE TABLE bench_step (
  job_id   INTEGER NOT NULL REFERENCES job(id),
  key      TEXT NOT NULL,
  done_at  TEXT NOT NULL,
  PRIMARY KEY (job_id, key)
) STRICT, WITHOUT ROWID;

CREATE TABLE bag_line (
  job_id  INTEGER NOT NULL REFERENCES job(id),
  what    TEXT NOT NULL,
  count   INTEGER NOT NULL CHECK (count > 0),
  PRIMARY KEY (job_id, what)
) STRICT, WITHOUT ROWID;

CREATE TABLE log_entry (
  id       INTEGER PRIMARY KEY,
  job_id   INTEGER NOT NULL REFERENCES job(id),
  at       TEXT NOT NULL,
  by       TEXT NOT NULL,
  station  TEXT NOT NULL,
  words    TEXT NOT NULL
) STRICT;

CREATE INDEX log_entry_job ON log_entry (job_id, id);
CREATE INDEX log_entry_at ON log_entry (at, id);
