-- What a band may be wished for beside what it has to suit.
ALTER TABLE job ADD COLUMN must_not_be_lost INTEGER CHECK (must_not_be_lost IN (0, 1));
ALTER TABLE job ADD COLUMN lettering_kept INTEGER CHECK (lettering_kept IN (0, 1));

-- How near the case a straight end of a bracelet comes, and whether leather is firm.
ALTER TABLE band ADD COLUMN bore_to_face_um INTEGER;
ALTER TABLE band ADD COLUMN firm INTEGER CHECK (firm IN (0, 1));

-- What a bracelet makes only with its clasp off its place is kept with its reach: each is worked out anew when the file is opened.
UPDATE band SET reach_id = NULL;
DELETE FROM reach;
