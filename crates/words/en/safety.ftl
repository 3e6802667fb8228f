### What can hurt someone, said only where it binds. Figures are published guidance; local food codes come first.

# $within (Minutes) $past (Guide)
slow-warming = The middle takes more than { $within } to pass { $past }: long enough for bacteria to grow. Cut it smaller or start hotter, and don't pierce, stud or pound it.

# $hottest (Temperature) $safe (Guide)
pierced = The middle only reaches { $hottest }. If the meat was pierced, pounded, studded or injected, what was on its surface is now inside: leave it whole, or go past { $safe }.

# $medium (Temperature) $softens (Guide)
held-not-softened = At { $medium } the meat is held, not softened: below { $softens } meat hardly softens, however long you wait.

# $time (RoughMinutes) $counted (Key) $low (Guide) $high (Guide) $most (Minutes)
in-danger = Its middle was between { BARE($low) } and { $high } for { $time } so far, counted from { $counted ->
        [readings] the probe's readings
       *[model] the forecast, not from readings
    }. Cooked food that was there for { $most } in all is thrown away; your local code comes first.

# $at (Temperature) $hold (Guide) $low (Guide) $high (Guide)
cool-hold = { $at } is too cool to hold food. Hold it at { $hold } or above ({ BARE($low) } or { $high } under some codes; yours comes first).

# $warm (Guide) $cool (Guide) $within (Minutes) $cold (Guide) $then (Minutes)
cooled-by = from { BARE($warm) } to { $cool } within { $within } and to { $cold } within { $then } more
# $warm (Guide) $cool (Guide) $within (Minutes) $cold (Guide)
cooled-by-fridge = from { BARE($warm) } to { $cool } within { $within }, then at once into the fridge at { $cold } or below
# $warm (Guide) $cool (Guide) $within (Minutes)
cooled-first = From { BARE($warm) } to { $cool } within { $within }: shallow and wide cools fastest.
# $cool (Guide) $cold (Guide) $then (Minutes)
cooled-then = From { BARE($cool) } to { $cold } within { $then } more.
# $cold (Guide)
cooled-then-fridge = It stays at { $cold } or below from now on.

# $steps (Message)
part-cooked = It goes into the cold before it is done. Cool it shallow and fast, { $steps }, and bring it to the boil next day.

# $days (Count) $cold (Guide)
under-fat = Meat or garlic under fat keeps { $days } days at most, in the fridge at { $cold } or below, never at room temperature. Under a seal of fat there is no air, and botulism can grow: fat does not preserve.

# $steps (Message) $days (Count) $cold (Guide) $longer (Guide)
cooked-bag = A cooked bag has no air in it, and botulism can grow. Open it and eat it, or chill it unopened in ice water, { $steps }. Then { $days } days at most at { $cold } or below; longer only at { $longer } or below and as your local code allows.

acid-in-aluminium = Wine, tomato and vinegar eat bare aluminium over hours and taste of metal: use glass, steel or enamel.

cured-pink = Cured meat stays pink however long it cooks: go by the fork and the thermometer, not by its colour.

# $time (RoughMinutes) $past (Guide) $within (Minutes)
raw-warming = It is still raw inside and has been warming for { $time }. Its middle has to pass { $past } within { $within } of going in; if it can't, throw it away.

pressure-lid = Never force a pressure lid. Open it when the pin has dropped, away from your face, and keep your hands off the vent.

# $full (Percent)
pressure-full = The pot is { $full } full. A pressure pot takes two thirds at most, half if it foams, or the vent clogs.

# $liquid (Volume) $least (Volume)
pressure-dry = With { $liquid } it will not come up to pressure and scorches. Pour in at least { $least } of thin liquid, or what its maker asks.

# $liquid (Volume) $least (Volume)
pressure-little = With { $liquid } it comes up late, when the meat's own juice has run. Keep it thin and stir up what sticks before you close it; many makers ask for { $least } or more.

# $least (Volume)
pressure-own-juice = With nothing poured in it comes up only when the meat's own juice has run, and may catch before. Pour in { $least } of thin liquid, or what its maker asks.

# $least (Volume)
pressure-empty = With nothing poured in it will not come up to pressure and scorches. Pour in at least { $least } of thin liquid, or what its maker asks.

coals-outdoors = Burn coals outdoors only. Their fumes (carbon monoxide) kill in a closed room, even while they die down.

thaw-first = Thaw it in the fridge first. From frozen, a slow cooker leaves it lukewarm for hours.

frozen-start = It goes in frozen: no searing, it spits in hot fat. Check the middle with a thermometer at the end.

small-in-pit = Small pieces dry out in a bare pit before they soften: smoke it in one piece and cut it up after, or wrap it early with a little liquid.

# $after (RoughMinutes)
boils-dry = Without topping up the pot is dry after about { $after } and the bottom burns. Top it up with hot liquid.

raw-meat = Raw juices spread. Don't rinse the meat; wash hands, board and tongs after it.

lid-steam = Lift the lid away from your face: steam scalds.

hot-fat = Wet meat spits in hot fat. Pat it dry and lay it in away from you.

wine-flames = Wine can flare up in a hot pan. Take the pan off the flame to pour.

# $hold (Guide) $low (Guide) $high (Guide)
hot-hold = Hold it at { $hold } or above ({ BARE($low) } or { $high } under some codes; yours comes first).

# $steps (Message)
cooling = Cool leftovers in shallow trays or ice water, never in the pot on the counter: { $steps }.

# $allergens (Message)
allergens = Carries { $allergens }. Say so before it is eaten, and read the labels of what you bought.
# $name (Message) $from (Message)
allergen-from = { $name } ({ $from })
# $grams (Grams) $left (Percent) $from (Message)
alcohol-left = About { $grams } of alcohol a plate is left of the { $from } ({ $left } of what went in). For children, in pregnancy and for anyone who takes none, cook theirs without.
# $from (Message)
alcohol-trace = Next to no alcohol is left of the { $from }, but not none: say so to anyone who takes none.

marinade = Raw meat lay in it. Use it only where it will still boil, never over the finished dish.

chilli = Chilli burns skin and eyes for hours: wear gloves, and keep your face out of the fumes.

dried-beans = Boil soaked dried beans hard for 10 min: raw they are poisonous.
    .slow-cooker = Boil dried beans hard for 10 min before they go into a slow cooker: raw they are poisonous, and it never boils them.

## All of it on one page, by the step where it belongs.

# $part (Key)
page-part =
    { $part ->
        [board] On the board
        [pan] At the pan
        [heat] Over the heat
        [pressure] Under pressure
        [fire] Over coals and in the pit
        [kept] Held, cooled, kept
       *[table] Who eats it, and who may
    }
# $source (Key)
page-source =
    { $source ->
        [published] published guidance
        [maker] what makers ask
       *[practice] kitchen practice
    }
page-defers = These are the published figures that Ergastic works with. Your local food code comes before all of them, and canning, gas and cooking for the public belong to licensed practice.
# $code (Key)
page-code =
    { $code ->
        [united_states] United States
        [canada] Canada
        [england] England, Wales, Northern Ireland
        [scotland] Scotland
        [australia] Australia, New Zealand
       *[usual] None of these
    }
# $hot (Guide) $again (Guide) $cold (Guide)
page-code-figures = hot at { $hot } or above, warmed again to { $again }, cold at { $cold } or below
# $safe (Guide)
page-pierced = Pierced, pounded, studded, rolled or injected meat carries what was on its surface inside. Go past { $safe } in the middle.
# $whole (Guide) $minced (Guide)
page-whole = A whole piece of beef is safe from { $whole } in the middle with 3 min of rest; minced beef from { $minced }.
# $least (Guide)
page-bath = In a water bath time and temperature count together: none below { $least }, and the lower, the longer.
page-juices = Juices off the raw or resting meat go back into the pot only while it will still boil.
page-full = Fill a pressure pot to two thirds at most, and to half where it foams (beans, grain), or the vent clogs.
# $least (Volume)
page-least = A pressure pot wants at least { $least } of thin liquid: thick or sugary sauce scorches, and it never comes up.
page-dry = A pot that ran dry is let cool before water goes in: it spits, and enamel cracks.
page-hot-iron = An iron pot and lid stay hot for half an hour after the fire. Say "hot" when you carry one.
# $low (Guide) $high (Guide) $most (Minutes)
page-danger = Between { BARE($low) } and { $high } bacteria grow. Cooked food that was there for { $most } in all is thrown away.
# $again (Guide)
page-again = What was cooled is warmed again once, quickly, until its middle is { $again }.
# $days (Key) $cold (Guide)
page-keep = Cooked meat, broth and sauce keep { $days ->
        [two] 2 days
       *[three] 3 to 4 days
    } at { $cold } or below. Frozen they stay safe, and good for some months.
# $within (Minutes) $past (Guide)
page-slow = The middle of the meat passes { $past } within { $within }, or bacteria have time to grow: cut it smaller or start hotter.
page-marinade = A marinade that raw meat lay in is used only where it will still boil, never over the finished dish.
page-frozen = Frozen meat is not seared: it spits in hot fat. Into a slow cooker it goes thawed, or it is lukewarm for hours.
page-part-cooked = What goes into the cold before it is done is cooled as fast, and boiled the next day.
page-eggs = Sauces of raw egg are not for the very young, the old, the pregnant or the ill.
page-allergens = Wheat, barley, rye, milk, egg, fish, soy, celery, mustard, sesame, nuts and sulphites: what a dish carries stands on its bench and at the step where it is served. Say it before it is eaten.
page-licensed = Canning meat at home needs a pressure canner and a tested schedule: a pressure pot is none.
