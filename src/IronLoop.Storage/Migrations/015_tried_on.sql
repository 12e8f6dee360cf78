-- What every try-on found, of whatever band: it stands with its step, and goes when that is taken back.
CREATE TABLE tried_on (
  job_id      INTEGER NOT NULL,
  seq         INTEGER NOT NULL,
  outcome     TEXT NOT NULL,
  final       INTEGER NOT NULL,
  position    INTEGER,
  ease        TEXT,
  tail_um     INTEGER,
  surplus_um  INTEGER,
  reason      TEXT NOT NULL DEFAULT '',
  PRIMARY KEY (job_id, seq),
  FOREIGN KEY (job_id, seq) REFERENCES bench_step(job_id, seq) ON DELETE CASCADE
) STRICT, WITHOUT ROWID;
