-- How a client wears it: off-centre on purpose, and how much more or less room a hot or a cold day asks for.
ALTER TABLE client ADD COLUMN off_centre_um INTEGER NOT NULL DEFAULT 0;
ALTER TABLE client ADD COLUMN hot_um INTEGER;
ALTER TABLE client ADD COLUMN cold_um INTEGER;
