-- Joints that are opened to be gauged before the rest is agreed, by group.
CREATE TABLE open_to_gauge (
  job_id  INTEGER NOT NULL REFERENCES job(id),
  joints  TEXT NOT NULL,
  PRIMARY KEY (job_id, joints)
) STRICT, WITHOUT ROWID;

-- What the shop lends for the work, and which drawer it goes back to.
CREATE TABLE lent (
  job_id  INTEGER NOT NULL REFERENCES job(id),
  name    TEXT NOT NULL,
  count   INTEGER NOT NULL CHECK (count > 0),
  drawer  TEXT NOT NULL,
  PRIMARY KEY (job_id, name, drawer)
) STRICT, WITHOUT ROWID;

-- The band that a line of a bag fits, as it was called.
ALTER TABLE bag_line ADD COLUMN fits TEXT NOT NULL DEFAULT '';
