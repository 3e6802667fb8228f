### The live cook: one sentence on where it stands.

tender = Tender. Keep it hot and covered until it is lifted for the bell.
before = The clock starts when the meat meets the heat.
surprising = No simulated cook foretold that last finding. Check that the probe's tip is in the middle, or fork it.
# $late (Span)
late = In half of such cooks plates come { $late } after the bell or later. A fork check tells most now.
# $chance (Share)
sure = { CAPITAL($chance) } such pieces are tender in time. Look when the sheet says so; there is nothing else to do.
# $chance (Share)
likely = { CAPITAL($chance) } such pieces are tender in time. A fork check narrows that most; a reading in the middle helps early on.

## What happened, and what it is called when it is taken back.

met-heat = The meat met the heat
    .name = the start of the clock
# $task (Said)
task-done = Done: { $task }
    .name = “{ $task }” done
# $celsius (Temperature)
core-reading = Middle at { $celsius }
    .name = the reading
# $found (Key)
checked = Forked it: { $found }
    .name = the check ({ $found })
# $salt (Key)
tasted = Tasted the pot: its salt is { $salt }
    .name = the taste
# $litres (Volume)
liquid-added = { $litres } of liquid added
    .name = the liquid added
# $litres (Volume)
dipped = { $litres } in the pot, by dipstick
    .name = the dip
# $lost (Mass)
weighed = The pot has lost { $lost }
    .name = the weighing
note-name = the note
closed = Closed
    .name = closing it

## What may be done now.

start-the-clock = The meat is in: start the clock
it-simmers = It simmers
done = Done
work-out-the-sauce = Work out the sauce
served = Served: close the cook
lift-it-now = Lift it now
# $found (Key)
found =
    { $found ->
        [firm] firm
        [slice] slice
        [fork] fork
        [probe] probe
        [pull] pull
       *[spoon] spoon
    }
# $salt (Key)
salt =
    { $salt ->
        [flat] flat
        [right] right
       *[salty] salty
    }
