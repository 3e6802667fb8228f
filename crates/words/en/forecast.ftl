### When it is tender, and why: the forecast, its notes, what was assumed, and what lies behind its figures.

## Why it takes this long.

# $name (Message) $make (Key) $cooks (Message) $thick (Length) $done (Message) $time (RoughMinutes)
why = { CAPITAL($name) } is { $make ->
        [sinewy] full of sinew
        [worked] well worked and sinewy
       *[lean] lean, with little sinew
    }. { $cooks } A piece { $thick } thick has to get hot to the middle and then soften: half of such pieces are { $done } after { $time }.
# $name (Message) $make (Key) $cooks (Message)
why-never = { CAPITAL($name) } is { $make ->
        [sinewy] full of sinew
        [worked] well worked and sinewy
       *[lean] lean, with little sinew
    }. { $cooks } It does not grow tender within three days.
    .in-that-time = { CAPITAL($name) } is { $make ->
        [sinewy] full of sinew
        [worked] well worked and sinewy
       *[lean] lean, with little sinew
    }. { $cooks } It does not grow tender in the time given.

price-of-boiling = A rolling boil is sooner, but it breaks pieces up, clouds the liquid and leaves less time before it is too far.
price-of-bare = Its own damp holds the middle back for hours, until the bark has dried; a wrap shortens that.
price-of-lean-sliced = It is lean and dries soon after: slice it thin across the grain.
price-of-lean = It is lean and dries soon after it is tender.
price-of-no-lid = Without a lid most of the heat goes into steam.

## Notes.

unsuitable = No forecast: this cut is not for long cooking.
never-comes-up = No ready time: with so little liquid the pot does not come up to pressure.
ends-before = No ready time: the given time ends before the meat is tender.
ends-before-some = No later ready time: in some of the simulated cooks the given time ends before the meat is tender.
# $softens (Guide)
too-cool = No ready time: below { $softens } meat is held, not softened.
never = No ready time: the meat does not grow tender within 72 h.
never-for-some = No later ready time: in some of the simulated cooks the meat does not grow tender within 72 h.
never-overcooked = No too-far time: nothing goes too far within 72 h, or no heat stays on.
overcooked-before-ready = Part of it has gone too far by the time all of it is ready. Shorten the time, or lift the pieces in turn.
# $first (Message) $from (RoughMinutes) $last (Message) $to (RoughMinutes)
lift-in-turn = Lift in turn: { $first } after about { $from }, { $last } after about { $to }. The whole is ready with the last and too far with the first.
# $liquid (Volume) $after (RoughMinutes)
unpoured = { $liquid } poured in after { $after } met no pot any more and is not counted.
# $saves (RoughMinutes) $leaves (RoughMinutes) $instead (RoughMinutes)
boiling-against-simmering = The boil saves about { $saves } against a gentle simmer. It leaves { $leaves } instead of { $instead } before it is too far; more water boils off, pieces break up and the liquid clouds.
# $room (Volume)
overflows = Meat and liquid overflow this pot: beside the meat there is room for { $room }.
no-liquid-here = No stage of this way cooks in liquid: the liquid is left out.
# $mass (Mass) $thick (Length)
no-thicker = A piece of { $mass } is hardly thicker than { $thick }: the forecast takes that. If yours is thicker, measure all three sides.
# $pieces (Count) $would-weigh (Mass) $weighs (Mass)
size-and-mass-disagree = Size and mass disagree: { $pieces ->
        [one] a piece
       *[other] { $pieces } pieces
    } of that size would weigh about { $would-weigh }, not { $weighs }. The size rules the time, the mass the amounts.

# $all (Minutes)
own-time-in-all = { $all } in all
# $own (Message) $chance (Share) $done (Message) $sure (Minutes) $certainty (Share)
own-time = { $own }: { $chance } are { $done } then; { $sure } makes it { $certainty }.
    .does = { $own }: { $chance } are { $done } then.
    .only = { $own }: { $chance } are { $done } then, and no longer time makes it sure.
# $set (Minutes) $up (Minutes) $release (Minutes) $how (Key) $softens (Minutes)
pressure-minutes = Set it to { $set } at pressure. Coming up takes about { $up } before that, { $how ->
        [quick] letting it off { $release } after.
       *[natural] and letting it fall by itself about { $release } after.
    } Keep-warm goes on softening: an hour of it does as much as { $softens } at pressure.

## What was assumed, and why.

# $height (Elevation)
altitude = { $height }
at-sea-level = at sea level
from-the-cold = straight from the fridge
as-eaten = how this cut is usually eaten
young-beef = young
most-beef = most beef is
a-usual-piece = a usual piece
as-it-comes = as it usually comes
from-the-mass = from the mass and the cut's usual shape
common-size = a common size
usual-cover = usual for this heat
cold-liquid = as it comes from the tap or the jar
cold-in-a-dish = a dish that goes into the oven is filled cold
hot-liquid = hot liquid into a hot pot
# $across (Length) $material (Key)
round-pot = { $material ->
        [iron] an iron pot
        [steel] a steel pot
        [aluminium] an aluminium pot
        [ceramic] a ceramic pot
       *[glass] a glass pot
    }, { $across } across
# $holds (Volume)
pressure-pot = { A($holds) } pressure pot
# $holds (Volume)
crock = { A($holds) } crock
level-stew = just covered
level-pressure = a third up: enough to come up to pressure, and little of it leaves
level-crock = half way up: little of it leaves
level-wide-pot = enough for so much meat; a smaller pot would stand it deeper
level-braise = three quarters up the meat
corned-brings-salt = corned meat brings its own
middling-hand = a middling hand with salt
fat-trembles = fat that hardly trembles
gentler-switch = the gentler switch
tender-within-a-night = tender within a night
where-pots-hold = where pots hold by themselves
reheating-figure = the usual figure for reheating
usual-source = usual for this way
# $source (Key)
source =
    { $source ->
        [oven] oven
        [coals] coals
       *[hob] hob
    }
simmer-dont-boil = simmer, don't boil
middling-oven = a middling braising oven
by-the-pots-width = by the width of the pot, a third of them on the lid
lit-early = lit early, added before the old ones fade
usual-pressure = the usual setting for tough cuts
gentler-release = gentler on the meat
usual-pit = a usual slow pit
when-bark-is-set = in the stall, when the bark is set
# $setting (Key)
setting =
    { $setting ->
        [low] low
       *[high] high
    }
# $release (Key)
release =
    { $release ->
        [quick] let off at once
       *[natural] falling by itself
    }
# $simmer (Key)
simmer =
    { $simmer ->
        [lazy] lazy
        [gentle] gentle
        [brisk] brisk
       *[boil] boil
    }

## What lies behind the figures: the rule, this case's numbers in it, how sure.

middle = The middle
# $size (Size) $start (Temperature) $half (Length) $share (Percent)
middle-rule = Heat creeps in from all sides. It is followed shell by shell through a body of this size: twice as thick is about four times as slow.
    .numbers = { $size }, from { $start }. The heat has { $half } to go, half the thickness.
    .measured = The thickness is taken to be right within { $share }.
    .guessed = The thickness is guessed from the weight, within { $share }.

tender = Tender
# $reference (Temperature) $slow (Temperature) $fast (Temperature)
tender-rule = Collagen turns to gelatin, faster the hotter it is. An hour at { $reference } counts as one tender-hour; at { $slow } it is a third of one, at { $fast } four. It is enough when the whole piece has had so many on average, and the middle half of that.
# $cut (Message) $done (Message) $enough (Number) $toughness (Number) $hours (Number)
tender-numbers = To be { $done } { $cut } asks { $enough } tender-hours, times { $toughness } for how tough it is: { $hours }.
    .older = To be { $done } { $cut } of an older animal asks { $enough } tender-hours, times { $toughness } for how tough it is: { $hours }.
# $share (Percent)
tender-sure = Animals differ: two in three lie within { $share } of this.

overcooked = Too far
# $hours (Number) $times (Number)
overcooked-rule = Past enough there is room: little where it is to be sliced, least for lean meat, much for fat and sinewy cuts.
    .numbers = Too far at { $hours } tender-hours, { $times } times enough.
    .sliced = Too far at { $hours } tender-hours, { $times } times enough: after that a slice falls apart.
    .sure = A working figure from practice. Taste decides.

juice-and-yield = Juice and yield
# $low (Guide) $high (Guide) $raw (Mass) $juice (Mass) $left (Mass)
juice-rule = Meat squeezes out juice by how hot each part of it has been, most steeply between { BARE($low) } and { $high }. Searing does not change it. What is left after trim, bone, juice, fat and gristle is eaten.
    .numbers = { $raw } raw, { $juice } of juice lost, { $left } cooked and edible.
    .sure = Within about a tenth.

gelatin-and-fat = Gelatin and fat
# $melts (Guide) $collagen (Percent) $fat (Percent) $gelatin (Grams) $rendered (Volume)
gelatin-rule = About six tenths of the collagen that dissolves goes into the liquid. Fat melts out above { $melts }.
    .numbers = { $collagen } collagen and { $fat } fat in this cut: { $gelatin } of gelatin, { $rendered } of fat.
    .sure = Cuts and trimming differ by a third.

liquid = Liquid
# $in (Volume) $left (Volume) $lid (Message)
liquid-rule = What is poured in and the juice that joins it, less the steam that gets past the lid.
    .numbers = { $in } in, { $left } left when half of such pieces are tender, { $lid }.
    .sure = Lids differ: two in three lose between two thirds and half as much again. A dip or the scale tells.

band = The band
# $cooks (Count) $from (RoughMinutes) $to (RoughMinutes) $middle (RoughMinutes)
band-rule = The same cook is simulated many times, each with another animal, thickness, heat and lid. Eight in ten of them are ready inside the band.
    .numbers = { $cooks } cooks: { $from } to { $to }, half of them within { $middle }.
    .sure = It is as honest as those spreads are.

## What would narrow the band, and how a cook finds it out.

narrow-thickness = Measure the thickest piece at its thickest, with a ruler. It is only guessed from the weight.
narrow-measured = Measure it again, at its thickest: { $units ->
        [us] an eighth of an inch is minutes.
       *[metric] a few millimetres are minutes.
    }
narrow-animal = Nobody knows the animal beforehand. The first fork check, at two thirds of the time, tells most.
narrow-oven = Stand a thermometer in the oven through one cook.
narrow-simmer = Put a thermometer into the liquid once it has settled.
narrow-pit = Put a probe at the grate, beside the meat.
narrow-lid = Weigh the pot, or dip it, after an hour: that shows what the lid lets by.
narrow-bark = Put a probe in the middle: how long it is held back shows how wet the surface is.
narrow-liquid = Put a probe in the middle in the first hour: it shows how well the heat gets in.

## Rules of thumb, and why they differ from the forecast.

thumb-alone = There is no forecast to compare it with.
thumb-agrees = It agrees with the forecast here.
# $apart (RoughMinutes) $because (Message)
thumb-longer = { $apart } longer than the forecast: { $because }.
# $apart (RoughMinutes) $because (Message)
thumb-shorter = { $apart } shorter than the forecast: { $because }.
blind-to-size = it knows neither this cut nor how thick it is
by-weight = it counts weight, but thickness and sinew rule the time
thumb-pressure = An hour under pressure is two and a half on the hob
    .because = hotter liquid softens faster, but the heat takes as long as ever to reach the middle
thumb-pressure-pieces = Half an hour at pressure for pieces, an hour for a joint
thumb-pressure-joint = An hour at pressure for a joint
thumb-slow-pit = An hour and a half a pound in a slow pit
    .because = it counts weight, but the stall goes by surface, wrap and damp
thumb-hot-pit = An hour a pound in a hot pit
thumb-night-before = Start the night before
    .because = it is the habit for a whole brisket, whatever its size
thumb-low = Eight hours on low
thumb-high = Four hours on high
thumb-crock-because = it is meant for a full crock of chuck in pieces
# $apart (Difference)
thumb-low-is-twice = Low takes twice as long as high
    .because = both start cold and end only { $apart } apart; warming up is most of the difference
thumb-high-is-half = High takes half as long as low
# $bath (Guide)
thumb-bath-night = Overnight above { $bath }
# $bath (Guide)
thumb-bath-day = A day and a night below { $bath }
thumb-bath-because = a few degrees in the bath are worth hours, and sinew is worth as many again
thumb-fat = Half a working day under fat
    .because = how it is eaten decides: for the spoon it takes twice as long as for a fork
thumb-pound = An hour a pound for one joint
thumb-joint = About three hours for a joint
thumb-pieces = About two hours for pieces
thumb-thrice-pressure = Three times as long as under pressure
    .because = the pressure pot spends much of its time coming up

## What the inside of the piece is like.

# $how (Key)
inside =
    { $how ->
        [through] soft right through
        [middle] softening in the middle
        [outside] soft outside, firm in the middle
       *[firm] firm
    }

## What a fact that would narrow the time is called.

# $fact (Key)
fact =
    { $fact ->
        [animal] The animal
        [thickness] How thick it is
        [oven] The oven’s true heat
        [simmer] The liquid’s true heat
        [pit] The pit’s true heat
        [lid] What the lid lets by
        [bark] How fast it dries
       *[liquid] How well heat gets in
    }

## What a field that was filled in is called.

# $field (Key)
filled =
    { $field ->
        [age] the animal
        [altitude_m] altitude
        [eaten_as] eaten as
        [at_c] kept at
        [bath_c] the bath
        [fat_c] the fat
        [fresh_every_min] fresh coals
        [level] pressure
        [over] coals on the lid
        [pit_c] the pit
        [release] let go
        [set_c] the oven
        [setting] the switch
        [simmer] the simmer
        [source] on or in
        [to_c] warmed to
        [under] coals under
        [at_core_c] wrapped at
        [liquid_l] liquid
        [liquid_start_c] liquid at first
        [mass_kg] weight
        [pieces] pieces
        [salt_pct] salt
        [size_mm] size
        [start_c] from
        [vessel] the vessel
       *[lid] the lid
    }
