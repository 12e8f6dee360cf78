-- What was noted at a bench step. What is not settled is answered before the watch goes back.
CREATE TABLE step_note (
  id        INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id    INTEGER NOT NULL REFERENCES job(id),
  step      TEXT NOT NULL,
  note      TEXT NOT NULL,
  settled   INTEGER NOT NULL,
  answer    TEXT NOT NULL DEFAULT '',
  photo_id  INTEGER REFERENCES photo(id) ON DELETE SET NULL,
  noted_at  TEXT NOT NULL,
  by        TEXT NOT NULL
) STRICT;

CREATE INDEX step_note_job ON step_note (job_id);
