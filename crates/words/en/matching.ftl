### Which way for this cut, and which cut for this way.

## What each way is called.

# $dial (Dial)
braise-oven = Braise in { A($dial) } oven
# $dial (Dial)
braise-slow-oven = Braise in a slow { $dial } oven
# $dial (Dial)
braise-overnight = Braise overnight in { A($dial) } oven
braise-hob = Braise on the hob
braise-coals = Braise over coals
stew-hob = Stew on the hob
# $dial (Dial)
stew-oven = Stew in { A($dial) } oven
pressure-high = Pressure pot, high
slow-cooker-low = Slow cooker on low
slow-cooker-high = Slow cooker on high
# $dial (Dial)
pit-paper = Pit at { $dial }, paper at the stall
# $dial (Dial)
pit-bare = Pit at { $dial }, bare
# $fat (Temperature)
fat = Under fat at { $fat }
# $bath (Temperature)
bath = Bag in { A($bath) } bath
# $time (Minutes) $bath (Temperature)
smoke-bag = Smoke { $time }, then bag it at { $bath }
# $time (Minutes)
smoke-braise = Smoke { $time }, then braise it
day-before = Braise the day before, reheat
# $way (Message) $cutting (Message)
cut-up = { $way }, { $cutting }
cut-to-lie = cut to lie in the pot
halved = halved
# $side (Length)
cubed = in { $side } cubes

## Why a cut does not go a way.

# $cut (Message)
no-slices-to-give = { CAPITAL($cut) } has no slices to give: it comes in small pieces or round a bone. Eat it under a fork, pulled or by the spoon.
cubes-are-not-slices = Cubes are not slices. For slices cook it in one piece; or eat it under a fork.
tendon-has-no-fibres = Tendon has no fibres to pull. It is eaten soft, by the spoon.
tendon-in-the-pit = Tendon turns to leather in the dry heat of a pit: it wants hours in liquid.
# $cut (Message)
dries-in-the-pit = { CAPITAL($cut) } dries through in the pit before it softens: small and lean, it wants liquid round it.
# $kit (Message)
not-free = The { $kit } is not free.
# $loads (Count)
loads = More than it holds at once: { $loads } loads, or a larger vessel.
never-that-way = It does not grow tender that way within three days.
no-time-left = No time is left over the heat before it must be lifted.
# $half (RoughMinutes) $most (RoughMinutes) $there (RoughMinutes)
too-late = Half of such pieces take { $half }, nine in ten { $most }. There are { $there } over the heat before it must be lifted.
# $half (RoughMinutes) $there (RoughMinutes)
too-late-some-never = Half of such pieces take { $half }, some longer than three days. There are { $there } over the heat before it must be lifted.

## What to mind with this meat.

# $cut (Message)
lean-soft = { CAPITAL($cut) } is lean: tough, and dry soon after it is tender. As soft as that it goes stringy: slice it instead, or give it a third of shin or short rib for company.
# $cut (Message)
lean-sliced = { CAPITAL($cut) } is lean: tough, and dry soon after it is tender. Take it out as soon as it slices, and cut it thin across the grain.
mixed-muscles = Ready-cut stewing meat is several muscles of several sizes. Some pieces are ready long before others, so the band is wide. Buy one muscle and cut it yourself, or fork three pieces and go by the firmest.
corned = It is salt all through. Simmer it in plain water, salt nothing, and taste before you reduce.

## What it would ask of hands that sleep or are away.

# $wants (Message) $time (RoughMinutes)
wants-asleep = It wants { $wants }, { $time } of it while everyone sleeps.
# $wants (Message) $time (RoughMinutes)
wants-away = It wants { $wants }, { $time } of it while nobody is there.
finishing-away = Lifting and finishing fall into hours when nobody is there.
wants-coals = its coals seen to every quarter of an hour
wants-fire = its fire seen to every three quarters of an hour
wants-flame = a flame watched

## What it burns and leaves to wash.

# $solid (Mass)
burns-solid = about { $solid } of charcoal or wood
# $kilowatt-hours (Number)
burns-wall = about { $kilowatt-hours } kWh
wash-grate = the grate
wash-tray = a tray
wash-pressure-pot = one pot with its lid and ring
wash-pan = the pan
wash-crock = the crock
wash-pot = the pot
wash-fat-pot = a pot of fat to strain
wash-sieve = a sieve
wash-juice-pan = a pan for the juice from the bag
wash-shallow-tray = a shallow tray

## The one question.

ask-thickness = How thick is it, at its thickest?
    .how = Lay it flat and hold a ruler or a hand against it. Thickness rules the time, not weight.
ask-muscle = Which muscle is in the mix?
    .how = Ask the butcher, or buy one muscle and cut it yourself.
# $times (Number)
ask-age = Young beef, or an older cow or ox?
    .how = Dark red and coarse with yellow fat is older. Old meat wants { $times } times the softening.

## Substitutes: what changes.

as-long = as long
# $apart (RoughMinutes)
longer = { $apart } longer
# $apart (RoughMinutes)
sooner = { $apart } sooner
# $times (Number)
more-body = { $times } times the body in the sauce
# $share (Percent)
less-body = { $share } of the body in the sauce
more-fat = more fat to skim
leaner = leaner
dries-soon = dries soon after it is tender
more-bone = bone to pay for, and for the broth
no-bone = no bone
no-slices = no slices

## What to buy.

no-cut-goes = No cut goes this way eaten like that.
# $people (Count) $mass (Mass) $cut (Message)
buy-first = For { $people }: { $mass } of { $cut }.
# $eaten (Percent)
buy-share = { $eaten } of it is eaten.
# $eaten (Percent) $bone (Percent)
buy-share-with-bone = { $eaten } of it is eaten, { $bone } is bone.
# $body (Message)
buy-liquid = Its liquid: { $body }.
# $body (Message)
buy-no-liquid = { CAPITAL($body) }.
buy-mixed = Several muscles: some are ready long before others.
buy-corned = It is salt all through.
buy-stringy = Lean: as soft as that it goes stringy.
buy-lean = Lean: slice it thin.

## What one variant trades against another.

never-tender = never tender
shorter-slices = shorter slices
more-to-brown = more pieces to brown
in-one-piece = in one piece, so it can be carved
# $time (RoughMinutes)
more-work = { $time } more at work
# $time (RoughMinutes)
less-work = { $time } less at work
# $mass (Mass)
more-to-eat = { $mass } more to eat
# $mass (Mass)
less-to-eat = { $mass } less to eat
bark-no-sauce = a bark, and no sauce
sauce-no-bark = a sauce, and no bark
softer-bark = a softer bark
harder-bark = a harder bark, a longer stall
more-water-leaves = more water leaves, so look and top up
may-be-left = it may be left alone for longer
clashes = it clashes with hours when nobody is there
much-the-same = much the same

## What comes first.

sort-surest = Those that fit first, the likeliest first. Where chances are equal, the way most usual for this cut, then the least work.
sort-soonest = Those that fit first, and among them the one that is on the table soonest.
sort-least-work = Those that fit first, and among them the fewest minutes at work.
sort-most-juice = Those that fit first, and among them the one that leaves most on the plate.
sort-richest-sauce = Those that fit first, and among them the one whose liquid has most body.
sort-cheapest = Those that fit first, and among them the cheapest plate, then the least fuel.

## One joint, two dinners.

# $first (RoughMinutes) $little (RoughMinutes) $most (RoughMinutes)
twice = Slice what you need after { $first } and chill the rest in its liquid. Tomorrow give it { $little } to { $most } more: then it pulls.
    .up-to = Slice what you need after { $first } and chill the rest in its liquid. Tomorrow give it up to { $most } more: then it pulls.

# $people (Count)
enough-for = enough for { $people }

## Short of time.

# $name (Message)
hurry-unbrowned = { $name }, not browned
# $name (Message) $small (Length)
hurry-small = { $name }, in { $small } bites
# $name (Message) $small (Length)
hurry-both = { $name }, in { $small } bites, not browned
# $wins (RoughMinutes)
hurry-unbrowned-trade = { $wins } won by browning nothing: a paler, flatter sauce. Soy, tomato paste or dried mushrooms give some of it back.
# $wins (RoughMinutes)
hurry-small-trade = { $wins } won by cutting it small: bites, no pieces to look at, and they are soon too soft.
# $wins (RoughMinutes)
hurry-both-trade = { $wins } won by cutting it small and browning nothing: a pale stew of bites. Thicken it at the end, don't reduce it.

## A recipe's words, checked.

overnight-is = overnight is taken for 10 h
# $low (Number) $high (Number)
middle-of = the middle of { $low } to { $high } is taken
# $figure (Number)
taken-for-celsius = { $figure } is taken for °C
# $figure (Number)
taken-for-fahrenheit = { $figure } is taken for °F
# $all (RoughMinutes) $meat (Mass)
by-weight = by weight that is { $all } for { $meat }
on-low = on low
# $simmer (Key)
some-simmer = { $simmer ->
        [lazy] at a lazy simmer
        [brisk] at a brisk simmer
        [boil] at a boil
       *[gentle] at a gentle simmer
    }
# $simmer (Key)
flame-is = the flame is taken for { $simmer ->
        [lazy] a lazy simmer
        [brisk] a brisk simmer
        [boil] a boil
       *[gentle] a gentle simmer
    }
# $dial (Dial)
called-oven = such an oven is taken for { $dial }
# $dial (Dial)
an-oven = { A($dial) } oven
# $stage (Message) $lid (Message)
read-with-lid = { $stage }, { $lid }
uncovered-within = the uncovered time is taken out of the whole
# $dial (Dial)
a-pit = { A($dial) } pit
# $bath (Temperature)
a-bath = { A($bath) } bath
# $fat (Temperature)
some-fat = fat at { $fat }
cool-is-a-bath = so cool, it is taken for a bag in a bath
# $dial (Dial)
a-lidded-pot = in a lidded pot in { A($dial) } oven

## What could be written in place of a guess: the reader must know each of these.

# $dial (Dial)
instead-at-dial = at { $dial }
# $at (Temperature)
instead-at = at { $at }
# $dial (Dial)
instead-oven = { $dial } oven
instead-oven-only = in the oven
# $dial (Dial)
instead-pit = in a pit at { $dial }
instead-hob = at a gentle simmer on the hob
instead-lazy = at a lazy simmer
instead-brisk = at a brisk simmer
instead-pressure = at high pressure
instead-crock = on low in the slow cooker
instead-on-high = on high

# $lands (Key) $done (Message) $right (Share) $verdict (Key)
recipe = { $verdict ->
        [will_do] That should do.
        [too_short] Too short for this piece.
        [too_long] Too long for this piece.
        [rather_short] Touch and go, and sooner short than long.
       *[rather_long] Touch and go, and sooner long than short.
    } Most such pieces are then { $lands ->
        [firm] not done yet
        [slice] fit to slice
        [fork] soft under a fork
        [probe] like butter
        [pull] ready to pull
       *[spoon] soft enough for the spoon
    }. { CAPITAL($right) } are { $done }, as you want it.
# $not-yet (Share)
recipe-not-yet = { CAPITAL($not-yet) } are not there yet.
# $too-far (Share)
recipe-overcooked = { CAPITAL($too-far) } have gone too far.

## In place of a tender cut.

# $cut (Key)
instead-of-tender =
    { $cut ->
        [chuck] marbled, forgiving, under a fork in an evening
        [shin] lean and full of sinew: the richest sauce
       *[short_rib] fat and gelatin round the bone: hard to dry out
    }

## A recipe that was read from a file.

# $cut (Message)
recipe-cut = No cut of this job is named: taken as { $cut }.
# $people (Count)
recipe-people = It does not say how many eat: taken as { $people }.
# $mass (Mass)
recipe-mass = The meat is not weighed: taken as { $mass }.
    .of-the-pot = That much fits in no pot of this kitchen: taken as { $mass }.
recipe-way = No time over a heat of this kitchen was found: taken as a braise until it is tender.
