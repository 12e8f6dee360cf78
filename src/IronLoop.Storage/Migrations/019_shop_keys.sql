-- Keys of the shop for other programs that ask it for figures; of a key only its digest is kept.
CREATE TABLE shop_key (
  id        INTEGER PRIMARY KEY,
  name      TEXT NOT NULL,
  digest    TEXT NOT NULL UNIQUE,
  made_at   TEXT NOT NULL,
  made_by   TEXT NOT NULL,
  ended_at  TEXT
) STRICT;
