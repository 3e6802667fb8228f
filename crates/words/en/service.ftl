### What the server and the command line say: refusals, and what was done.

own-fault = something went wrong in the server
database-fault = the kitchen's database can't be used just now; nothing was changed
took-too-long = this took too long and was given up. Ask for less, or again
too-much = too much is being worked out at once. Ask again shortly
too-many-pages = too many pages listen for changes. Close some
no-api-address = there is no such address in the API
no-address = there is no such address
no-method = this address does not take that method
another-site = this came from another site's page
own-machine-only = this kitchen answers on its own machine only
read-only-page = a page can only be read (GET, HEAD)
no-file = there is no such file
no-version = there is no such version
# $text (Text)
nothing-called = there is nothing called { $text }
# $most (Count)
too-long = this is longer than the { $most } bytes it may have
rest-did-not-come = the rest of the request did not come
broke-off = the request broke off
no-web-files = The web files are not in this build. Build it with "dev build"

header = header
csv-header = it must be at,celsius
this-row = this row
more-rows = more rows
# $most (Count)
most-readings = send { $most } readings at most at once
# $reason (Text)
because = { $reason }

# $text (Text)
no-time = a date with its time, or so long since the start, and not { $text }
no-columns = this text
two-columns = a table with a line of headings, a column for the time and one or more for what was read
# $most (Count)
so-many-rows = { $most } rows at most
a-column = a column of the file, counted from 0
when-it-began = the file counts from its own start: say when that was
no-probe-named = no column
name-a-probe = name at least one column that holds what a probe read

## The command line.

# $path (Text)
no-kitchen-in = there is no kitchen in { $path }. Name its folder with --data
# $path (Text)
holds-the-kitchen = { $path } holds the whole kitchen.
# $copy (Text) $path (Text)
kitchen-is-back = The kitchen of { $copy } is back in { $path }.
# $path (Text)
was-there = What was there is kept as { $path }.
# $path (Text)
no-folder = the folder { $path } can't be made
# $path (Text) $most (Count)
file-too-large = { $path }: larger than { $most } bytes
# $reason (Text)
standard-output = standard output: { $reason }
database-not-opened = the database can't be opened
demo-not-loaded = the demo kitchen can't be loaded
# $given (Number) $most (Number)
no-speed = a clock {$given} times as fast can't be had; it must be 1 to { $most }
# $port (Text)
port-taken = port { $port } can't be used
