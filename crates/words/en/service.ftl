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
own-names-only = this kitchen answers to its own addresses and names only
own-machine = the kitchen's own machine
sign-in-first = this screen has not signed in. Open the kitchen's page on it and give the passphrase
looks-only = this screen only looks. Change it on a screen that cooks, or sign in anew to cook here
no-such-key = this key is not known, or was revoked. Make another in the kitchen, under Screens
probes-read-only = this key sends and reads readings of probes, and nothing else
wrong-passphrase = this is not the kitchen's passphrase
no-invitation = this invitation was used already, or its minutes have passed. Ask for another
# $wait (RoughMinutes)
wait-first = too many wrong ones. Wait { $wait } before the next
passphrase-or-invitation = give the kitchen's passphrase, or an invitation
this-passphrase = this passphrase
# $least (Count) $most (Count)
passphrase-length = it must have { $least } to { $most } characters
passphrase-guessed = it is among what is guessed first. Take four or five words that do not belong together
not-open = other screens can't reach this kitchen. Start it with --host and the address of this machine
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
# $address (Text)
host-is-own = { $address } is this machine itself: other devices can't reach it. It answers as it does without --host
# $path (Text)
folder-is-open = other users of this machine can read { $path }, and it holds more than a kitchen. Give Ergastic a folder of its own, or close this one (chmod 700)
# $address (Text)
host-not-private = { $address } is on the open internet, where this kitchen does not stand. Give an address of your own network, or one that stands for all of them
# $text (Text)
no-such-name = { $text } is no name of a machine
no-passphrase-yet = Other screens need the kitchen's passphrase to enter, and none is set. Set it with: ergastic passphrase
ask-passphrase = The kitchen's passphrase (four or five words):
ask-passphrase-again = Once more:
passphrases-differ = these two are not the same
passphrase-is-set = The passphrase is set. Every screen signs in anew.
authority-not-made = the kitchen's own authority can't be made or read
# $fingerprint (Text)
fingerprint-is = The kitchen's authority: { $fingerprint }
# $port (Text)
port-taken = port { $port } can't be used
