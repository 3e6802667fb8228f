-- The format of each stored document, so that a later version knows what it reads and can bring it up to date.
ALTER TABLE kitchen ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
ALTER TABLE plan ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
ALTER TABLE cook ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
ALTER TABLE cook_event ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
