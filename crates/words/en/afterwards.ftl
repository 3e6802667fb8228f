### After the sauce: the meat on its way to the plate, held, cooled, kept, warmed again; what is left over and what it starts.

## The meat.

# $held (Guide)
keep-warm = Until it is cut it lies covered on a warm plate with a ladle of its liquid over it. Longer than half an hour: in the oven, at { $held } or above.
keep-warm-dry = Until it is cut it lies covered, loosely, so that its crust stays dry.
# $kilos (Mass) $people (Count) $grams (Mass)
portions = { $kilos } for { $people }: { $grams } a head.
# $kilos (Mass) $people (Count) $grams (Mass)
portions-weighed = Weighed: { $kilos } for { $people }, { $grams } a head.
# $least (Mass) $most (Mass)
portions-much = More than the { BARE($least) } to { $most } a plate takes: what is over can be kept.
# $least (Mass) $most (Mass)
portions-little = Less than the { BARE($least) } to { $most } a plate takes: stretch it with beans, roots or bread.
portions-right = That is a plate.
# $time (Minutes) $left (RoughMinutes)
left-in = Left in while it boils down ({ $time }), the meat glazes and goes on cooking; then { $left } at the boil are left before it goes too far.
# $time (Minutes)
left-in-overcooked = Left in while it boils down ({ $time }), the meat goes too far: take it out first.
# $length (Length)
fibre-short = fibres { $length } long: they fall apart in the mouth
# $length (Length)
fibre-some = fibres { $length } long: a little chew
# $length (Length)
fibre-long = fibres { $length } long: strings
grain-how = Find the lines that run through the meat, and lay the knife across them. In a brisket the grain turns between flat and point: turn the board with it.

## Held.

# $in (Key)
hold-name =
    { $in ->
        [oven] In the oven
        [flame] On the smallest flame
        [bath] In a water bath
        [box] In an insulated box
       *[keep_warm] On keep-warm
    }
# $in (Key) $at (Guide)
hold-how =
    { $in ->
        [oven] In its liquid, under a lid, the oven at { $at }. Turn what stands out of it now and then.
        [flame] A plate or a ring under the pot, no bubble, { $at }. Stir along the floor every quarter of an hour.
        [bath] Bagged with its liquid, { $at }. Nothing dries and nothing catches.
        [box] Hot from the pot, wrapped in foil and towels, in a box warmed with hot water. No heat, so it cools: put a probe in, and make it hot again before it is too cool.
       *[keep_warm] In its own pot, which holds { $at } by itself. That is cooking too.
    }
# $time (RoughMinutes)
hold-overcooked = { $time }, then too far
# $time (RoughMinutes) $hot (Guide)
hold-cools = { $time } above { $hot }
# $time (RoughMinutes)
hold-not = not here: too far within { $time }
hold-a-day = all day
# $kilos (Mass) $hot (Guide) $time (Minutes)
party = For guests who come and go, leave the pot where it is held and bring out { $kilos } at a time: in an open dish it is under { $hot } after { $time }.
# $hot (Guide) $time (Minutes)
party-little = For guests who come and go, leave it in the pot and serve from there: in an open dish it is under { $hot } after { $time }.

## Warmed again.

# $as (Key)
reheat-name =
    { $as ->
        [slices] In slices
        [chunks] In chunks, or pulled
       *[whole] In one piece
    }
# $as (Key) $thick (Length) $to (Guide)
reheat-how =
    { $as ->
        [slices] { $thick } thick, laid in their liquid as it comes to the simmer, lid on, until the middle is { $to }.
        [chunks] { $thick } thick, in their liquid at the gentlest simmer, until the middle is { $to }. Stir little: they break.
       *[whole] { $thick } thick, in its liquid at the gentlest simmer under a lid, until the middle is { $to }. Slicing it cold first is quicker and neater.
    }

## The day after.

# $way (Key) $time (RoughMinutes)
day-cool =
    { $way ->
        [ice_bath] Tonight: the pot in ice water, stirred, { $time } to cold
       *[trays] Tonight: meat and liquid into shallow trays, { $time } to cold
    }
# $steps (Message)
day-cool-why = It goes { $steps }. The meat stays in its liquid, or it dries.
# $time (RoughMinutes)
day-cool-bag = Tonight: the bag, unopened, under ice water, { $time } to cold
# $steps (Message)
day-cool-bag-why = It goes { $steps }. More ice as it melts: there must always be ice in it.
# $days (Count) $cold (Guide)
day-chill-bag = Unopened in the fridge: { $days } days at most at { $cold } or below
# $longer (Guide)
day-chill-bag-why = There is no air in it. It keeps longer only at { $longer } or below.
day-pour-fat = Lift the meat into a clean jar or dish and strain the fat over it, the jelly left behind
day-pour-fat-why = Juice under the fat spoils first. The jelly salts and thickens a sauce.
# $time (RoughMinutes)
day-cool-fat = Tonight: the jar in ice water to its rim, { $time } to cold
# $days (Count) $cold (Guide)
day-chill-fat = In the fridge, all of it under fat: { $days } days at most at { $cold } or below
day-chill-fat-why = Never at room temperature: under fat there is no air, and botulism can grow. Fat does not preserve.
# $time (Minutes) $to (Guide)
day-crisp = Scrape off the fat, brown it in a hot pan and finish it in the oven, { $time }, to { $to } in the middle
day-crisp-why = It is cooked: now it wants a crust.
# $cold (Guide)
day-chill = Overnight: covered, at { $cold } or below
day-chill-why = It tastes of more the next day, and the liquid sets where it has gelatin enough.
# $fat (Mass) $thick (Length)
day-lift-fat = Lift the fat off cold: { $fat } in a plate { $thick } thick
day-lift-fat-why = The cleanest skimming there is. What sticks comes off with a hot spoon.
day-slice = Slice it cold, across the grain
day-slice-why = Cold it cuts clean and thin.
# $time (Minutes)
day-sauce = Bring the liquid to the boil and make the sauce, { $time }
day-sauce-why = It is boiled before the meat goes back in.
# $to (Guide) $time (Minutes)
day-warm = Warm the meat in it, { $time }, until its middle is { $to }
day-warm-why = Once, quickly, and not again.
# $time (RoughMinutes)
day-ahead = Begin { $time } before the plates.

## Cooled.

# $in (Key)
cool-name =
    { $in ->
        [ice_bath] In ice water, stirred
        [trays] In trays, in the fridge
        [fridge] In its pot, in the fridge
        [pot] In its pot, on the counter
       *[blast] In trays, in a blast chiller
    }
# $first (RoughMinutes) $cool (Guide) $all (RoughMinutes) $cold (Guide)
cool-takes = { $first } to { $cool }, { $all } to { $cold }.
# $first (RoughMinutes) $cool (Guide) $all (RoughMinutes) $cold (Guide)
cool-slow = { $first } to { $cool }, { $all } to { $cold }: longer than is safe.
# $trays (Count) $deep (Length) $first (RoughMinutes) $cool (Guide) $all (RoughMinutes) $cold (Guide)
cool-in-trays = { $trays ->
        [one] One tray
       *[other] { $trays } trays
    }, { $deep } deep: { $first } to { $cool }, { $all } to { $cold }.
# $time (RoughMinutes) $hot (Guide) $cold (Guide) $room (Temperature)
cool-never = Never safe: { $time } between { BARE($hot) } and { $cold }, in a room of { $room }.
cool-ends-never = never
cool-ends-slow = too slow
# $off (RoughMinutes) $hot (Guide)
stood-hot = Off the heat for { $off }, still over { $hot }. Cool it fast from here.
# $off (RoughMinutes) $time (RoughMinutes) $hot (Guide) $cold (Guide) $room (Temperature)
stood = Off the heat for { $off }. Left in its pot in a room of { $room }, it has been between { BARE($hot) } and { $cold } for { $time }.

## Cold portions.

# $what (Key)
cold-name =
    { $what ->
        [pressed] Pressed and sliced
        [bound] Bound in a tin
       *[rolled] Rolled and cut
    }
# $kilos (Mass) $time (RoughMinutes) $slices (Count) $thick (Length)
cold-pressed = Between two boards under { $kilos }, in the cold for { $time }. It gives about { $slices ->
        [one] one slice
       *[other] { $slices } slices
    } of { $thick }.
# $liquid (Volume) $more (Key) $gelatin (Spoons) $tin (Volume) $time (RoughMinutes) $pieces (Count)
cold-bound = Flake it, season it a little more than hot, stir in { $liquid } of warm liquid{ $more ->
        [gelatin] {" "}with { $gelatin } of gelatin soaked in it
       *[enough] {" "}(it sets by itself)
    }, press it into a lined { $tin } tin. { $time } in the cold; then { $pieces } pieces.
# $across (Length) $time (RoughMinutes) $pieces (Count) $thick (Length)
cold-rolled = Flake it while it is warm, roll it tightly in film, { $across } across. { $time } in the cold; then { $pieces ->
        [one] one round
       *[other] { $pieces } rounds
    } of { $thick }.
# $oven (Dial) $time (Minutes) $to (Guide)
cold-heat = Browned on both sides and heated through in { A($oven) } oven: { $time } to { $to } in the middle.
cold-heat-not = Eaten cold: take it out half an hour before.

## Left over.

# $what (Key) $amount (Message)
left =
    { $what ->
        [sauce] { $amount } of sauce
        [broth] { $amount } of thin liquid, set aside
        [fat] { $amount } of beef fat
       *[meat] { $amount } of meat
    }
# $salt (Strength) $body (Percent)
left-strength = { $salt }, { $body } gelatin
# $what (Key)
left-uses =
    { $what ->
        [sauce] Over noodles or baked potatoes, into a pie with what is left of the meat, or let down as the start of a soup.
        [broth] The liquid of the next braise, a soup, grain or beans cooked in it. Count its salt.
        [fat] For roast potatoes, for the next searing, for softening onions. Strain it through cloth while it is warm: what is left in it burns and spoils.
       *[meat] Flaked into a soup or hash, cold in slices with something sharp, bound in a tin as below.
    }
# $days (Key) $cold (Guide) $what (Key)
left-keeps =
    { $what ->
        [fat] Strained and heated until it stops bubbling, so no juice is left under it: a month at { $cold } or below, half a year frozen. With juice under it, as long as the juice.
       *[other] { $days ->
            [two] 2 days
           *[three] 3 to 4 days
        } at { $cold } or below; frozen { $what ->
            [broth] half a year, in flat bags or as cubes
            [sauce] 3 months; starch may weep, a whisk brings it back
           *[meat] 3 months, in its liquid
        }.
    }
# $dish (Text) $what (Key)
kept-name = { $dish }: { $what ->
        [sauce] sauce
        [broth] broth
       *[fat] beef fat
    }

## Beside it on the plate.

# $of (Key)
beside-name =
    { $of ->
        [acid] Sharp
        [bitter] Bitter
        [fresh] Fresh
       *[crunch] Crunch
    }
# $leans (Key) $of (Key)
beside =
    { $of ->
        [acid] { $leans ->
            [soy] rice vinegar over sliced cucumber, or a wedge of lime
            [smoke] quick-pickled onion, or mustard
            [wine] gherkins, or wine vinegar over the leaves
            [broth] lemon or lime, squeezed at the table
           *[plain] pickled beetroot, or horseradish with vinegar
        }
        [bitter] { $leans ->
            [soy] mustard greens or charred spring cabbage
            [smoke] charred cabbage
            [wine] chicory or other bitter leaves
            [broth] blanched kale
           *[plain] turnip tops or endive
        }
        [fresh] { $leans ->
            [soy] spring onion and coriander
            [smoke] parsley and dill
            [wine] parsley chopped with lemon peel
            [broth] a fistful of soft herbs
           *[plain] parsley and chives
        }
       *[crunch] { $leans ->
            [soy] toasted sesame, raw radish
            [smoke] raw cabbage and apple, cut fine
            [wine] breadcrumbs fried in the skimmed fat
            [broth] raw carrot and celery in matchsticks
           *[plain] fried onions or toasted rye crumbs
        }
    }
# $acid (Percent)
beside-has-acid = What went in gives it { $acid } of acid already: go easy.
# $fat (Percent)
beside-rich = The meat is rich ({ $fat } of fat): this is what it wants most.
beside-bitter-has = Something in the sauce is bitter already: leave it.
beside-soft = Meat and sauce are soft: something must crack.
beside-fresh-why = Long cooking takes every green note away: put it on last.
beside-acid-why = A little cuts through the gelatin.
beside-bitter-why = It keeps the second plate from cloying.

## In time for the bell.

# $work (Minutes) $left (Minutes) $spare (Minutes)
time-enough = { $work } of work to the sauce, { $left } until it has to be poured: { $spare } to spare.
# $work (Minutes) $left (Minutes) $over (Minutes)
time-short = { $work } of work to the sauce and { $left } until it has to be poured: { $over } too long.
# $work (Minutes) $left (Minutes) $over (Minutes)
time-short-on-the-sheet = { $work } of work to the sauce, and the sheet has { $left } for it once the meat is lifted: { $over } too long.
# $work (Minutes) $over (Minutes)
time-past = { $work } of work to the sauce; by the bell it should have been poured { $over } ago.
# $what (Key) $time (Minutes)
quicker =
    { $what ->
        [jug] Pour it off in a spouted jug instead of ladling: { $time }
        [thicken] Thicken it instead of boiling it down: { $time }
        [thicken_jug] Pour it off in a spouted jug, and thicken it instead of boiling it down: { $time }
        [tonight] Set aside what is not eaten tonight first, then boil down the rest: { $time }
       *[broth] Serve it as a broth, skimmed: { $time }
    }
# $salt (Strength) $body (Percent)
quicker-ends = { $salt } and { $body } gelatin at the end
