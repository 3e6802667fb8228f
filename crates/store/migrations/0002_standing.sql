-- What lists of cooks show of each, kept so that a list costs one look: a `line` in the list of all, a `document` in the
-- log. `of_seq` is the last thing that had happened; `reckoned` is 0 where only the facts are known and the forecast is
-- still to be run; `day` is the bell, or when it was opened.
CREATE TABLE cook_summary (
    cook_id  TEXT PRIMARY KEY REFERENCES cook (id) ON DELETE CASCADE,
    of_seq   INTEGER NOT NULL,
    reckoned INTEGER NOT NULL,
    closed   INTEGER NOT NULL,
    opened   TEXT NOT NULL,
    day      TEXT NOT NULL,
    binned   INTEGER NOT NULL,
    line     TEXT NOT NULL,
    document TEXT NOT NULL
) STRICT;

-- The line stands in the index, so that the list of all is read from it alone.
CREATE INDEX cook_summary_in_list ON cook_summary (opened DESC, cook_id, line) WHERE binned = 0;
CREATE INDEX cook_summary_in_log ON cook_summary (day DESC, cook_id) WHERE closed = 1 AND binned = 0;

CREATE INDEX cook_summary_to_reckon ON cook_summary (cook_id) WHERE reckoned = 0;

-- What was put away: it can be taken out again until the bin is emptied.
ALTER TABLE cook ADD COLUMN binned_at TEXT;
CREATE TABLE plan_bin (
    plan_id   TEXT PRIMARY KEY,
    binned_at TEXT NOT NULL
) STRICT;

-- Readings by probe and time, so that a curve is read in one sweep and a season of them is written in one.
-- `at` is ms since 1970 in UTC. `batch` is 0, or the import that is still bringing them in: they do not count
-- until it has left `import_open`.
CREATE TABLE probe (
    seq  INTEGER PRIMARY KEY,
    name TEXT NOT NULL UNIQUE
) STRICT;

ALTER TABLE reading RENAME TO reading_by_text;
DROP INDEX reading_in_time;

CREATE TABLE reading (
    probe   INTEGER NOT NULL REFERENCES probe (seq),
    at      INTEGER NOT NULL,
    id      BLOB NOT NULL,
    celsius REAL NOT NULL,
    batch   INTEGER NOT NULL,
    PRIMARY KEY (probe, at, id)
) STRICT, WITHOUT ROWID;

-- Each id once a probe. A table of its own and not an index, so that a large import can fill it in the ids' order.
CREATE TABLE reading_id (
    probe INTEGER NOT NULL,
    id    BLOB NOT NULL,
    at    INTEGER NOT NULL,
    PRIMARY KEY (probe, id)
) STRICT, WITHOUT ROWID;

INSERT INTO probe (name) SELECT DISTINCT probe FROM reading_by_text ORDER BY probe;
INSERT INTO reading (probe, at, id, celsius, batch)
    SELECT p.seq,
           CAST(strftime('%s', substr(r.at, 1, 19)) AS INTEGER) * 1000 + CAST(substr(r.at, 21, 3) AS INTEGER),
           unhex(replace(r.id, '-', '')), r.celsius, 0
    FROM reading_by_text AS r JOIN probe AS p ON p.name = r.probe
    ORDER BY 1, 2, 3;
INSERT INTO reading_id (probe, id, at) SELECT probe, id, at FROM reading ORDER BY probe, id;
DROP TABLE reading_by_text;

-- Imports under way, and what they have brought so far of plans and cooks.
CREATE TABLE import_open (
    id INTEGER PRIMARY KEY AUTOINCREMENT
) STRICT;
CREATE TABLE import_staged (
    import   INTEGER NOT NULL REFERENCES import_open (id) ON DELETE CASCADE,
    seq      INTEGER NOT NULL,
    document TEXT NOT NULL,
    PRIMARY KEY (import, seq)
) STRICT, WITHOUT ROWID;

-- Written to when someone asks whether anything can be kept.
CREATE TABLE pulse (
    id INTEGER PRIMARY KEY CHECK (id = 1),
    at TEXT NOT NULL
) STRICT;
