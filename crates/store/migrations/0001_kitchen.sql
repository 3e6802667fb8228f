-- One kitchen a database. Instants are RFC 3339 text in UTC; documents are JSON.
CREATE TABLE kitchen (
    id       INTEGER PRIMARY KEY CHECK (id = 1),
    document TEXT NOT NULL
) STRICT;

-- Every saved version of a plan is kept; the newest is the plan.
CREATE TABLE plan (
    id       TEXT NOT NULL,
    version  INTEGER NOT NULL CHECK (version > 0),
    document TEXT NOT NULL,
    saved_at TEXT NOT NULL,
    PRIMARY KEY (id, version)
) STRICT;

-- A cook keeps the plan it was started from, whatever becomes of the plan later.
CREATE TABLE cook (
    id        TEXT PRIMARY KEY,
    plan_id   TEXT NOT NULL,
    document  TEXT NOT NULL,
    opened_at TEXT NOT NULL
) STRICT;

-- What happened, append only; `seq` is the order it was stored in.
CREATE TABLE cook_event (
    seq      INTEGER PRIMARY KEY AUTOINCREMENT,
    id       TEXT NOT NULL UNIQUE,
    cook_id  TEXT NOT NULL REFERENCES cook (id),
    at       TEXT NOT NULL,
    happened TEXT NOT NULL
) STRICT;

CREATE INDEX cook_event_of_cook ON cook_event (cook_id, seq);

CREATE TABLE reading (
    probe   TEXT NOT NULL,
    id      TEXT NOT NULL,
    at      TEXT NOT NULL,
    celsius REAL NOT NULL,
    PRIMARY KEY (probe, id)
) STRICT, WITHOUT ROWID;

CREATE INDEX reading_in_time ON reading (probe, at);
