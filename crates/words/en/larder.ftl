### What goes into a pot beside the meat: names, swaps, what goes in later and what comes out again.

# $what (Key)
name =
    { $what ->
        [water] water
        [stock] salted stock
        [unsalted_stock] unsalted stock
        [good_stock] jellied stock
        [stock_cube] stock cube
        [red_wine] red wine
        [white_wine] white wine
        [dark_beer] dark beer
        [pale_beer] pale beer
        [cider] dry cider
        [fortified_wine] fortified wine
        [tomato_passata] sieved tomato
        [tinned_tomato] tinned tomatoes
        [tomato_paste] tomato paste
        [soy_sauce] soy sauce
        [low_salt_soy] soy sauce, less salt
        [fish_sauce] fish sauce
        [table_sauce] brown table sauce
        [mustard] mustard
        [miso] miso
        [vinegar] vinegar
        [citrus_juice] lemon juice
        [apple_juice] apple juice
        [cream] cream
        [coconut_milk] coconut milk
        [brown_sugar] brown sugar
        [honey] honey
        [treacle] treacle
        [dark_chocolate] dark chocolate
        [coffee] black coffee
        [bacon] bacon
        [anchovy] salted anchovy
        [olives] olives
        [salted_rub] salted rub
        [unsalted_rub] rub without salt
        [flour] flour
        [butter] butter
        [oil] oil
        [onion] onion
        [carrot] carrot
        [celery] celery
        [garlic] garlic
        [mushroom] mushrooms
        [chilli] chilli
        [dried_mushroom] dried mushrooms
        [bay_leaf] bay leaf
        [thyme] thyme
        [whole_spice] whole spices
        [ginger] ginger
        [sweet_pepper] sweet pepper
        [fresh_tomato] fresh tomatoes
        [orange_juice] orange juice
        [ketchup] ketchup
        [rice_wine] rice wine
        [seaweed] dried seaweed
        [kept_broth] kept broth
        [kept_sauce] kept sauce
        [kept_fat] kept fat
       *[other] something else
    }

# $what (Message) $instead (Message) $changes (Message)
swap = No { $what }? Take { $instead }: { $changes }.
# $what (Message) $instead (Message) $changes (Message) $brings (Message)
swap-that-brings = No { $what }? Take { $instead }: { $changes }. It brings { $brings }.
# $what (Message)
leave-out = No { $what }? Leave it out.
no-flour = No flour? Thicken with cornflour at the end: half as much.

# What the swap of a thing changes. $what (Key)
changes =
    { $what ->
        [water] more taste and a little body
        [stock] no salt comes from it, so it can be boiled down
        [unsalted_stock] less taste, salt as before
        [good_stock] less body, so reduce further or put the sinew in
        [stock_cube] ten grams of cube carry five of salt, and those stay out
        [red_wine] with a spoon of vinegar and one of tomato paste; less fruit and no alcohol
        [white_wine] sweeter and less sharp
        [dark_beer] with a spoon of treacle; the roast stays, the bitterness goes
        [pale_beer] less bitter, sweeter
        [cider] no alcohol and much sweeter, so take half and add vinegar
        [fortified_wine] drier, so add a pinch of sugar
        [tomato_passata] lumps, and more water
        [tinned_tomato] smoother and thicker, so it catches sooner
        [tomato_paste] four times as much, and boil the water off
        [soy_sauce] two fifths less salt
        [low_salt_soy] soaked, with salt to taste; paler
        [fish_sauce] two fifths less salt
        [table_sauce] with a little treacle
        [mustard] sharpness without the bite
        [miso] saltier by the spoon, so take less
        [vinegar] fresher, and a little more for the same sharpness
        [citrus_juice] duller, and a little less for the same sharpness
        [apple_juice] drier, with alcohol
        [cream] it tastes of coconut
        [coconut_milk] rounder
        [brown_sugar] a quarter more by weight; it scorches as soon
        [honey] a fifth less by weight
        [treacle] sweeter, paler, not bitter
        [dark_chocolate] sweeter
        [coffee] no bitterness
        [bacon] no smoke, and no salt from it
        [anchovy] more of it for the same salt
        [olives] no salt from them
        [salted_rub] no salt from it, so the meat's own salting is all there is
        [unsalted_rub] in a bag; taste without a crust
        [butter] it does not brown by itself
        [oil] it browns and burns sooner
        [onion] less sweet
        [carrot] less sweet
        [celery] sweeter
        [mushroom] a tenth of the weight, soaked
        [dried_mushroom] ten times the weight
        [bay_leaf] greener
        [thyme] sweeter
        [ginger] sharpness of another kind, and no citrus in it
        [sweet_pepper] sweeter, without its green edge
        [fresh_tomato] softer already, a little salt, and its juice goes in as liquid
        [orange_juice] less fruit, less sharp
        [ketchup] a third as much, with a little sugar and vinegar
        [rice_wine] sharper and drier, so add a pinch of sugar
        [seaweed] earth in place of the sea, and no salt from it
       *[other] much the same
    }

# As it stands on a label. $allergen (Key)
allergen =
    { $allergen ->
        [wheat] wheat
        [barley] barley
        [rye] rye
        [milk] milk
        [egg] egg
        [fish] fish
        [soy] soy
        [celery] celery
        [mustard] mustard
        [sesame] sesame
        [nuts] nuts
       *[sulphites] sulphites
    }
# $allergens (Message)
carries = Carries { $allergens }.

# $crystal (Key)
salt =
    { $crystal ->
        [coarse] coarse salt
        [flake] flaked salt
       *[fine] fine salt
    }

## What goes in later.

# $what (Key)
addition =
    { $what ->
        [potato] potatoes
        [carrot] carrots
        [swede] swede
        [cabbage] cabbage
        [leek] leeks
        [pearl_onion] pearl onions
        [mushroom] mushrooms
        [peas] peas
        [cooked_beans] cooked beans
        [soaked_beans] soaked dried beans
        [dumplings] dumplings
        [prunes] prunes
       *[soft_herbs] soft herbs
    }
# How it is cut. $what (Key) $side (Length)
cut-up =
    { $what ->
        [cabbage] in wedges
        [leek] in rings
       *[other] in { $side } pieces
    }
# $name (Message) $cut (Message)
name-and-cut = { $name }, { $cut }
# The sign that it is done. $what (Key)
addition-sign =
    { $what ->
        [potato] a knife goes through; waxy ones hold their shape
        [carrot] they just give to a fork
        [swede] a knife goes through
        [cabbage] bright and just limp
        [leek] limp, still green
        [pearl_onion] glassy and whole; brown them first
        [mushroom] soft; brown them apart first, or they give water
        [peas] bright
        [cooked_beans] drained and only warmed through
        [soaked_beans] creamy through
        [dumplings] cooked with the lid on and never lifted; skim before they go in
        [prunes] plump
       *[soft_herbs] off the heat, at the plate
    }

## What comes out again.

# $strings (Count)
out-strings = { $strings ->
        [one] 1 string
       *[other] { $strings } strings
    }
    .why = Count them onto the board before the meat is cut: a guest finds the one that is left in.
out-spices = whole spices
    .why = Tie them in a bag with a long string; out as the meat is lifted.
out-bay = bay leaves
    .why = Out as the meat is lifted: their edges stay hard.
out-thyme = thyme stems
    .why = Tie them together; the leaves stay behind.
out-vegetables = spent vegetables
    .why = They have given their taste. Strain them out, or press them through for body, and serve a fresh set.
out-ginger = ginger
    .why = Out as the meat is lifted: it is tough to bite on.
out-seaweed = seaweed
    .why = Out as the meat is lifted.
out-bones = bones
    .why = They slip clean when it is done. Feel for splinters.
