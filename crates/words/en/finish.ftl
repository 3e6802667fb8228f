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
# $with (Key)
skim-name =
    { $with ->
        [ladle] Ladle
        [spout] Spouted jug
        [bag] Bag
        [chill] Chill and lift
       *[none] Leave it in
    }
# $with (Key)
skim-how =
    { $with ->
        [ladle] Half off the flame, so that it gathers on the still side; or stir a ring with the ladle's back and it drifts to the rim. Ladle flat.
        [spout] Pour it in, wait 5 min, and pour the juice from below until the fat reaches the spout.
        [bag] Hang it, let it settle 5 min, snip a corner and pinch it shut when the fat comes down.
        [chill] Cool it fast first. In the cold the fat sets to a lid: lift it off in plates. The cleanest way, for tomorrow.
       *[none] It makes the sauce heavy, and starch will hold it in.
    }
# $fat (Volume)
greasy = { $fat } of fat stay in: it will look and feel greasy. Skim again, or chill it and lift the fat.
skim-first = Skim before thickening: starch holds the fat in.

## Straining.

strain-run = Strain it, and let it run by itself
    .why = It stays clear. Don't press: what is pressed through clouds it.
strain-press = Strain it, and press the vegetables well
    .why = They hold a good deal of it, and what comes through gives body. It will be cloudier.

## Taste, then decide.

taste = Taste it, with a clean spoon
    .why = Weak: reduce it. Right but thin: thicken it. Salty, bitter or sour: don't reduce.
# $from (Volume) $to (Volume)
reduce = Boil it down without a lid from { $from } to { $to }
    .why = Salt, gelatin and taste all strengthen together. Meat out, so it does not go on cooking.
    .meat-in = Salt, gelatin and taste all strengthen together. With the meat in it glazes, and goes on cooking: what was sliceable may fall apart.
salty-taste = Let it down with unsalted liquid or water, or serve less of it
    .why = Reducing would only make it saltier.
bitter-taste = Balance it with a little sugar, butter or cooked onion
    .why = Reducing would only make it more bitter.
sour-taste = Balance it with a little sugar or cream
    .why = Reducing would only make it sharper.
rich-taste = Add vinegar, mustard or sharp pickles at the plate
    .why = Acid and crunch balance richness.
sweet-taste = Sharpen it with a little vinegar or mustard
    .why = Reducing would only make it sweeter.
flat-taste = Salt it in two goes, with a taste between; then a few drops of something sharp
    .why = Flat is salt or acid that is missing, hardly ever water too much.
# $taste (Key)
taste-name =
    { $taste ->
        [right] right
        [weak] weak
        [thin] right, but thin
        [flat] flat
        [salty] salty
        [sour] sour
        [sweet] sweet
        [bitter] bitter
       *[rich] too rich
    }
# $taste (Key)
taste-worse =
    { $taste ->
        [right] Leave it: reducing now is more salt, thickening now is less taste.
        [weak] Thickening it: starch mutes taste.
        [thin] Reducing it: it was right, and only grows saltier.
        [flat] More water, and starch before it is seasoned.
        [salty] Reducing it, soy, stock from a cube. A potato in it takes up hardly any salt.
        [sour] Reducing it, wine at the end.
        [sweet] Reducing it, carrots cooked to pieces, table sauce.
        [bitter] Reducing it, pressing spent herbs and peel through the sieve.
       *[rich] Butter, cream, and starch before it is skimmed.
    }
# $salt (Strength) $plate (Strength)
reads-plate = By the figures it has { $salt }; with the meat { $plate } on the plate, where 7 to 11 is right.
# $salt (Strength)
reads-salt = By the figures it has { $salt }.
# $salt (Strength) $body (Percent)
reads-weak = By the figures it has { $salt } and { $body } of gelatin.
# $sugar (Percent) $acid (Percent)
reads-sweet-and-sharp = By what went in it has { $sugar } of sugar and { $acid } of acid. Round is some eight times as much sugar as acid.
reads-bitter = Something that went in grows bitter as it comes down.
reads-not-bitter = Nothing that went in is known to be bitter: scorched fond, burnt garlic or wine may be.
# $fat (Volume)
reads-fat = { $fat } of fat stands on it.
# $body (Percent)
reads-thin = It has { $body } of gelatin.
helps-nothing = Nothing: warm the plates.
# $to (Volume) $time (Minutes) $stronger (Share)
helps-boil-down = Boil it down to { $to }, { $time }: it is stronger by { $stronger }, and so is its salt.
# $paste (Grams)
helps-paste = Stir in { $paste } of tomato paste that was fried dark: taste, and hardly any salt.
helps-more-taste = A dried mushroom, browned onion or the juice from the resting plate.
# $amounts (Message)
helps-thicken = Thicken it with { $amounts }.
helps-gelatin = Or leave it thin and serve it as a broth in deep plates.
# $salt (Spoons)
helps-salt = Stir in { $salt } of fine salt, half of what is missing, and taste again.
helps-fresh = Pepper, chopped herbs, a little grated peel at the last moment.
# $water (Volume) $after (Strength)
helps-let-down = Let it down with { $water } of water or unsalted stock: then it has { $after }.
helps-serve-less = Serve less of it, with unsalted potatoes, beans or bread.
# $sugar (Spoons)
helps-sugar = Stir in { $sugar } of sugar, and taste again.
# $vinegar (Spoons)
helps-vinegar = Stir in { $vinegar } of vinegar or lemon juice, and taste again.
# $butter (Grams)
helps-butter = Beat in { $butter } of butter at the end: fat rounds it.
helps-mustard = Mustard or something pickled beside it.
helps-soft-onion = Onion cooked soft and sweet, stirred in.
helps-skim-again = Skim it again.
helps-sharp-sides = Pickles, raw onion, bitter leaves beside it.
# $liquid (Volume) $name (Message)
let-down = Let it down with { $liquid } of { $name }
    .why = Salt and taste spread over more of it; the salt stays what it is.
# $fat (Grams) $name (Message)
beat-in = Off the heat, beat in { $fat } of cold { $name }, piece by piece
    .why = It rounds and thickens a little. It must not boil again, or the fat comes out.
# $amount (Grams) $name (Message)
stir-in = Stir in { $amount } of { $name }, and taste again
    .why = A little at a time: what is in can't be taken out.
# $salt (Spoons)
salt-it = Stir in { $salt } of fine salt, and taste again
    .why = In two goes: what is in can't be taken out.
# $litres (Volume)
set-aside = Take out { $litres } of it, thin, to keep
    .why = Stock for another day: only what is eaten tonight is thickened.
# $liquid (Volume) $fat (Volume)
measured = Measured: { $liquid } under { $fat } of fat
no-need = Nothing to do here
spits = The flame is too much for so narrow a pot: it spits, and catches on the floor. Turn it down, or take a wider pan.
gelatin-short = Gelatin alone does not make it that thick, and more of it sets like rubber on the plate. Take starch, or reduce it.
stays-thin = Without a thickener it stays thinner than that. Reduce it, or take one.
catches = What is thickened catches when it is boiled down: low heat, and stir along the floor.
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
        [gelatin] { $starch } of gelatin soaked in { $with } of cold water
        [puree] { $starch } of its own vegetables, puréed
        [bread] { $starch } of stale breadcrumbs
       *[butter_paste] { $starch } of flour worked into { $with } of soft butter
    }
# $amounts (Message)
thicken = Thicken it with { $amounts }, a third at a time
# $amounts (Message) $tonight (Volume)
thicken-tonight = Thicken the { $tonight } left, tonight's share, with { $amounts }, a third at a time
# $thickener (Key)
thickener-why =
    { $thickener ->
        [cornflour] Stir it again, pour it in off the heat, bring it back to the boil to see. A raging boil sets it in strings.
        [arrowroot] Off the heat, then just to the simmer: long boiling thins it.
        [potato] Off the heat, then just to the simmer: long boiling thins it.
        [flour] Stir it in off the heat, bring it to the boil, whisking, and cook it 10 to 15 min, or it tastes raw.
        [gelatin] Soak it 5 min, then stir it in off the heat until it is gone. It must not boil.
        [puree] Press the vegetables that cooked in it through a sieve, or blend them with a ladle of it.
        [bread] Crumble it in and let it swell and fall apart at a simmer, stirring.
       *[butter_paste] Piece by piece, whisking. Cook it 10 to 15 min.
    }
# $thickener (Key)
thickener-wrong =
    { $thickener ->
        [cornflour] A raging boil sets it in strings; much acid or long boiling thins it again.
        [arrowroot] Long boiling and stirring thin it; with cream it turns slimy.
        [potato] Boiled for long it turns to strings and then thins.
        [flour] Poured in one spot it lumps; not cooked out it tastes raw.
        [gelatin] Hot it only fills the mouth; cold it sets. Boiled hard it grows weak.
        [puree] It dulls the sauce and mutes its salt: season after it.
        [bread] It goes on swelling: stop before it is thick enough.
       *[butter_paste] Its butter makes it rich: skim well before it.
    }
# $thickener (Key)
thickener-name =
    { $thickener ->
        [cornflour] cornflour
        [arrowroot] arrowroot
        [potato] potato starch
        [flour] flour
        [butter_paste] flour and butter
        [gelatin] gelatin alone
        [puree] its vegetables
       *[bread] bread
    }
# $ladle (Volume) $amounts (Message)
one-plate = To order: a ladle of { $ladle } with { $amounts }.
glaze = Turn the meat in it until it shines
    .why = The glaze sticks while it is hot.

# $what (Key)
more =
    { $what ->
        [reduce] Boil down
        [reduce_meat_in] Boil down, meat in
        [let_down] Let it down
        [set_aside] Keep some thin
        [thicken] Thicken
        [butter] Beat in butter
        [salt] Salt it
       *[skim] Skim again
    }

## A spoon dipped in it.

# $shows (Key)
spoon =
    { $shows ->
        [runs] It runs off the spoon like water.
        [film] A film stays; a finger's line through it closes at once.
        [coats] It coats the spoon; a finger's line stays clear.
        [clings] It clings, and falls in slow, heavy drops.
       *[sticks] It sticks, shines and pulls threads.
    }
# $shows (Key)
spoon-good-for =
    { $shows ->
        [runs] broth in a deep plate
        [film] juice to moisten slices
        [coats] sauce over meat
        [clings] gravy for mash
       *[sticks] glaze to turn the meat in
    }

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
