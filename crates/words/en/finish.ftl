### From the pot to the sauce and the plate.

## Fat.

skim-ladle = Let it settle half off the flame, then ladle the fat off flat
    .why = The fat gathers on the still side. Skim before anything thickens: starch holds fat.
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
# $at (Volume) $strength (Strength)
salt-stop = Stop at { $at }: below that it passes { $strength }.

## Thicken and glaze.

# $thickener (Spoons) $name (Said)
thicken = Thicken it with { $thickener } of { $name }, a third at a time
# $thickener (Spoons) $name (Said) $tonight (Volume)
thicken-tonight = Thicken { $tonight } of it, tonight's share, with { $thickener } of { $name }, a third at a time; keep the rest as stock
# $thickener (Key)
thickener =
    { $thickener ->
        [cornflour] cornflour, stirred in cold water
        [arrowroot] arrowroot, stirred in cold water
        [potato] potato starch, stirred in cold water
        [flour] flour, stirred in cold water
       *[butter_paste] flour, worked into as much butter
    }
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
