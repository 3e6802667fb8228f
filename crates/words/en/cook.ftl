### The live cook: one sentence on where it stands.

tender = Tender. Keep it hot and covered until it is lifted for the bell.
before = The clock starts when the meat meets the heat.
# $things (Count)
unread = { $things ->
        [one] One thing that happened can't be read. The cook goes on without it: check the pot, and log what is missing.
       *[other] { $things } things that happened can't be read. The cook goes on without them: check the pot, and log what is missing.
    }
# $since (Instant)
left-open = Nothing logged since { $since }: close it, or log how it stands
surprising = No simulated cook foretold that last finding. Check that the probe's tip is in the middle, or fork it.
# $late (RoughMinutes)
late = In half of such cooks plates come { $late } after the bell or later. A fork check tells most now.
# $chance (Share)
sure = { CAPITAL($chance) } such pieces are tender in time. Look when the sheet says so; there is nothing else to do.
# $chance (Share)
likely = { CAPITAL($chance) } such pieces are tender in time. A fork check narrows that most; a reading in the middle helps early on.

## What happened, and what it is called when it is taken back.

on-the-heat = The meat met the heat
    .name = the start of the clock
# $task (Message)
task-done = Done: { $task }
    .name = “{ $task }” done
# $hands (Message) $task (Message)
task-taken = { $hands } has it: { $task }
    .name = “{ $task }” in hand
# $hands (Message) $count (Count)
taken-by =
    { $count ->
        [one] { $hands } has it
       *[other] { $hands } have it: one of you can let go
    }
# $celsius (Temperature)
core-reading = Middle at { $celsius }
    .name = the reading
# $by (Key) $found (Key)
checked =
    { $by ->
        [fork] Forked it
        [twist] Twisted a fork in it
        [probe] Probed it
        [bone] Tried the bone
       *[bite] Ate a piece
    }: { $found }
    .name = the check ({ $found })
heat-off = The heat went off
    .name = the heat going off
heat-on = The heat is on again
    .name = the heat coming back
# $open (Minutes)
opened = Stood open for { $open }
    .name = the opening
# $serve_at (Instant)
serve-at-moved = Plates wanted at { $serve_at }
    .name = the other time for plates
# $fat (Length)
fat-measured = { $fat } of fat on it
    .name = the fat cap
# $probe (Message) $place (Key)
probe-put = Probe “{ $probe }” { $place ->
        [meat] into the middle of the meat
        [pot] into the liquid
        [air] into the air beside it
       *[aside] put aside
    }
    .name = putting the probe there
# $what (Message)
heard-alarm = Heard: { $what }
    .name = hearing the alarm
# $what (Message) $time (Minutes)
later-alarm = Put off by { $time }: { $what }
    .name = putting it off
the-pot = the pot
changed-name = the change
# $dial (Dial)
changed-oven = oven at { $dial }
# $dial (Dial)
changed-pit = pit at { $dial }
# $simmer (Key)
changed-simmer = { $simmer ->
        [lazy] down to a lazy simmer
        [gentle] to a gentle simmer
        [brisk] up to a brisk simmer
       *[boil] up to a rolling boil
    }
# $at (Temperature)
changed-to = held at { $at }
# $setting (Key)
changed-setting = switched to { $setting ->
        [low] low
       *[high] high
    }
# $material (Key)
changed-wrap = wrapped in { $material ->
        [paper] paper
       *[foil] foil
    }
# $lid (Message)
changed-lid = { $lid }
changed-halved = every piece cut in two
changed-something = Something was changed
# $salt (Key)
tasted = Tasted the pot: its salt is { $salt }
    .name = the taste
# $litres (Volume)
liquid-added = { $litres } of liquid added
    .name = the liquid added
# $litres (Volume)
dipped = { $litres } in the pot, by dipstick
    .name = the dip
sauce-chosen = Chose the way to the sauce
    .name = the choice
sauce-done =
    .name = what was done to the sauce
# $with (Key)
did-skim = { $with ->
        [ladle] Skimmed it with a ladle
        [spout] Skimmed it in a spouted jug
        [bag] Skimmed it in a bag
        [chill] Chilled it and lifted the fat
       *[none] Left the fat in
    }
did-strain = Strained it
# $to (Volume)
did-reduce = Boiled it down to { $to }
# $litres (Volume)
did-set-aside = Took out { $litres } of it, thin
# $with (Key)
did-thicken = { $with ->
        [cornflour] Thickened it with cornflour
        [arrowroot] Thickened it with arrowroot
        [potato] Thickened it with potato starch
        [flour] Thickened it with flour
        [butter_paste] Thickened it with flour and butter
        [gelatin] Gave it gelatin
        [puree] Thickened it with its vegetables
        [bread] Thickened it with bread
       *[none] Left it thin
    }
# $amount (Grams) $name (Message)
did-pour-in = Stirred in { $amount } of { $name }
# $salt (Grams)
did-salt = Stirred in { $salt } of salt
did-measure = Measured it
# $what (Message)
taken-out = Out of the pot: { $what }
    .name = the taking out
# $kilos (Mass)
meat-weighed = The cooked meat: { $kilos }
    .name = the weighing of the meat
# $lost (Mass)
weighed = The pot has lost { $lost }
    .name = the weighing
note-name = the note
closed = Closed
    .name = closing it

## What moved the band.

as-planned = As planned.
# $by (RoughMinutes)
sooner-than-planned = { CAPITAL($by) } sooner than planned.
# $by (RoughMinutes)
later-than-planned = { CAPITAL($by) } later than planned.
moves-nothing = the time stands
# $by (RoughMinutes)
moves-sooner = { $by } sooner
# $by (RoughMinutes)
moves-later = { $by } later
# $shift (Message)
moved-middle-even = By what the middle has read: { $shift }.
# $shift (Message)
moved-around-even = By how warm it has been about the meat: { $shift }.
# $off (Difference) $shift (Message)
moved-middle-ahead = The middle has been { $off } ahead: { $shift }.
# $off (Difference) $shift (Message)
moved-middle-behind = The middle has been { $off } behind: { $shift }.
# $shift (Message)
moved-softer = Softer than most by then: { $shift }.
# $shift (Message)
moved-firmer = Firmer than most by then: { $shift }.
# $off (Volume) $shift (Message)
moved-deeper = { $off } more in the pot than foretold: { $shift }.
# $off (Volume) $shift (Message)
moved-shallower = { $off } less in the pot than foretold: { $shift }.
# $off (Mass) $shift (Message)
moved-lighter = The pot has lost { $off } more than foretold: { $shift }.
# $off (Mass) $shift (Message)
moved-heavier = The pot has lost { $off } less than foretold: { $shift }.
# $off (Difference) $shift (Message)
moved-hotter = It is { $off } hotter about the meat than foretold: { $shift }.
# $off (Difference) $shift (Message)
moved-cooler = It is { $off } cooler about the meat than foretold: { $shift }.
# $at (Instant) $wide (RoughMinutes) $narrow (RoughMinutes) $cost (RoughMinutes)
look-at = One look at { $at } cuts { $wide } of doubt to about { $narrow }. It lets out some { $cost } of heat.
# $what (Message) $from (Instant) $to (Instant)
comes-out = { CAPITAL($what) } comes out between { $from } and { $to }
# $what (Message)
comes-out-never = { CAPITAL($what) } won't be tender on this heat

## Probes.

# $time (RoughMinutes)
probe-silent = Nothing from it for { $time }. Is it switched on, in reach, plugged in? The band goes on without it.
# $at (Temperature)
probe-pulled-out = It fell to { $at }: its tip is out. Its readings since then move nothing.
# $at (Temperature)
probe-wrong-place = At { $at } it reads what surrounds the meat: push its tip into the middle, clear of bone and fat.
# $at (Temperature)
probe-outside = At { $at } it reads like the outside of the piece. Push its tip into the middle; until then it moves nothing.
# $at (Temperature)
probe-jumped = It leapt to { $at }, faster than meat can. See where its tip is.
# $at (Temperature)
probe-drifts = { $at } is not possible there. It drifts, or its tip has slipped: its readings move nothing.
probe-settling = It is settling.
probe-steady = Reading steadily.
# $off (Difference)
probe-ahead = { $off } ahead of what was foretold.
# $off (Difference)
probe-behind = { $off } behind what was foretold.
probe-as-predicted = As foretold.
# $probe (Message) $trust (Key)
probe-alarm = Probe “{ $probe }” { $trust ->
        [silent] is silent
        [pulled_out] has fallen out
        [wrong_place] is in the wrong place
        [outside] reads like the outside
        [jumped] has leapt
       *[drifts] can't be right
    }

## Alarms.

# $probe (Message) $off (Difference)
too-cool = “{ $probe }” reads { $off } under what was set: see to the fire
    .why = It has been so for some time, and no open lid explains it. Fuel, vents, a tripped fuse?
# $probe (Message) $off (Difference)
too-hot = “{ $probe }” reads { $off } over what was set: turn it down
    .why = It has been so for some time. Hot fat may be burning: look before you open it wide.
# $time (RoughMinutes)
dry-alarm = The pot is dry in { $time }: pour in hot liquid
    .why = A dry pot scorches in minutes.
heard = I'm at it
# $time (RoughMinutes) $cost (Message)
later = In { $time }: { $cost }
later-nothing = costs nothing
# $time (RoughMinutes)
later-blind = { $time } longer without knowing
# $time (RoughMinutes)
later-plates = plates { $time } later
# $left (RoughMinutes)
later-in-hand = then { $left } in hand
# $left (Volume)
later-liquid = then { $left } left in it
later-fire = the fire fades meanwhile
later-wrap = the stall goes on, the bark sets further

## What may be done now.

# $litres (Volume)
poured-in = Poured in { $litres }
# $by (Key)
check-by =
    { $by ->
        [fork] fork
        [twist] twist
        [probe] probe
        [bone] bone
       *[bite] bite
    }
# What is felt, by what it is tested with. $by (Key) $found (Key)
felt =
    { $by ->
        [fork] { $found ->
            [firm] hardly goes in
            [slice] goes in, a slice holds
            [fork] in and out easily
            [probe] slides through
            [pull] comes apart on it
           *[spoon] falls off it
        }
        [twist] { $found ->
            [firm] won't turn
            [slice] turns by force
            [fork] turns, chunks break off
            [probe] turns easily
            [pull] turns it to shreds
           *[spoon] turns it to mash
        }
        [probe] { $found ->
            [firm] pushes back
            [slice] drags all the way
            [fork] drags a little
            [probe] like warm butter
            [pull] like soft butter
           *[spoon] nothing to feel
        }
        [bone] { $found ->
            [firm] sits fast
            [slice] sits, meat draws back
            [fork] wiggles
            [probe] turns round
            [pull] slips out clean
           *[spoon] has fallen out
        }
       *[bite] { $found ->
            [firm] rubbery
            [slice] firm, bites through
            [fork] tender
            [probe] very tender
            [pull] soft strands
           *[spoon] melts
        }
    }

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
# $field (Key)
dial =
    { $field ->
        [set_c] The oven is now at
        [pit_c] The pit is now at
        [fat_c] The fat is now at
        [bath_c] The bath is now at
       *[at_c] It is now kept at
    }
# $salt (Key)
salt =
    { $salt ->
        [flat] flat
        [right] right
       *[salty] salty
    }

## What if now: what is done, and what it costs beside what is computed.

as-it-is = Leave it as it is
# $parts (Message) $trade (Message)
wins-and-costs = { CAPITAL($parts) }; { $trade }.
no-sooner = no sooner
# $by (RoughMinutes)
tender-sooner = { $by } sooner
# $by (RoughMinutes)
tender-later = { $by } later
never-on-this = never tender on this
# $meat (Grams)
drier = { $meat } drier
# $meat (Grams)
juicier = { $meat } juicier
# $liquid (Volume)
less-liquid = { $liquid } less in the pot
# $liquid (Volume)
more-liquid = { $liquid } more in the pot
# $material (Key)
wrap-now = Wrap it in { $material ->
        [paper] paper
       *[foil] foil
    } now
    .trade = { $material ->
        [paper] the bark softens a little
       *[foil] the bark goes soft, and it tastes braised
    }
hotter-trade = more water leaves, and lean meat frays sooner
cooler-trade = kinder to lean meat, less water leaves
# $dial (Dial)
turn-oven = Oven to { $dial }
# $dial (Dial)
turn-pit = Pit to { $dial }
# $at (Temperature)
turn-fat = Fat to { $at }
# $simmer (Key) $bubbles (Message)
turn-hob = { $simmer ->
        [lazy] Down to a lazy simmer
        [gentle] To a gentle simmer
       *[brisk] Up to a brisk simmer
    }: { $bubbles }
# $setting (Key)
turn-crock = Switch it to { $setting ->
        [low] low
       *[high] high
    }
halve-now = Cut every piece in two
    .trade = no large slices any more, and hot hands
press-now = Into the pressure pot
    .trade = another pot to wash, and no looking in; it takes a cup of thin liquid
# $dial (Dial)
to-the-oven = Into the oven at { $dial }
    .trade = even heat, and a burner is free
to-the-hob = Onto the hob, a gentle simmer
    .trade = the oven is free, but it wants an eye
# $at (Temperature)
hold-now = Hold it at { $at }
    .trade = it hardly softens there
# $at (Instant)
served-at = Plates at { $at }
# $chance (Share)
served-at-trade = { CAPITAL($chance) } such pieces are tender by then.

## Gone wrong: two lines each.

# $id (Key)
wrong =
    { $id ->
        [not_tender] It isn't tender, and it is time
        [early] It is tender far too early
        [dry] The pot is dry
        [lid_off] The lid was left off
        [scorched] It has caught
        [over_salted] It is too salty
        [power] The power is out
        [fire_out] The fire is out
       *[kept_warm] It was forgotten on keep-warm
    }
# $half (Instant) $most (Instant)
not-tender-first = Leave it in: half of such pieces are tender by { $half }, 9 in 10 by { $most }. Pulled too soon it only chews.
# $plates (Instant)
not-tender-then = Feed them something first, and plates at { $plates }; or under “What if now” see what pressure or cutting it in two would win.
not-tender-never = On this heat it will hardly be tender at all: turn it up, or move it.
    .then = See under “What if now” where each way leads.
# $at (Temperature)
early-pot = Off the heat with the lid on, then held at { $at }: an oven turned down, keep-warm, or the pot wrapped in towels.
early-pit = Keep its wrap on and rest it in towels in a closed cold box, or in the pit turned right down.
early-bath = Leave it in its bag and turn the bath down.
# $lift (Instant) $time (RoughMinutes)
early-keeps = Held like that it keeps until you lift it at { $lift }: it has some { $time } before it goes too far. Slices suffer first.
# $time (RoughMinutes)
early-cool = Held like that it goes too far in about { $time }. Rather cool it in its liquid, fast, and warm it again for the bell.
# $pour (Volume)
dry-first = Pour in { $pour } of hot stock or water at once, round the side, and lift the meat off the floor. Cold liquid cracks a hot dish.
# $pour (Volume)
dry-pressure = Heat off, let it go down by itself, open it, and pour in { $pour } of thin hot liquid before you close it again.
# $loss (Volume) $look (Minutes)
dry-then = It loses about { $loss } an hour as it stands: look again in { $look }. Smells burnt? See “It has caught”.
# $open (Volume) $shut (Volume)
lid-off-first = Lid on now. Open it loses about { $open } an hour, shut { $shut }.
# $half (Volume)
lid-off-then = For each half hour open pour in { $half } hot. Meat that stood out of the liquid is drier on top: turn it over.
lid-is-off = The lid is off
lid-is-on = The lid is on again
# $liquid (Volume)
scorched-first = Don't stir and don't scrape: lift out the meat and ladle some { $liquid } off into a clean pot, leaving the black behind.
# $fresh (Volume)
scorched-then = Taste with a clean spoon. Burnt? Then keep the meat only, wipe it, and go on in { $fresh } of fresh hot liquid.
# $plate (Strength)
salty-right = By what is in it the plate comes to { $plate }: right. Taste the sauce with the meat, not alone.
# $plate (Strength) $more (Volume)
salty-thin = The plate comes to { $plate }. Thin the sauce with { $more } of unsalted liquid, and don't reduce it any more.
# $plate (Strength)
salty-meat = The plate comes to { $plate }, most of it in the meat: serve it sliced thin with unsalted potatoes, bread or beans, and little sauce.
salty-then = Potatoes in the pot drink no salt out of it. Something fresh, sour or fat beside it helps the plate.
tasted-salty = Tasted it: salty
# $cold (Guide) $time (RoughMinutes)
no-heat-first = Leave the lid shut. It falls under { $cold } in about { $time }; get it hot again before that.
no-heat-long = Leave the lid shut: it stays hot for hours.
# $costs (RoughMinutes)
no-heat-then = An hour without heat puts it off by about { $costs }. If it stays off, move it to any heat you have.
    .some = It softens on as long as it is hot. If it stays off, move it to any heat you have.
it-is-off = The heat is off
it-is-on-again = It is on again
# $time (RoughMinutes)
kept-warm-until = On keep-warm it goes on cooking: it is too far in about { $time }.
kept-warm-gone = On keep-warm it goes on cooking, and has gone too far by now: don't slice it.
kept-warm-long = On keep-warm it hardly cooks on: it keeps for a day and longer.
# $hot (Temperature)
kept-warm-then = It is safe while it stayed at { $hot } or above. What has fallen apart is pulled, bound with its sauce, or pressed cold and sliced.

## The hand-over.

# $now (Instant) $dishes (Count) $ringing (Count)
over-head = { $now }: { $dishes ->
        [0] nothing is on the heat
        [one] one dish is on the heat
       *[other] { $dishes } dishes are on the heat
    }{ $ringing ->
        [0] .
        [one] , and one alarm has not been answered.
       *[other] , and { $ringing } alarms have not been answered.
    }
# $name (Message) $people (Count) $serve_at (Instant) $act (Message)
over-dish = { $name } for { $people }, plates at { $serve_at }. { $act }.
# $at (Instant) $what (Message) $quick (Instant) $slow (Instant)
over-next-and-band = At { $at }: { $what }. Tender between { $quick } and { $slow }.
# $at (Instant) $what (Message) $tender (Instant)
over-next-tender = At { $at }: { $what }. Found tender at { $tender }.
# $at (Instant) $what (Message)
over-next = At { $at }: { $what }.
# $probe (Message) $at (Temperature) $words (Message)
over-probe = Probe “{ $probe }” reads { $at }: { $words }
# $liquid (Volume)
over-pot = The pot should have { $liquid } in it.
# $at (Instant) $what (Message) $stands (Message)
over-last = Last, at { $at }: { $what }. { $stands }
