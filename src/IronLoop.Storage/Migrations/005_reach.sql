-- What a link bracelet can make, worked out once when it is stored. Bracelets made of the same links, clasp and spares
-- share it. Those stored before this migration get theirs when the shop is opened.

CREATE TABLE reach (
  id       INTEGER PRIMARY KEY,
  made_of  TEXT NOT NULL UNIQUE,
  packed   BLOB NOT NULL
) STRICT;

ALTER TABLE band ADD COLUMN reach_id INTEGER REFERENCES reach(id);
