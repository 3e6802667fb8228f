### What keeps the kitchen: the disk, the database, copies and files.

trouble-full = nothing can be kept: the disk is full. Make room on it; what is shown stays, and the next change is kept again
trouble-read-only = nothing can be kept: the kitchen's folder can only be read. Make it writable, or start with another folder (--data)
trouble-disk = nothing can be kept: the disk does not do what it is told. Save the whole kitchen as a file elsewhere, and check the disk
trouble-gone = nothing can be kept: the database file was deleted or replaced. Save the whole kitchen as a file now, then start again and bring it in
trouble-corrupt = the database file is damaged or not a database. Put it aside and bring back a copy with `ergastic restore FILE`; copies are kept in the folder backups beside it
log-gone = The database's write-ahead log was deleted. Nothing is lost: each change now goes straight into the database. Stop Ergastic and start it again
trouble-busy = the kitchen is still busy with another change. Nothing of this one was kept; try again shortly

# $what (Key) $id (Text)
not-found = there is no { $what ->
        [plan] plan
        [cook] cook
        [version] version
       *[other] such thing as
    } { $id }
# $given (Text) $current (Text)
conflict = version { $given } was saved over by version { $current }
# $reason (Text) $version (Text)
damaged-kitchen = The kitchen's document can't be read: { $reason }. Version { $version } is used instead
# $reason (Text)
damaged-first-kitchen = The kitchen's document can't be read: { $reason }. The usual kitchen is used instead
# $reason (Text)
over-damaged = the kitchen that is kept can't be read ({ $reason }). Say that you go on without it, and it is kept as an earlier version
# $index (Text) $id (Text)
elsewhere = [{ $index }].id: { $id } is the id of something that happened in another cook. Make a new one
moved = something else happened in this cook just now. Try again
# $most (Count)
cook-full = this cook holds { $most } things that happened, which is all it can. Close it and open another
# $most (Count)
probes-full = { $most } probes are known, which is all there can be. Send this one's readings under a name that is known
importing = another file is being brought in. Wait until it is done
# $reason (Text)
damaged = a stored document can't be read: { $reason }
# $format (Text)
later-format = it is of format { $format }, which a later version of Ergastic wrote
# $text (Text)
no-id = { $text } is not an id
# $text (Text)
no-instant = { $text } is not an instant
no-reading-id = a reading's id is not an id
# $step (Text)
newer = the database was written by a newer version of Ergastic (its step { $step }). Start that version, or another folder (--data)
# $reason (Text)
database = the database: { $reason }
# $reason (Text)
migration = the database can't be brought up to date: { $reason }

# $path (Text) $reason (Text)
file-fault = { $path }: { $reason }
# $path (Text)
file-is-there = { $path } is there already. Name a new file
# $path (Text) $reason (Message)
no-copy = { $path } is no copy of a kitchen: { $reason }
no-such-file = there is no such file
# $path (Text)
folder-taken = another Ergastic keeps its kitchen in { $path }. Stop that one, or give this one a folder of its own (--data)

## A kitchen as a file.

what-came = what came
a-part-of-it = a part of it
broke-off = the file broke off
# $most (Count)
part-too-long = one part is longer than { $most } bytes
# $layout (Count)
says-its-layout = a kitchen file says its layout, { $layout }
# $layout (Count)
reads-layout = this version reads layout { $layout }
one-or-more = it must be 1 or more
fields-of-a-file = a file has ergastic, kitchen, plans, cooks and probes
fields-of-a-probe = a probe is {"{"}"probe": its name, "readings": […]{"}"}, in this order
cant-be-worked-out = it can't be worked out
