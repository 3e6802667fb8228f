-- The kitchen counts its versions as a plan does, so that what two pages change of it is brought together.
ALTER TABLE kitchen ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
