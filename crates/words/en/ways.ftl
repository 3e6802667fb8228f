### The ways of cooking: what each is called, what surrounds the meat, and what is believed of it.

# How the pot is covered. $lid (Key)
lid =
    { $lid ->
        [tight] lid on tight
        [foil] sealed with foil
        [loose] lid on loosely
        [ajar] lid ajar
       *[none] no lid
    }

# What a simmer looks like. $simmer (Key)
bubbles =
    { $simmer ->
        [lazy] a bubble now and then
        [gentle] bubbles breaking in one or two places
        [brisk] small bubbles all over
       *[boil] a rolling boil
    }

## What surrounds the meat, in a few words.

# $simmer (Key)
hob =
    { $simmer ->
        [lazy] a lazy simmer
        [gentle] a gentle simmer
        [brisk] a brisk simmer
       *[boil] a rolling boil
    }
# $dial (Dial)
oven = { A($dial) } oven
# $dial (Dial)
cold-oven = { A($dial) } oven, from cold
# $under (Count) $over (Count)
coals = { $under } coals under and { $over } over
# $inside (Temperature)
pressure = pressure, at { $inside }
# $setting (Key)
slow-cooker = a slow cooker on { $setting ->
        [low] low
       *[high] high
    }
# $at (Temperature)
keep-warm = the keep-warm, at { $at }
# $bath (Temperature)
bath = a bag in { A($bath) } bath
# $fat (Temperature)
fat = fat at { $fat }
# $dial (Dial)
pit = { A($dial) } pit, bare
# $dial (Dial) $material (Key) $at (Temperature)
pit-wrapped = { A($dial) } pit, in { $material ->
        [paper] paper
       *[foil] foil
    } from { $at } in the middle
# $dial (Dial) $material (Key)
pit-wrapped-at-once = { A($dial) } pit, in { $material ->
        [paper] paper
       *[foil] foil
    } from the start
# $cooling (Key)
chill =
    { $cooling ->
        [in_liquid] a chill in its liquid
        [in_bag] a chill in its bag
        [in_air] the heat off
       *[on_tray] a chill on a tray
    }
# $to (Temperature)
reheat = warming through to { $to }

## How long in what, as a recipe says it.

# $time (Minutes) $medium (Message)
so-long-at = { $time } at { $medium }
# $time (Minutes) $medium (Message)
so-long-under = { $time } under { $medium }
# $time (Minutes) $under (Count) $over (Count)
so-long-over-coals = { $time } over { $under } coals with { $over } on the lid
# $time (Minutes) $medium (Message)
so-long-in = { $time } in { $medium }

## The same as a sentence, with what the liquid comes to.

# $simmer (Message) $bubbles (Message)
on-the-hob = It cooks at { $simmer }: { $bubbles }.
at-a-rolling-boil = It cooks at a rolling boil.
# $oven (Message) $settles (Temperature) $boils (Key)
in-the-oven = In { $oven } the liquid { $boils ->
        [yes] boils gently, at { $settles }
       *[no] stays well under the boil, at { $settles }
    }.
# $coals (Message) $settles (Temperature) $boils (Key)
over-coals = With { $coals } the liquid { $boils ->
        [yes] boils gently, at { $settles }
       *[no] stays well under the boil, at { $settles }
    }.
# $inside (Temperature) $boil (Temperature)
under-pressure = Under pressure it cooks at { $inside }, where an open pot boils at { $boil }.
pressure-comes-late = The lid is locked, but with so little liquid pressure builds only once juice has run.
# $crock (Message) $settles (Temperature)
in-the-crock = { CAPITAL($crock) } takes hours to warm up, to about { $settles }.
# $at (Temperature)
kept-warm = Kept warm at { $at } it goes on cooking, slowly.
# $bath (Temperature)
in-the-bath = In its bag the meat is held at { $bath }.
# $fat (Temperature)
under-the-fat = It cooks under fat at { $fat }.
# $pit (Message)
in-the-pit = It cooks in { $pit }.
in-the-cold = In the cold nothing softens.
# $to (Temperature)
warmed-through = It is warmed through to { $to }.
# $ways (Message)
chain = It goes through { $ways }.

## What is believed of each: the rule, this case's figures in it, and how sure.

# $bubbles (Message) $liquid (Temperature) $boil (Temperature)
hob-rule = The hob is set by what the bubbles look like. Each look stands for so many degrees under the local boil.
    .numbers = { CAPITAL($bubbles) }: { $liquid }, where water boils at { $boil }.
# $dial (Dial) $lid (Message) $boil (Temperature) $off (Difference)
oven-rule = The oven's air heats the pot, and the steam that gets past the lid cools it. Under a lid it boils in almost any oven; the dial decides how much water leaves.
    .numbers = { $dial }, { $lid }. Water boils at { $boil } here.
    .sure = Two ovens in three stand within { $off } of their dial.
# $coals (Message) $like (Dial) $fresh (Minutes)
coals-rule = So many coals for the width of the pot stand for an oven. They hold half an hour, then fade until fresh ones go on.
    .numbers = { CAPITAL($coals) }: like { A($like) } oven at their best, with fresh ones every { $fresh }.
# $gauge (Number) $inside (Temperature) $boil (Temperature)
pressure-rule = Under pressure water boils hotter. The time counts from coming up to letting go, but coming up and letting go cook too.
    .numbers = { $gauge } kPa over the air: { $inside } against { $boil }.
# $dial (Dial) $swing (Difference) $times (Number)
pit-rule = The air heats the meat, and its own water cools it as it evaporates. While the surface is wet the two balance and the middle waits. It goes on when the surface has dried, or a wrap keeps the steam in.
    .numbers = Air at { $dial }. It gives its heat { $times } times as slowly as simmering liquid does.
    .sure = Pits swing by { $swing }, and surfaces dry at their own pace.
# $low (Temperature) $high (Temperature)
slow-cooker-rule = A slow cooker warms up over hours and ends just under the boil.
    .numbers = { $low } on low, { $high } on high in the end. A full crock takes longer.
# $fat (Temperature)
fat-rule = Fat carries heat half as well as simmering liquid and takes no water out.
    .numbers = Fat at { $fat }.
# $bath (Temperature)
bath-rule = A bath holds its temperature to tenths of a degree. What is in the bag stays in it.
    .numbers = Water at { $bath }.
    .sure = Within tenths of a degree.
# $at (Temperature)
keep-warm-rule = Keeping warm goes on cooking, slowly.
    .numbers = { $at }.
# $cold (Guide)
chill-rule = Nothing softens in the cold, but the heat inside goes on for a while.
    .numbers = Down to the fridge's { $cold }.
    .sure = It goes by how shallow it stands.
# $to (Temperature)
reheat-rule = Warmed through in its liquid.
    .numbers = Until the middle is at { $to }.
# What a rule is about. $medium (Message)
title = { CAPITAL($medium) }
# $off (Difference)
within = Within { $off }, two times in three.

## What is decided by its dial.

dial-hob = The flame decides how much water goes, and how rough it is: a lazy bubble is slow and gentle, a hard boil breaks the pieces up.
dial-oven = Under a lid a pot boils in almost any oven; the dial decides how much water goes. Hotter is sooner, drier, and rougher on the pieces.
dial-open-oven = In an open pot what leaves as steam cools it: hotter is sooner, darker on top, and takes more liquid.
dial-coals = The count of coals is the dial: more is sooner and drier. Under a lid a pot boils with surprisingly few.
dial-pressure = Over the boil everything softens two to six times as fast. What is lost is the look on the way.
# $apart (Difference)
dial-slow-cooker = High and low end up within { $apart } of each other; high only gets there sooner.
dial-bath = Nothing leaves the bag. A cooler bath keeps more juice and takes a day; a hotter one is a braise in its own juice.
dial-fat = The fat only carries the heat: cooler is slower and moister, and it must never fry.
dial-pit = Hotter shortens the stall and thickens the bark. A wrap keeps the water in and ends both.

## What a method is called, in a list, in a dish and in a log, and what its heat takes.

# $method (Key)
method =
    { $method ->
        [braise] braise
        [stew] stew
        [pressure] pressure
        [slow_cooker] slow cooker
        [steam_oven] steam oven
        [smoke] smoke
        [confit] under fat
       *[water_bath] water bath
    }

# What the dish is called until the cook names it. $way (Key) $cut (Message)
dish =
    { $way ->
        [stew] Stewed { $cut }
        [pressure] Pressure-cooked { $cut }
        [smoke] Smoked { $cut }
        [confit] Slow { $cut } under fat
        [slow_cooker] Slow-cooked { $cut }
        [steam_oven] Steamed { $cut }
        [water_bath] Bagged { $cut }
       *[braise] Braised { $cut }
    }

# $way (Key)
changed-way =
    { $way ->
        [pressure] into the pressure pot
        [water_bath] bagged into the bath
        [keep_warm] onto keep-warm
        [slow_cooker] into the crock
        [steam_oven] into the steam oven
        [smoke] into the pit
        [confit] under fat
        [reheat] warmed again
        [chill] into the cold
       *[braise] into a covered pot
    }

# $method (Key) $takes (Key)
foreign-heat = it does not go with { $method }, whose heat takes { $takes ->
        [pots] source with set_c, simmer or under and over
        [pressure] level or gauge_kpa, at_pressure_min and release
        [smoke] pit_c and wrap
        [confit] fat_c
        [slow_cooker] setting
        [steam_oven] steam_c and steam
        [water_bath] bath_c
        [keep_warm] at_c
        [reheat] to_c
       *[nothing] nothing
    }

## The steam oven.

# $steam (Key)
steam =
    { $steam ->
        [half] half steam
       *[full] full steam
    }
# $steam (Key) $at (Temperature)
in-so-much-steam =
    { $steam ->
        [half] half steam
       *[full] full steam
    } at { $at }
# $steam (Message)
it-cooks-in-steam = It cooks in { $steam }.
# $at (Temperature)
steam-oven-full = Steam oven at { $at }
# $at (Temperature)
steam-oven-overnight = Steam oven overnight, { $at }
# $at (Temperature)
steam-oven-half = Half steam at { $at }
steam-usual = the usual setting for tough cuts in steam
steam-brings-water = an open pan gets water from the steam: a little liquid is enough
steam-cold-liquid = into a cold pan: the steam warms it
steam-rule = Steam turns to water on whatever is colder than its dew point, and its heat goes in there. Full steam brings wet meat to its own heat. Where there is air in it, meat stays as cool as its wet surface, until that dries.
# $steam (Message) $air (Percent) $meat (Temperature)
steam-rule-numbers = { CAPITAL($steam) } is { $air } air. What is wet in it stands at { $meat }.
dial-steam = Hotter is sooner, and it never boils. Half steam is slower: the surface stays well below the dial.
dial-steam-covered = Under its cover the pan comes to what the dial says, and never boils: hotter is sooner.
# $at (Temperature)
steam-heats = Fill the steam oven with water and heat it to { $at }
    .why = It has to be full of steam when the meat comes to it.
# $with (Message) $lid (Message)
steam-meat-in = Meat into the pan with { $with }, { $lid }, and into the steam oven
    .dry = Meat into the pan, { $lid }, and into the steam oven
    .why = The clock starts here. Stand back as the door opens: steam scalds.
# $steam (Message) $lid (Message)
steam-goes-on = In the steam oven: { $steam }, { $lid }
    .why = Leave the door shut: each look lets the steam out.
# $steam (Message) $lid (Message)
leave-in-steam = Leave it: { $steam }, { $lid }, the tank topped up
# $at (Guide)
hold-in-steam = Tender early? Turn the steam oven down to { $at } and leave it in, covered
lift-from-steam = Open the door and let the steam out first; then lift the meat onto a warm tray, covered
    .why = Steam scalds. Keep what runs from the meat, and what is in the pan.
# $at (Temperature)
early-in-steam = Leave it in the steam oven, covered and turned down, held at { $at }.
# $at (Temperature)
turn-steam = Turn the steam oven to { $at }
steam-to-half = Half steam
    .trade = The surface stays cooler and loses water: slower, and browner on top.
steam-to-full = Full steam
    .trade = The surface comes to what the dial says: sooner, and paler.
