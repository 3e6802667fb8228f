### From the pot to the sauce and the plate.

## Fat.

skim-ladle = Let it settle half off the flame, then ladle the fat off flat
    .why = The fat gathers on the still side. Skim before anything thickens: starch holds fat.
skim-film = Draw a sheet of kitchen paper across it
    .why = There is only a film of fat: nothing to ladle.
skim-spout = Pour it into a spouted jug, wait, and pour the juice from below
    .why = Stop when the fat reaches the spout.
skim-bag = Pour it into a bag, let it settle, and drain it from a snipped corner
    .why = Pinch it shut when the fat comes down.
skim-chill = Cool it fast, chill it, and lift the set fat off
    .why = The cleanest way, and the meat is often better next day.
# $fat (Volume)
greasy = { $fat } of fat stay in: it will look and feel greasy. Skim again, or chill it and lift the fat.
skim-first = Skim before thickening: starch holds the fat in.

## Taste, then decide.

taste = Taste it, with a clean spoon
    .why = Weak: reduce it. Right but thin: thicken it. Salty, bitter or sour: don't reduce.
# $from (Volume) $to (Volume)
reduce = Boil it down without a lid from { $from } to { $to }
    .why = Salt, gelatin and taste all strengthen together. Meat out, so it does not go on cooking.
salty-taste = Let it down with unsalted liquid or water, or serve less of it
    .why = Reducing would only make it saltier.
bitter-taste = Balance it with a little sugar, butter or cooked onion
    .why = Reducing would only make it more bitter.
sour-taste = Balance it with a little sugar or cream
    .why = Reducing would only make it sharper.
rich-taste = Add vinegar, mustard or sharp pickles at the plate
    .why = Acid and crunch balance richness.
# $strength (Strength) $low (Strength) $high (Strength)
salty = At { $strength } it is too salty for a sauce ({ BARE($low) } to { BARE($high) } is usual). Add unsalted liquid, don't reduce.
# $plate (Strength) $most (Strength)
salty-plate = Meat and sauce together come to { $plate }: over { BARE($most) } a plate is too salty. Add unsalted liquid, or serve less of it.
# $at (Volume) $strength (Strength)
salt-stop = Stop at { $at }: it has { $strength } there, and below it grows too salty.
# $strength (Strength)
salt-stop-here = Don't boil it down: it has { $strength } already, and would only grow too salty. Thicken it, or give it taste without salt.
# $at (Volume) $strength (Strength)
glaze-stop = Salt stops it at { $at }, with { $strength }: it is not sticky yet there, so starch makes it cling. Unsalted stock from the start would let it come down to a glaze by itself.

## Where it ends.

# $salt (Strength) $body (Percent) $tastes (Key)
ends = It ends with { $salt } and { $body } of gelatin. { $tastes ->
        [mild] Mild: season at the end.
        [salty] On the salty side.
       *[right] Seasoned like a sauce.
    }
# $salt (Strength) $body (Percent) $plate (Strength) $tastes (Key)
ends-on-the-plate = It ends with { $salt } and { $body } of gelatin; with the meat that is { $plate } on the plate. { $tastes ->
        [mild] Mild: season at the end.
        [salty] Too salty.
       *[right] Well seasoned.
    }
# $low (Strength) $high (Strength) $bears (Strength) $plate (Strength)
salt-rule = A sauce is seasoned at { BARE($low) } to { $high } and bears { BARE($bears) } at most; meat and sauce on a plate { BARE($plate) }.
# $sets (Percent) $body (Percent) $coats (Percent)
body-rule = Gelatin sets cold at { $sets }, gives body from { $body } and coats a spoon by itself from { $coats }.
# $salt (Grams) $gelatin (Grams)
both-stay = { $salt } of salt and { $gelatin } of gelatin are in the liquid and stay while water leaves.

## Thicken and glaze.

# $starch (Spoons) $with (Spoons) $thickener (Key)
slurry =
    { $thickener ->
        [cornflour] { $starch } of cornflour stirred into { $with } of cold water
        [arrowroot] { $starch } of arrowroot stirred into { $with } of cold water
        [potato] { $starch } of potato starch stirred into { $with } of cold water
        [flour] { $starch } of flour stirred into { $with } of cold water
       *[butter_paste] { $starch } of flour worked into { $with } of soft butter
    }
# $amounts (Said)
thicken = Thicken it with { $amounts }, a third at a time
# $amounts (Said) $tonight (Volume)
thicken-tonight = Thicken { $tonight } of it, tonight's share, with { $amounts }, a third at a time; keep the rest thin for another day
# $thickener (Key)
thickener-why =
    { $thickener ->
        [cornflour] Stir it again, pour it in off the heat, bring it back to the boil to see. A raging boil sets it in strings.
        [arrowroot] Off the heat, then just to the simmer: long boiling thins it.
        [potato] Off the heat, then just to the simmer: long boiling thins it.
        [flour] Cook it 10 to 15 min, or it tastes raw.
       *[butter_paste] Piece by piece, whisking. Cook it 10 to 15 min.
    }
glaze = Turn the meat in it until it shines
    .why = The glaze sticks while it is hot.

## How the liquid feels.

# $body (Key)
body =
    { $body ->
        [coats] it coats a spoon by itself
        [full] full-bodied
        [some] some body: it sets when cold
        [thin] thin: reduce or thicken it
        [drips] no sauce: only what drips
        [under_fat] its jelly stands under the fat
       *[none] hardly any liquid
    }

## Slicing.

# $slice (Length) $across (Length) $aslant (Length)
slicing = Slice straight across the grain: { $slice } slices eat as fibres { $across } long. At 30° to the grain they would be { $aslant }.
