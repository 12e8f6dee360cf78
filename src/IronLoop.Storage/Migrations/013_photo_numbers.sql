-- A photo's number names its file, here and beside the backups: none is given twice, or an old picture would stand for a new one.
CREATE TABLE photo_numbered (
  id        INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id    INTEGER NOT NULL REFERENCES job(id),
  type      TEXT NOT NULL,
  bytes     INTEGER NOT NULL,
  taken_at  TEXT NOT NULL
) STRICT;

INSERT INTO photo_numbered (id, job_id, type, bytes, taken_at) SELECT id, job_id, type, bytes, taken_at FROM photo;
DROP TABLE photo;
ALTER TABLE photo_numbered RENAME TO photo;
CREATE INDEX photo_job ON photo (job_id);
