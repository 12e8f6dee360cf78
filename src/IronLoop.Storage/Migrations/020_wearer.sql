-- Whether the wearer is here to try the work on; a watch that came by post is worn by nobody at the shop.
ALTER TABLE job ADD COLUMN has_wearer INTEGER NOT NULL DEFAULT 1 CHECK (has_wearer IN (0, 1));
