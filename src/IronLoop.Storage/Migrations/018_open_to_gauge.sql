-- Joints that are opened to be gauged before the rest is agreed, by group.
CREATE TABLE open_to_gauge (
    job_id INTEGER NOT NULL REFERENCES job (id),
    joints TEXT NOT NULL,
    PRIMARY KEY (job_id, joints)
) STRICT, WITHOUT ROWID;
