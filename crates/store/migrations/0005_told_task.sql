-- The tasks that a meal's calendar was made of: what is no longer one of them is cancelled in the next.
CREATE TABLE told_task (
    meal TEXT NOT NULL,
    task TEXT NOT NULL,
    what TEXT NOT NULL,
    begins TEXT NOT NULL,
    ends TEXT NOT NULL,
    PRIMARY KEY (meal, task)
) STRICT;
