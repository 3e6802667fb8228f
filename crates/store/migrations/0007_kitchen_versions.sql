-- The kitchen keeps every version that was saved, as plans do: what can't be read any more is never written over.
CREATE TABLE kitchen_version (
    version  INTEGER PRIMARY KEY CHECK (version > 0),
    document TEXT NOT NULL,
    format   INTEGER NOT NULL,
    saved_at TEXT NOT NULL
) STRICT;
INSERT INTO kitchen_version SELECT version, document, format, strftime('%Y-%m-%dT%H:%M:%fZ', 'now') FROM kitchen;
DROP TABLE kitchen;
ALTER TABLE kitchen_version RENAME TO kitchen;
