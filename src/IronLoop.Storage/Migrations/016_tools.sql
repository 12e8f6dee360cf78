-- The tool wall: what hangs there, and what was found to be wanting. It holds the usual set from the first change on.
CREATE TABLE tool (
  id         INTEGER PRIMARY KEY,
  kind       TEXT NOT NULL,
  name       TEXT NOT NULL,
  across_um  INTEGER,
  width_um   INTEGER,
  spares     INTEGER NOT NULL DEFAULT 0,
  wanted     INTEGER NOT NULL DEFAULT 0
) STRICT;

-- Pins may go in with another family than they come out with.
ALTER TABLE bench_setup ADD COLUMN tools_in TEXT;
