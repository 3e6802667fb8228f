### The sheet: what to do, in what order, and why; and what would help when the bell can't be met.

## The whole.

# $certainty (Share) $time (RoughMinutes) $finishing (RoughMinutes)
why = { CAPITAL($certainty) } such pieces are tender within { $time } of meeting the heat, and the finishing takes { $finishing }. So it goes on early enough for a slow one; a quick one waits hot.
# $chance (Share) $certainty (Share) $late (RoughMinutes)
too-late = Starting now, { $chance } such pieces are tender in time. To be sure of { $certainty }, plates come { $late } late.

## At the board, ahead.

pierce = Stud, hatch or pound it
    .why = What was outside is inside now: cook it right through.
brine-out = Take it out of the brine and pat it dry
    .why = The brine has done its work: pour it away.
# $water (Volume) $number (Count) $of (Count)
soak-in = Lay it in { $water } of { $of ->
        [one] cold water
       *[other] cold water, the { $number ->
            [1] first
            [2] second
            [3] third
            [4] fourth
            [5] fifth
            [6] sixth
           *[other] next
        } of { $of }
    }
soak-out = Take it out of the water and pat it dry
    .why = What it has lost in salt has gone down the drain with the water.
# $marinade (Volume) $time (Minutes)
marinade-in = Lay it in { $marinade } of marinade in glass or steel, covered, in the fridge for { $time }
    .why = It works on the outside only; past two days the outside turns mealy.
marinade-turn = Turn it in its marinade
    .why = What sticks out stays plain.
marinade-out = Take it out of the marinade, pick it clean and pat it dry; pour the marinade away
    .kept = Take it out of the marinade, pick it clean and pat it dry; keep the marinade and rinse its bowl with a ladle of the liquid
rinse = Rinse it, slowly, deep in the sink
    .why = Rinsing spreads raw juices and cleans nothing that heat would not: wash the sink after it.
# $cold (Guide)
clear-soak = Cover it with cold water
    .why = What clouds a broth draws out. Under { $cold }, or within the hour.
clear-water = Pour the water off, fresh cold water on
    .why = A second water draws out most of the rest.
blanch = Cover it with cold water and bring it to the boil; five minutes
    .why = What clouds a broth sets and comes up as grey foam.
blanch-rinse = Pour it off; rinse the meat and the pot
    .why = Grey foam left in the pot would cloud the new broth.

## Salt, pan, and what has to get hot.

salt-ahead-why = Salt this far ahead seasons more than the surface, and the surface dries for the pan.
salt-ahead-unseared-why = Salt this far ahead seasons more than the surface.
salt-late-why = So late the salt stays near the surface.
salt-frozen-why = Salt does not go into frozen meat: it seasons the liquid, and the meat once that has thawed.
brine-why = In the end brine and meat are equally salty: waiting can't oversalt it.
take-out = Take the meat out of the fridge
    .pat = Take the meat out of the fridge and pat it dry
    .frozen = Take the meat out of the freezer
    .frozen-why = It goes in as it is.
    .why = How long it stands out changes the cooking time little.
    .cold-why = Straight from the cold: standing out would change the cooking time little.
    .pat-why = A dry surface browns, a wet one steams. How long it stands out changes the cooking time little.
    .cold-pat-why = A dry surface browns, a wet one steams. It may go in cold.
# $dial (Dial)
light-oven = Light the oven: { $dial }
    .why = It is hot when the pot goes in.
# $fat (Temperature)
warm-fat = Warm the fat to { $fat }
    .why = Fat is slow to warm.
# $coals (Count)
light-coals = Light { $coals } coals outdoors
    .why = They go on when they are grey all over. Light the next lot early.
# $dial (Dial) $wood (Message)
light-pit = Light the pit: { $dial }, { $wood }
    .why = Wait until it holds and the smoke runs thin and blue.
# $bath (Temperature)
warm-bath = Fill the bath and warm it to { $bath }
    .why = Start it with hot water, and cover it.
pit-settles = The pit comes up and settles
    .why = The meat goes in when it holds and the smoke runs thin and blue.
coals-grey = The coals burn until they are grey all over
    .why = Black coals smoke and are not yet at their heat.
bath-warms = The bath warms
    .why = Covered, it warms sooner and loses less.
fat-melts = The fat melts and clears
    .why = Strain it once it is clear: what floats in it burns.
# $fat (Message)
heat-pan = Get the pan fully hot. { $fat }
    .why = The fat ripples and a drop of water dances. No sizzle? Take the meat out and wait.
sear-one = Brown it on every broad side
# $pieces (Count)
sear-all = { $pieces ->
        [2] Brown both pieces
       *[other] Brown all { $pieces } pieces
    }
# $batch (Count) $batches (Count) $first (Count) $last (Count)
sear-batch = Brown batch { $batch } of { $batches }: pieces { $first } to { $last }
    .two = Brown batch { $batch } of { $batches }: pieces { $first } and { $last }
    .one = Brown batch { $batch } of { $batches }: piece { $first }
    .why = Brown is flavour and colour. Crowded meat steams grey, so leave room.

## The last step before the meat meets the heat.

# $things (Message)
rub-with = Rub it with { $things } and put a probe in the middle
# $things (Message)
put-in-with-it = Put in { $things } with it
rub = Rub it and put a probe in the middle
    .why = The salt is in the meat already: take a rub without any.
    .unsalted-why = The probe's tip belongs in the thickest part.
bag = Bag it flat, press the air out, seal it twice
    .why = Air makes a bag float: weigh it down.
    .bones-why = Bones puncture bags: pad them. Air makes a bag float: weigh it down.
into-fat = Lay it in the melted fat, covered
    .wipe = Wipe the salt off and lay it in the melted fat, covered
    .why = What sticks out dries.
# $things (Message)
soften = Soften { $things } in a film of fat
    .in-that-fat = Soften { $things } in that fat
# $things (Message)
fat-into-the-pan = Into the pan: { $things }
# $things (Message)
stir-in-and-cook = Stir in { $things } and cook it a minute
# $what (Message)
deglaze = Pour in { $what } and boil it down by half
    .seared = Pour in { $what }, scrape up the brown and boil it down by half
# $what (Message)
deglaze-whole = Pour in { $what }
    .seared = Pour in { $what } and scrape up the brown
scrape = Scrape up the brown with the meat's own juices
its-resting-juices = its resting juices
the-liquid-in-the-pot = the liquid in the pot
heat-the-liquid = Get the liquid hot
measure-the-liquid = Measure the liquid
pot-ready = Get the pot ready
into-it-why = Hot liquid into a hot pot: cold liquid costs minutes.
    .cold = The liquid goes in cold.
    .dry = The lowest heat: its own juice has to run first.

## The evening before: cooled, and brought to the boil the next day.

cool-in-liquid = Off the heat: into a shallow dish with its liquid, open, to cool
into-cold = Cover it and put it in the fridge
night-in-cold = It lies in its liquid in the cold
    .why = It takes up the liquid's taste, and the fat sets on top.
from-cold = Take it out of the fridge and lift the set fat off
    .why = Set fat comes off whole.
# $with (Message)
next-day-in-with = Heat it again with { $with }
next-day-in = Heat it again
pot-in-next-day-why = Slowly to the boil: only then does the clock count.

# $names (Message)
comes-out = Take out the { $names }
    .before-the-boil-why = Just before it boils: boiled, it turns slimy and bitter.
    .before-it-clouds-why = It has given its flavour; longer and it clouds the broth.

## Where the meat is meanwhile.

back-bare = Back into the fridge, uncovered
back-covered = Back into the fridge, covered
pat-dry = Pat the meat dry
stays-out = Leave the meat out
# $names (Message)
fresh-over = Scatter { $names } over it

## The moment from which the clock counts.

# $with (Message) $lid (Message)
dish-in = Meat in with { $with }, { $lid }, and into the oven
    .dry = Meat in, { $lid }, and into the oven
    .why = It warms in the oven and not on a flame: that takes longer, and is reckoned in.
# $with (Message)
pressure-in = Meat in with { $with }; lid locked, vent closed
    .dry = Meat in; lid locked, vent closed
    .why = The clock starts here. It takes a while to come up, and cooks meanwhile.
# $with (Message) $lid (Message)
crock-in = Meat into the crock with { $with }; { $lid }, switch it on
    .dry = Meat into the crock; { $lid }, switch it on
    .why = The clock starts here. Hot liquid saves most of an hour.
fat-in = Into the heat, the fat just trembling
    .why = The clock starts here. It must never fry.
bath-in = Lower the bag into the bath
    .why = The clock starts here. All of it under water.
pit-in = Meat into the pit
    .why = The clock starts here. Shut it and leave it shut.
# $with (Message)
pot-in = Meat in with { $with }; bring it to a simmer
    .dry-with = Meat in with { $with }, lowest heat, until its juice runs
    .dry = Meat in, lowest heat, until its juice runs
    .why = The clock starts here. Skim the first foam.
    .dry-why = The clock starts here. With nothing poured the bottom can catch.
cold-in = Into the cold
    .why = Nothing softens here.

## What goes on by itself.

# $dial (Dial) $lid (Message)
in-the-oven = Into the oven at { $dial }, { $lid }
    .why = Even heat from all sides. The dial decides how much water leaves.
# $bubbles (Message) $lid (Message)
on-the-hob = On the hob, { $lid }: { $bubbles }
    .why = Simmer, don't boil: a boil breaks it up.
    .rolling-why = A rolling boil breaks pieces up: watch it.
# $coals (Message) $lid (Message) $turn (Minutes)
over-coals = { CAPITAL($coals) }, { $lid }
    .why = Turn the pot a quarter and its lid back every { $turn }. Fresh coals go on before the old ones fade.
# $held (Minutes)
under-pressure = Under pressure, then let it fall by itself
    .held = { $held } at pressure, then let it fall by itself
    .quick = Under pressure, then let it off at once
    .held-quick = { $held } at pressure, then let it off at once
    .why = Coming up and letting go cook too.
# $crock (Message) $look (Minutes)
in-the-crock = { CAPITAL($crock) }
    .why = Leave it shut: each look costs { $look }.
# $bath (Temperature)
in-the-bath = In the bath at { $bath }
    .why = Top it up: a bath evaporates over a day.
# $fat (Temperature)
under-fat = Under fat at { $fat }
    .why = All of it stays under the fat.
# $dial (Dial) $material (Key) $at (Temperature)
in-the-pit = In the pit at { $dial }, bare
    .wrapped = In the pit at { $dial }; into { $material ->
        [paper] unwaxed paper
       *[foil] foil
    } at { $at } in the middle
    .wrapped-at-once = In the pit at { $dial }, in { $material ->
        [paper] unwaxed paper
       *[foil] foil
    } from the start
# $low (Guide) $high (Guide)
in-the-pit-why = It stalls for hours at { BARE($low) } to { $high } while its surface dries. That is no fault.
in-the-pit-wrapped-why = Its steam stays in the wrap: the stall is over, and the bark stays as it is.
# $steps (Message)
chilled = Cool it fast in ice water, then in the fridge
    .on-a-tray = Cool it on a tray in the fridge
    .why = It goes { $steps }.
# $to (Temperature)
reheated = Warm it through gently in its liquid, to { $to } in the middle
    .why = Lift the set fat off first.

heat-is-off = The heat is off: leave the lid on
    .why = A shut pot keeps its heat; each look costs some of it.

## What there is to do while it goes on by itself.

# $dial (Dial) $lid (Message)
leave-oven = Leave it: oven at { $dial }, { $lid }
# $lid (Message) $bubbles (Message)
leave-hob = Leave it: { $lid }, { $bubbles }
# $lid (Message)
leave-coals = Leave it: { $lid }, coals in a ring at the rim
leave-pressure = Leave it: lid locked, until it has let go by itself
# $lid (Message)
leave-crock = Leave it: { $lid }, no looking in
# $bath (Temperature)
leave-bath = Leave it: under water at { $bath }, the bag sunk
# $fat (Temperature)
leave-fat = Leave it: under its fat at { $fat }, hardly a bubble
# $dial (Dial) $material (Key)
leave-pit = Leave it: pit at { $dial }, lid shut
    .wrapped = Leave it: pit at { $dial }, lid shut, the meat in its { $material ->
        [paper] paper
       *[foil] foil
    }
leave-cold = Leave it: it is cooling
# $to (Temperature)
leave-reheat = Leave it: it warms gently to { $to }
leave-hold = Leave it: hot, covered, not cooking on
leave-rest = Leave it: it is resting
leave-release = Leave it: the pressure is falling

## From one heat to the next.

pit-to-bath = From the pit: bag it, seal it, into the bath
    .why = It has its smoke. The bath does the softening.
to-the-cold = Off the heat: cool it shallow and fast
from-the-cold = Out of the fridge, the fat lifted off, back to the heat
    .why = Set fat comes off whole.
    .no-fat = Out of the fridge, back to the heat
    .no-fat-why = Cold meat is slow to warm through.
# $to (Message)
change-over = Change over to { $to }
    .why = Lid and heat as said.
# $to (Message)
move-it = Move it: { $to }
    .why = Quickly, so that it stays hot.

## Looks on the way.

look-bag = First look: press it through the bag
    .again = Look again: press it through the bag
look-probe = First look: slide a probe in
    .again = Look again: slide a probe in
look-fork = First look: fork it
    .again = Look again: fork it
look-fork-and-liquid = First look: fork it, and see to the liquid
    .again = Look again: fork it, and see to the liquid
# $sign (Message)
first-look-why = Two thirds of the way, so expect it firm still. It is done when { $sign }.
# $sign (Message)
look-why = It is done when { $sign }. Each look lets heat out, so be quick.
# $what (Message)
add = Put in the { $what }
# $time (Minutes) $sign (Message)
add-why = Only if the meat forks nearly done; else wait with it. Done after { $time }: { $sign }.

# $things (Message)
open-and-add = Let the pressure off, open it and put in the { $things }
    .why = Closed in from the start they would be mush. Fork the meat while it is open.
# $held (Minutes)
closed-again = Close it again: { $held } at pressure, then let it off at once
    .why = It is hot and comes up within minutes.
# $time (Minutes)
simmer-open = Leave it open at a simmer for { $time }
# $signs (Message)
simmer-open-why = Done when: { $signs }.

# $liquid (Volume)
top-up = Pour in { $liquid } of hot liquid
    .why = So much has left as steam. Hot, so that it goes on simmering.
turn-coals = Turn the pot a quarter, and its lid back
    .why = Coals never burn evenly.
# $coals (Count)
next-lot = Light the next { $coals } coals; turn the pot
    .why = They take a quarter of an hour to turn grey, and the old ones fade.
fresh-coals = Fresh coals on, ash off; turn the pot
    .why = Keep the ash out of the pot.
tend-pit = See to the pit: fuel, wood, its vents
    .why = Quickly: an open lid costs it minutes.
feed-fire = Feed the fire
    .why = It does not hold itself.
# $material (Key) $at (Temperature)
wrap = Wrap it in { $material ->
        [paper] unwaxed paper
       *[foil] foil
    }: its middle is near { $at }
    .why = Wrapped it dries no more, and the stall is over sooner. By the probe, not by the clock.
mop = A coat of mop
    .why = It keeps the bark from cracking; each coat costs a little heat.
release = It lets go by itself
    .quick = Let the pressure off at once
    .why = Open it when the pin has dropped, not before. It goes on cooking until then.
    .quick-why = The steam scalds: keep hands and face away from the vent.
# $things (Message)
dumplings = Lay the { $things } on the skimmed liquid; lid on
    .why = Only now: their starch would have held the fat.
# $time (Minutes)
dumplings-steam = { $time } at a simmer under the lid, shut
# $what (Message)
side-on = Put on: { $what }
# $time (Minutes)
side-on-why = It takes { $time } and is to land with the meat.
# $what (Message)
side-cooks = It cooks: { $what }
    .why = Look in on it now and then.
# $what (Message)
side-off = Take off: { $what }
    .why = Keep it warm under a lid.

## What can't be kept.

# $what (Message) $dish (Message)
of-a-dish = { $what } ({ $dish })

# $what (Message)
nobody-there = Nobody is up and there for this: { $what }.
# $time (RoughMinutes) $what (Message)
left-alone = For { $time } nobody is up and there, and a flame or fire burns: { $what }.
# $first (Message) $then (Message)
out-of-order = This can't come before what it has to come before: { $first }; { $then }.
# $what (Message) $then (Message) $time (RoughMinutes)
waits-too-long = This waits { $time } longer than it has to: { $what }; until: { $then }.
# $dish (Message) $time (RoughMinutes)
held-too-long = { $dish } is surely tender { $time } before it is lifted: longer than it bears to wait hot.
# $time (RoughMinutes) $what (Message)
early-for-the-bell = This is done { $time } before the bell, and waits: { $what }.
# $time (RoughMinutes) $what (Message)
off-its-time = This comes { $time } off its time: { $what }.
# $what (Message) $time (RoughMinutes)
cut-short = There is no time for all of it, { $time } are missing: { $what }.
# $what (Message)
past = That hour has passed: { $what }.

## Waiting hot for the bell.

hold-pit = Tender early? Wrap it and keep it hot in a warm oven or a dry box
    .wrapped = Tender early? Keep it wrapped and hot, in a warm oven or a dry box
# $at (Guide)
hold-bath = Tender early? Turn the bath down to { $at } and leave it in its bag
hold-pressure = Tender early? Leave it on keep-warm, closed
hold-crock = Tender early? Switch it to keep-warm
hold-pot = Tender early? Turn the heat off or to its lowest, cover it, keep it hot
# $low (Guide) $high (Guide)
hold-why = This is the time kept for a slow piece. At { BARE($low) } to { $high } it softens only a little more.

## To the plate.

lift-pit = Take it out of the pit
    .wrapped = Take it out of the pit, still wrapped
lift-bath = Out of the bath; pour the juice from the bag, pat the meat dry
    .why = That juice is the sauce.
lift-fat = Lift it out of the fat and let it drain
    .why = Under the fat stands its jelly: pour it off and keep it. Crisp the meat in a hot pan before it is served.
lift-pressure = Open it when the pin has dropped, and lift the meat onto a warm tray
    .why = Fork it first: still firm means closed again and back to pressure.
lift-pot = Lift the meat onto a warm tray, covered
lift-why = Keep what runs from it.
# $out (Message)
lift-out-why = Out with it: { $out }. Keep what runs from the meat.
# $fat (Volume) $deep (Length)
skim = Let it settle and skim the fat: about { $fat }, { $deep } deep
    .why = Half off the flame, the fat gathers on the still side. Do it before anything thickens.
sauce-why = Weak: reduce it. Right but thin: thicken it. Salty, bitter or sour: don't reduce.
rest = The meat rests, covered
    .slicing-why = It cuts cleaner and keeps more of its juice.
    .why = It stays warm while the rest is done.
    .pit-why = Half an hour at least: it cuts cleaner and loses less on the board.
slice = Slice across the grain
    .into-the-sauce = Slice across the grain, back into the sauce
    .into-the-broth = Slice across the grain, back into the broth
pull = Pull it with two forks, in chunks
    .into-the-sauce = Pull it with two forks, in chunks, into the sauce
    .into-the-broth = Pull it with two forks, in chunks, into the broth
portion = Portion it
    .into-the-sauce = Portion it and turn it in the sauce
    .into-the-broth = Portion it, back into the broth
break-up = Break it up
    .into-the-sauce = Break it up and turn it in the sauce
    .into-the-broth = Break it up, back into the broth
board-why = What ran onto the board goes back in.
board-dry-why = Pour what ran onto the board back over it.
# $people (Count) $grams (Mass)
serve = Plate for { $people }: about { $grams } of meat each
    .why = Something sharp and fresh beside it.

## What would meet the bell.

later-serving = Ring the bell later
    .trade = Everyone waits; the dish stays as it is.
# $side (Length)
cut-into-cubes = Cut it into { $side } cubes
    .trade = No slices.
    .trade-batches = No slices, and more batches to brown.
# $dial (Dial)
hotter-oven = Turn the oven to { $dial }
    .trade = Much more water leaves: top up and watch it.
brisker-simmer = Keep a brisker simmer, small bubbles all over
    .trade = More water leaves, and pieces break up sooner.
serve-in-chunks = Serve it in chunks for the fork
    .trade = Firmer than you asked for.
serve-in-slices = Serve it in slices
    .trade = Firmer than you asked for.
press-it = Cook it under pressure
    .trade = You can't look or taste on the way, and nothing boils down.
thicken-it = Thicken the sauce instead of boiling it down to a glaze
    .trade = It coats the meat, but with starch: less deep, less shine.
halve-it = Cut it in two
    .trade = Two pieces to brown and to slice; the heat has less far to go.
cook-it-ahead = Cook it first and warm it again
    .trade = It waits in the cold; the fat lifts off in one piece, and it slices cleaner.
skip-the-sear = Skip the browning
    .trade = Paler, and less of the roasted flavour.
