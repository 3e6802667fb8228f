### What can hurt someone, said only where it binds. Figures are published guidance; local food codes come first.

# $within (Minutes) $past (Guide)
slow-warming = The middle takes more than { $within } to pass { $past }: long enough for bacteria to grow. Cut it smaller or start hotter, and don't pierce, stud or pound it.

# $hottest (Temperature) $safe (Guide)
pierced = The middle only reaches { $hottest }. If the meat was pierced, pounded, studded or injected, what was on its surface is now inside: leave it whole, or go past { $safe }.

# $medium (Temperature) $softens (Guide)
held-not-softened = At { $medium } the meat is held, not softened: below { $softens } meat hardly softens, however long you wait.

# $time (Span) $counted (Key) $low (Guide) $high (Guide) $most (Minutes)
in-danger = Its middle was between { BARE($low) } and { $high } for { $time } so far, counted from { $counted ->
        [readings] the probe's readings
       *[model] the forecast, not from readings
    }. Cooked food that was there for { $most } in all is thrown away; your local code comes first.

# $at (Temperature) $hold (Guide) $low (Guide) $high (Guide)
cool-hold = { $at } is too cool to hold food. Hold it at { $hold } or above ({ BARE($low) } or { $high } under some codes; yours comes first).

# $warm (Guide) $cool (Guide) $cold (Guide)
part-cooked = It goes into the cold before it is done. Cool it shallow and fast, from { BARE($warm) } to { $cool } within 2 h and to { $cold } within 4 h more, and bring it to the boil next day.

# $cold (Guide)
under-fat = Meat or garlic under fat keeps 4 days at most, at { $cold } or below. Under a seal of fat there is no air, and botulism can grow: fat does not preserve.

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

# $after (Span)
boils-dry = Without topping up the pot is dry after about { $after } and the bottom burns. Top it up with hot liquid.

raw-meat = Raw juices spread. Don't rinse the meat; wash hands, board and tongs after it.

lid-steam = Lift the lid away from your face: steam scalds.

hot-fat = Wet meat spits in hot fat. Pat it dry and lay it in away from you.

wine-flames = Wine can flare up in a hot pan. Take the pan off the flame to pour.

# $hold (Guide) $low (Guide) $high (Guide)
hot-hold = Hold it at { $hold } or above ({ BARE($low) } or { $high } under some codes; yours comes first).

# $warm (Guide) $cool (Guide) $cold (Guide)
cooling = Cool leftovers from { BARE($warm) } to { $cool } within 2 h and to { $cold } within 4 h more: in shallow trays, not in the pot.

marinade = Raw meat lay in it. Use it only where it will still boil, never over the finished dish.

chilli = Chilli burns skin and eyes for hours: wear gloves, and keep your face out of the fumes.

dried-beans = Boil soaked dried beans hard for 10 min: raw they are poisonous.
    .slow-cooker = Boil dried beans hard for 10 min before they go into a slow cooker: raw they are poisonous, and it never boils them.
