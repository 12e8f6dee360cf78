-- Every reading is kept; a figure is the mean of its readings. A watch's figures stay with the watch: its newest job
-- that read one has the say. A band's and a wrist's figures belong to the job.

CREATE TABLE reading (
  id       INTEGER PRIMARY KEY,
  job_id   INTEGER NOT NULL REFERENCES job(id),
  figure   TEXT NOT NULL,
  um       INTEGER NOT NULL,
  read_at  TEXT NOT NULL,
  by_line  INTEGER NOT NULL DEFAULT 0
) STRICT;

CREATE INDEX reading_job ON reading (job_id, figure, id);
CREATE INDEX job_watch ON job (watch_id);

-- Questioned figures that were looked at again and are as they are.
CREATE TABLE figure_stands (
  job_id  INTEGER NOT NULL REFERENCES job(id),
  figure  TEXT NOT NULL,
  PRIMARY KEY (job_id, figure)
) STRICT, WITHOUT ROWID;

INSERT INTO reading (job_id, figure, um, read_at)
  SELECT first.id, f.figure, f.um, first.taken_in_at
  FROM (SELECT watch.id AS watch_id, 'LugWidth' AS figure, lug_width_um AS um FROM watch
        UNION ALL SELECT id, 'LugToLug', lug_to_lug_um FROM watch
        UNION ALL SELECT id, 'BarToBar', bar_to_bar_um FROM watch
        UNION ALL SELECT id, 'BarRise', bar_rise_um FROM watch) AS f
  JOIN job AS first ON first.id = (SELECT MIN(job.id) FROM job WHERE job.watch_id = f.watch_id)
  WHERE f.um IS NOT NULL;

INSERT INTO reading (job_id, figure, um, read_at)
  SELECT wrist.job_id, 'Wrist', wrist.round_um, job.taken_in_at
  FROM wrist JOIN job ON job.id = wrist.job_id WHERE wrist.round_um IS NOT NULL;

ALTER TABLE watch DROP COLUMN lug_width_um;
ALTER TABLE watch DROP COLUMN lug_to_lug_um;
ALTER TABLE watch DROP COLUMN bar_to_bar_um;
ALTER TABLE watch DROP COLUMN bar_rise_um;
ALTER TABLE watch ADD COLUMN case_shape TEXT;

ALTER TABLE wrist DROP COLUMN round_um;
ALTER TABLE wrist ADD COLUMN worn_at TEXT;
ALTER TABLE wrist ADD COLUMN season TEXT;

CREATE TABLE try_on (
  job_id           INTEGER PRIMARY KEY REFERENCES job(id),
  surplus_by       TEXT NOT NULL,
  surplus_over     TEXT NOT NULL,
  amount_thousand  INTEGER,
  loop_um          INTEGER,
  thickness_um     INTEGER,
  pitch_um         INTEGER,
  wedge_um         INTEGER
) STRICT;

CREATE TABLE copied_loop (
  job_id         INTEGER PRIMARY KEY REFERENCES job(id),
  loop_um        INTEGER,
  bar_to_bar_um  INTEGER,
  bar_rise_um    INTEGER,
  thickness_um   INTEGER
) STRICT;

-- The owner's own bracelet as its sheet has it so far; rows in the fitter's words.
CREATE TABLE own_bracelet (
  job_id           INTEGER PRIMARY KEY REFERENCES job(id),
  twelve           TEXT NOT NULL,
  six              TEXT NOT NULL,
  spares           TEXT NOT NULL,
  half_pitch_um    INTEGER,
  clasp_name       TEXT NOT NULL,
  clasp_twelve_um  INTEGER,
  clasp_six_um     INTEGER,
  micro_side       TEXT NOT NULL,
  positions        INTEGER NOT NULL,
  step_um          INTEGER,
  position         INTEGER NOT NULL,
  fastener         TEXT,
  bench_length_um  INTEGER,
  width_um         INTEGER,
  thickness_um     INTEGER,
  solid_end        INTEGER,
  band_id          INTEGER REFERENCES band(id)
) STRICT;

-- What the shop has settled for itself, by name.
CREATE TABLE setting (
  name   TEXT PRIMARY KEY,
  value  TEXT NOT NULL
) STRICT, WITHOUT ROWID;
