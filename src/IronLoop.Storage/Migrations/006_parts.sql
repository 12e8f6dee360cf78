-- Small parts: clasps, buckles, bars, pins and links, with places and minimum levels; what jobs take of them; the
-- owner's own parts and whether they are used again; and orders to suppliers.

CREATE TABLE part (
  id              INTEGER PRIMARY KEY,
  article         TEXT NOT NULL UNIQUE,
  name            TEXT NOT NULL CHECK (length(name) > 0),
  kind            TEXT NOT NULL,
  supplier        TEXT NOT NULL DEFAULT '',
  supplier_article TEXT NOT NULL DEFAULT '',
  place           TEXT NOT NULL DEFAULT '',
  minimum         INTEGER NOT NULL DEFAULT 0 CHECK (minimum >= 0),
  on_hand         INTEGER NOT NULL DEFAULT 0 CHECK (on_hand >= 0),
  price_cents     INTEGER NOT NULL DEFAULT 0,
  finish          TEXT,
  colour          TEXT,
  clasp_kind      TEXT,
  inner_um        INTEGER,
  tube_um         INTEGER,
  buttons_um      INTEGER,
  throat_um       INTEGER,
  bar_um          INTEGER,
  adds_um         INTEGER,
  twelve_um       INTEGER,
  six_um          INTEGER,
  micro_side      TEXT,
  positions       INTEGER,
  step_um         INTEGER,
  length_um       INTEGER,
  diameter_um     INTEGER,
  tip_um          INTEGER,
  curved          INTEGER,
  style           TEXT,
  pitch_um        INTEGER,
  width_um        INTEGER
) STRICT;

INSERT INTO part (article, name, kind, on_hand, length_um, diameter_um, tip_um, curved, style)
  SELECT article, CASE style WHEN 'Screwed' THEN 'Screwed bar' ELSE 'Spring bar' END, 'Bar', in_stock, length_um, body_um, tip_um, curved, style
  FROM spring_bar ORDER BY length_um, body_um, article;
DROP TABLE spring_bar;

-- What a job takes: reserved once it lies in its place, booked out when the job is handed over.
CREATE TABLE part_taken (
  job_id     INTEGER NOT NULL REFERENCES job(id),
  part_id    INTEGER NOT NULL REFERENCES part(id),
  use        TEXT NOT NULL,
  count      INTEGER NOT NULL CHECK (count > 0),
  reserved   INTEGER NOT NULL,
  came_at    TEXT,
  booked_at  TEXT,
  PRIMARY KEY (job_id, use)
) STRICT, WITHOUT ROWID;

CREATE INDEX part_taken_part ON part_taken (part_id) WHERE booked_at IS NULL;

-- Every change of a count, with its reason.
CREATE TABLE stock_entry (
  id       INTEGER PRIMARY KEY,
  part_id  INTEGER NOT NULL REFERENCES part(id),
  at       TEXT NOT NULL,
  by       TEXT NOT NULL,
  change   INTEGER NOT NULL,
  reason   TEXT NOT NULL,
  job_id   INTEGER REFERENCES job(id)
) STRICT;

CREATE INDEX stock_entry_part ON stock_entry (part_id, id);

INSERT INTO stock_entry (part_id, at, by, change, reason)
  SELECT id, strftime('%Y-%m-%dT%H:%M:%fZ', 'now'), '', on_hand, 'as it was' FROM part WHERE on_hand > 0;

CREATE TABLE own_part (
  job_id    INTEGER NOT NULL REFERENCES job(id),
  kind      TEXT NOT NULL,
  came      INTEGER NOT NULL,
  straight  INTEGER NOT NULL,
  springy   INTEGER NOT NULL,
  unworn    INTEGER NOT NULL,
  PRIMARY KEY (job_id, kind)
) STRICT, WITHOUT ROWID;

-- What was seen of a job's clasp and what was decided about it; with no part, the band's own is kept.
CREATE TABLE job_clasp (
  job_id       INTEGER PRIMARY KEY REFERENCES job(id),
  kind         TEXT,
  pierced      INTEGER,
  notched      INTEGER,
  other_plain  INTEGER,
  bar_fit      TEXT,
  swap_ends    INTEGER NOT NULL DEFAULT 0,
  part_id      INTEGER REFERENCES part(id)
) STRICT;

-- The order's key goes with every try to send it, so that a try whose answer was lost does not order twice.
CREATE TABLE supply_order (
  id         INTEGER PRIMARY KEY,
  supplier   TEXT NOT NULL,
  key        TEXT NOT NULL UNIQUE,
  state      TEXT NOT NULL,
  number     TEXT NOT NULL DEFAULT '',
  made_at    TEXT NOT NULL,
  made_by    TEXT NOT NULL,
  sent_at    TEXT,
  tries      INTEGER NOT NULL DEFAULT 0,
  says       TEXT NOT NULL DEFAULT ''
) STRICT;

CREATE TABLE order_line (
  id        INTEGER PRIMARY KEY,
  order_id  INTEGER REFERENCES supply_order(id),
  part_id   INTEGER NOT NULL REFERENCES part(id),
  job_id    INTEGER REFERENCES job(id),
  measured  TEXT NOT NULL,
  count     INTEGER NOT NULL CHECK (count > 0),
  shipped   INTEGER NOT NULL DEFAULT 0,
  received  INTEGER NOT NULL DEFAULT 0 CHECK (received BETWEEN 0 AND count),
  refused   TEXT NOT NULL DEFAULT ''
) STRICT;

CREATE INDEX order_line_order ON order_line (order_id);
CREATE INDEX order_line_part ON order_line (part_id);

-- Consent to work on the band and to work for another clasp are given apart.
CREATE TABLE consent_for (
  job_id     INTEGER NOT NULL REFERENCES job(id),
  topic      TEXT NOT NULL,
  band_id    INTEGER NOT NULL REFERENCES band(id),
  work       TEXT NOT NULL,
  signed_by  TEXT NOT NULL CHECK (length(signed_by) > 0),
  signed_at  TEXT NOT NULL,
  PRIMARY KEY (job_id, topic)
) STRICT, WITHOUT ROWID;

INSERT INTO consent_for SELECT job_id, 'Band', band_id, work, signed_by, signed_at FROM consent;
DROP TABLE consent;
ALTER TABLE consent_for RENAME TO consent;
