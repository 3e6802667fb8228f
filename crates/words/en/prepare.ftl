### One dish at the bench, from the board to the lid.

# Wood for the pit. $wood (Key)
wood =
    { $wood ->
        [alder] alder: light and dry
        [apple] apple: mild and sweet
        [beech] beech: middling, clean
        [hickory] hickory: strong, so less of it
       *[oak] oak: middling, goes with everything
    }
# $wood (Key)
a-split = a split of { $wood ->
        [alder] alder
        [apple] apple
        [beech] beech
        [hickory] hickory
       *[oak] oak
    }
# $wood (Key)
splits = splits of { $wood ->
        [alder] alder
        [apple] apple
        [beech] beech
        [hickory] hickory
       *[oak] oak
    }

## What rules each place of the bench.

thickness-rules = Thickness rules the hours, weight the liquid: half as thick is done much sooner, twice the pieces of the same thickness are not.
# $sinew (Mass)
sinew-gives-body = About { $sinew } of what comes off is sinew: in the pot it gives body, so there is less to reduce.
no-sinew = Nothing comes off it that would give body to the pot.
salt-walks = Salt walks in with the square root of time: four times the hours, twice as deep.
    .pot = Salt walks in with the square root of time: four times the hours, twice as deep. The rest evens out in the pot.
# $salt (Grams)
salt-beside = What goes in beside it brings { $salt } of salt, on top of the meat's own.
    .none = Nothing else in the pot brings salt to speak of.
browning-is-flavour = Browning makes flavour and colour; it does not seal anything in.
browning-needs-heat = A piece browns only where its water has boiled off, and that takes heat out of the pan faster than the burner gives it.
# $most (Count) $browns (Temperature) $start (Temperature)
pan-keeps = { $most ->
        [one] One piece at a time keeps this pan above { $browns }; it starts at { $start }.
       *[other] Up to { $most } at once keep this pan above { $browns }; it starts at { $start }.
    }
# $meat (Volume) $pot (Volume)
meat-takes-up = What the meat does not take up, the liquid does: { $meat } of meat in a pot of { $pot }.
read-the-marks = Read the marks on a skewer pushed to the floor, or weigh the pot.
later-has-its-time = Each has its own time to be done and to be mush; a cooler pot softens roots more slowly.
aromatics-are-spent = Vegetables that flavoured the pot are spent: a fresh set is served.
list-follows = All of it follows from the bench: what changes there changes here.

## The order of work: what, and why.

# $off (Mass)
trim = Trim off about { $off } of heavy fat and silver skin
    .keep-sinew = Trim off about { $off } of heavy fat and silver skin; keep the sinew for the pot
    .why = Silver skin never softens, and fat beyond a film only has to be skimmed later.
# $strings (Count)
tie = Tie it with { $strings ->
        [one] 1 string
       *[other] { $strings } strings
    }
    .why = Count them: they come out again.
# $salt (Grams) $water (Volume) $strength (Percent)
brine = Stir { $salt } of salt into { $water } of cold water ({ $strength } strong) and lay the meat under it
    .why = In the end brine and meat are equally salty: waiting can't oversalt it.
# $salt (Spoons) $crystal (Message)
salt = Salt the meat all round: { $salt } of { $crystal }
soak-why = Each fresh water divides the salt once more.
# $marinade (Volume) $time (Minutes)
marinade = Lay it in { $marinade } of marinade for { $time }, then pour the marinade away
    .why = It works on the outside only. Pick the meat clean and pat it dry before it is browned, or the bits burn.
    .unseared-why = It works on the outside only. Pick the meat clean before it goes in.
blanch = Soak an hour in two waters. Cover with cold water, bring to the boil, 5 min. Pour off, rinse meat and pot
    .why = What would cloud the broth has come out. Start fresh with cold water.
flour = Turn it in flour and shake it off hard
    .why = Loose flour burns in the pan.
# $pan (Temperature) $fat (Message)
heat-pan = Get the pan hot, { $pan }. { $fat }
    .why = The fat ripples and a drop of water dances. No sizzle? Take the meat out and wait.
    .gentle-why = Sugar scorches: keep it gentler and paler.
fat-own = Fat side down first: it brings its own fat.
fat-oil = Then a film of oil.
fat-bacon = Render the bacon crisp first and lift it out; its fat browns the meat, and its salt counts.
rub = Rub it, and put a probe in the thickest part
    .why = The meat is salted already: take a rub without salt.
    .unsalted-why = The salt is in the rub or nowhere: taste the rub.
# $dial (Dial) $wood (Message)
pit = Light the pit and bring it to { $dial }; { $wood }
# $bath (Temperature)
bag = Bag it flat, press the air out, seal it twice; the bath at { $bath }
    .why = A bag that floats is weighed down.
    .bones-why = Bones pierce bags: pad them. A bag that floats is weighed down.
# $melted (Volume) $fat (Temperature)
fat = Melt { $melted } of fat to { $fat } and lay the meat under it
# $pours (Volume)
the-marinade = { $pours } of the marinade
the-crisp-bacon = the crisp bacon
# $what (Message)
boiled-first = { $what }, boiled first
# $mass (Grams) $name (Message)
so-much = { $mass } of { $name }
# $pours (Volume) $name (Message)
so-much-poured = { $pours } of { $name }
    .hot = { $pours } of hot { $name }
# $pours (Volume) $name (Message) $left (Volume)
deglaze = Pour in { $pours } of { $name }, scrape up the brown, boil it down to { $left }
# $pours (Volume) $name (Message)
deglaze-whole = Pour in { $pours } of { $name } and scrape up the brown

## Where salt comes from.

cure = the meat's cure
salt-on-the-meat = salt on the meat

## What to mind.

# $low (Strength) $high (Strength)
corned-salt = Corned meat is salt all through, { BARE($low) } to { $high }: add no salt. Soak it, or pour the first water off if you want the broth.
salted-on-the-cure = It is salted again on top of its cure: leave that salt out.
salted-twice = The rub carries salt as well: with the meat's own salting it is salted twice. Take a rub without salt, or leave the salt out beforehand.
# $sauce (Strength) $plate (Strength) $most (Strength)
salty = The liquid comes to { $sauce } before it is reduced, and meat and sauce on the plate to { $plate } together; { $most } is too salty. Put less salt on the meat, or less of what is salted in the pot.
salt-stop = Reduced by half it would be too salty. Stop at the salt mark on the dipstick, or thicken instead.
# $low (Temperature) $most (Count)
stews-fewer = This batch will stew: the pan falls to { $low }. Lay { $most } at a time.
# $low (Temperature)
stews-smaller = This batch will stew: the pan falls to { $low }. Cut smaller pieces, or take a hotter burner.
# $wait (RoughMinutes)
stews-browns = Or leave it alone: it boils itself dry and browns after about { $wait }, grey and firmer for it.
stews-never = This burner never gets it brown.
scorches = A sugary coat turns from brown to black within a minute. Go gentler, and stay at it.
drain = Drain it, pick the bits off and pat it dry first: bits burn, and wet meat stews.
# $full (Percent) $holds (Volume) $most (Percent)
too-small-under-pressure = This pot is too small: meat and liquid fill { $full } of its { $holds }, and a pressure pot takes { $most } at most. Take a larger one, two, or less liquid.
# $full (Percent) $holds (Volume)
too-small = This pot is too small: meat and liquid fill { $full } of its { $holds }, and it needs two fingers under the rim for what bubbles. Take a larger one, two, or less liquid.
scorch-under-pressure = Thick or sugary liquid scorches under pressure, and the pot does not come up. Keep it thin now; thicken and sweeten after.
# $left (Volume)
nearly-dry = Without topping up only { $left } are left at the end, and it catches.
all-dry = Without topping up nothing is left at the end, and it burns.
own-juice = With nothing poured the bottom can catch until juice runs: lowest heat, and look after ten minutes.
# $things (Volume)
over-level = What goes in comes to { $things } alone, more than this level takes.
sugar-catches = So much sugar catches on the bottom: stir each time you look.
# $most (Minutes)
mealy = Past { $most } a marinade turns the surface mealy: make it shorter.
no-more = A marinade has done what it can after a day, a sharp one after half a day. Longer only softens the surface.
# $things (Message)
later-waits = Nobody knows to the half hour when the meat is done. Put { $things } in once it forks nearly done, not by the clock.
bag-cold = Bag it only when it is cold: a warm bag stays warm for hours.

## The sauce's balance.

# $sugar (Percent)
sweet = Sweet once halved: { $sugar } sugar. Reduce it less, or sharpen it.
sharp = Sharp once halved. Butter, stock or a little sugar rounds it.
# $things (Message)
bitter = { CAPITAL($things) } turns bitter as it is boiled down. Thicken instead.

## The dial.

# What a setting looks like, or does. $looks (Key)
dial-looks =
    { $looks ->
        [slow_oven] a true slow braise, below the simmer
        [simmering_oven] just at the simmer, little water leaves
        [steady_oven] a steady simmer
        [boiling_oven] it boils
        [cooler] cooler
        [hotter] hotter
        [as_laid] as laid
        [as_chosen] as chosen
        [long_stall] the longest stall, the most smoke
        [short_stall] a shorter stall, more bark
        [still_fat] the fat hardly moves
        [cool_bath] pink-brown and moist, a day and more
        [warm_bath] like a braise, sooner
       *[bubble] a bubble now and then
    }
# $inside (Temperature)
hot-inside = { $inside } inside
# $under (Count) $over (Count)
coals-laid = { $under } under, { $over } over
coals-ring = a ring at the rim, never in the middle, or the bottom catches
# $more (Count)
coals-in-the-wind = wind and cold ask for about { $more } more
coals-deep-pot = a deep pot wants four more on the lid

## Where cooks disagree: the question, the ways, what each does here, and why one is usual.

sear-question = Brown it?
    .hard = hard
    .light = light
    .none = not at all
    .reason = Browning makes flavour and colour. It does not seal anything in: a seared piece loses as much juice.
# $time (RoughMinutes)
sear-hard = { $time } at the pan; a dark sauce, the deepest flavour
# $time (RoughMinutes)
sear-light = { $time } at the pan; golden, a paler sauce
# $time (RoughMinutes)
sear-none = { $time } saved; a paler, cleaner sauce, and no juice lost by it

surface-question = Pat it dry?
    .patted = patted dry
    .wet = as it is
    .reason = Nothing browns until its water has boiled away, and that heat comes out of the pan.
# $side (Minutes) $batch (Count)
surface-effect = { $side } a side, { $batch } in a batch

flour-question = Dredge it in flour?
    .no = bare
    .yes = in flour
    .no-effect = browns cleanly, and the fat can be skimmed whole
    .reason = Thickening at the end can be measured. Flour on the meat can't be taken back, and it burns in the pan.
# $clings (Grams) $counts (Grams)
flour-effect = about { $clings } cling, and thicken like { $counts }; the fat is held in; wheat

# $wine (Message)
wine-question = Boil the { $wine } down first?
    .halved = by half
    .whole = pour it in as it is
    .reason = Boiled down it loses its rawness and most of its alcohol before the lid shuts them in.
# $time (RoughMinutes)
wine-halved-effect = { $time } at the pan; rounder, darker, deeper
# $more (Volume)
wine-whole-effect = { $more } more liquid in the pot, so less stock; fresher and sharper

temper-question = Let it stand out of the fridge?
    .no = straight from the fridge
    .yes = an hour out
    .no-effect = into the heat as it comes, dry and cold
    .reason = Over hours of cooking it changes little, and raw meat should not stand about.
# $warmer (Difference) $of (RoughMinutes)
temper-little = about { $warmer } warmer, and of { $of } not five minutes saved
# $sooner (RoughMinutes) $of (RoughMinutes)
temper-sooner = tender { $sooner } sooner, of { $of }

rinse-question = Rinse it?
    .no = no
    .yes = yes
    .no-effect = wipe bone dust off with a damp paper
    .yes-effect = raw juices splash as far as an arm, and it has to be dried again
    .reason = Guidance is not to rinse raw meat: heat kills what is on it, water spreads it. For a clear broth, blanch it and rinse it then.

clear-question = A clear broth?
    .no = no
    .yes = soak, blanch, rinse, start fresh
    .no-effect = straight into the liquid; skim the foam at the first boil
    .yes-effect = an hour's soak, 10 min from cold to the boil, meat and pot rinsed, fresh water: clear and mild, without browning
    .reason = Foam is only clouded protein. It does no harm in a braise, and browning is worth more.

day-before-question = Start today, braise tomorrow?
    .no = all in one go
    .yes = rest it overnight
    .no-effect = nothing to cool
    .yes-effect = seasoned further in; cool it shallow before it goes into the fridge, and boil it next day
    .reason = Most of what a day's rest gives comes after the cooking, not before it.

marinade-question = Marinate it?
    .no = no
    .wine = wine
    .acid = vinegar or lemon
    .spice = spice and oil
    .soy = soy and sugar
    .no-effect = salt alone goes deep; the rest stays outside
    .wine-effect = seasons the outside in 3 to 24 h; kept, it is the pot's wine
    .acid-effect = sharp at the surface in 3 to 12 h; past a day it turns mealy
    .spice-effect = perfumes the surface in 3 to 24 h; scrape it off, it burns
    .soy-effect = salts as well as colours; it scorches in the pan, so go gentler
    .reason = Tenderness comes from hours of heat. A marinade only works on the surface, and makes it wet.

## The shopping list.

# $thick (Length)
buy-one-piece = in one piece, about { $thick } thick
# $pieces (Count) $thick (Length)
buy-pieces = { $pieces } pieces, about { $thick } thick
buy-to-render = to render first
buy-to-dredge = to dredge
buy-for-the-marinade = for the marinade
buy-goes-in-later = goes in later
buy-to-cover = to cover the meat; strained and cold it keeps for the next time
buy-dry-hardwood = dry hardwood, no resin
buy-fat = beef or duck fat
buy-strings = lengths of kitchen string
buy-briquettes = briquettes

# $low (Strength) $high (Strength)
taste-now = By how strong the stock, the rub or the cure is, that may be { BARE($low) } to { $high }. Taste the pot after an hour and log it: flat, right or salty.
# $plate (Strength) $verdict (Key) $stop (Volume)
seasoned = Meat and sauce on the plate come to { $plate } together: { $verdict ->
        [flat] flat, taste it and salt at the end.
        [salty] too salty.
       *[right] well salted. Reduced under { $stop } it grows too salty.
    }

## What may be chosen at the bench, in a few words each.

offer-no = no
offer-whole = as it comes
offer-pieces = pieces
offer-cubes = cubes
offer-rubbed = rubbed on
offer-brine = brine
offer-usual-salt = as usual
offer-low-salt = low
offer-soaked = in fresh water
# $where (Key)
offer-sear-in =
    { $where ->
        [pan] one pan
        [two_pans] two pans
        [pot_and_lid] pot and its iron lid
        [lid] an iron lid over the fire
        [insert] the pot’s own insert
       *[pot] the pot
    }
offer-fewer = fewer
offer-more = more
# $most (Count)
offer-as-brown = as many as brown: { $most }
# $level (Key)
offer-level =
    { $level ->
        [own] own juice
        [third] a third
        [three_quarters] three quarters
        [covered] covered
       *[soup] soup
    }
offer-round = round
offer-tin = tin or dish
# $source (Key)
offer-source =
    { $source ->
        [oven] the oven
        [hob] the hob
       *[coals] coals
    }
# $end (Key)
offer-ending =
    { $end ->
        [same] as before
        [none] uncovered, meat turned up for a crust
       *[ajar] lid ajar, to lose water
    }
# $thing (Text)
offer-lent = { $thing }, lent out

## How the pieces are laid in the pan.

all-at-once = all at once
# $batches (Count) $pieces (Count)
batches-of = { $batches } batches of { $pieces }
# $batches (Count) $pieces (Count) $last (Count)
batches-and-a-last = { $batches } batches of { $pieces }, the last of { $last }
